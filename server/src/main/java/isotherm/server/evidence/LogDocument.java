package isotherm.server.evidence;

import isotherm.core.car.Car;
import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.UUID;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A log that is kept, without its rows.
 *
 * @param name what its people call it
 * @param file name of the file it came from
 * @param channels what its rows hold; the first is the time
 * @param rows number of rows
 * @param spoiledRows rows of the file that were not kept
 * @param durationSeconds from the first row to the last
 * @param sensor where the oil temperature sensor sat
 * @param ambientC air temperature on the day
 * @param altitudeM mean height above sea level
 * @param trailerKg what hung on the hook
 * @param design identity of the design that was driven
 * @param day day on which it was driven
 */
public record LogDocument(
        @Text(value = "what its people call it", min = 1, max = 120) String name,
        @Text(value = "name of the file it came from", max = 200) String file,
        @Text(value = "what its rows hold", min = 1, max = 20) List<Channel> channels,
        @Quantity(value = "number of rows", min = 0, max = 1e9) int rows,
        @Quantity(value = "rows of the file that were not kept", min = 0, max = 1e9) int spoiledRows,
        @Quantity(value = "from the first row to the last", min = 0, max = 1e9, unit = "s") double durationSeconds,
        @Text("where the oil temperature sensor sat") Car.SensorPlace sensor,
        @Quantity(value = "air temperature on the day", min = -40, max = 55, unit = "°C") double ambientC,
        @Quantity(value = "mean height above sea level", min = -430, max = 5000, unit = "m") double altitudeM,
        @Missing("0") @Quantity(value = "what hung on the hook", min = 0, max = 40000, unit = "kg") Double trailerKg,
        @Missing("not said") @Text(value = "identity of the design that was driven", min = 36, max = 36) String design,
        @Missing("not said") @Text(value = "day on which it was driven, ISO 8601", min = 1, max = 40) String day) {

    /**
     * What has to be known of a log to read its rows.
     *
     * @param channels what they hold; the first is the time
     * @param rows number of rows
     */
    public record Shape(List<Channel> channels, int rows) {
        /**
         * @param text text of a log's document, which may be one that today's rules refuse
         * @return its shape, as far as that can be read; no channels where it cannot
         */
        public static Shape of(String text) {
            try {
                JsonNode node = new JsonMapper().readTree(text);
                List<Channel> channels = node.path("channels")
                        .valueStream()
                        .map(c -> Channel.valueOf(c.asString("")))
                        .toList();
                boolean timeFirst = !channels.isEmpty() && channels.get(0) == Channel.TIME;
                return new Shape(
                        timeFirst ? channels : List.of(), node.path("rows").asInt(0));
            } catch (JacksonException | IllegalArgumentException e) {
                return new Shape(List.of(), 0);
            }
        }
    }

    /** @return what has to be known to read its rows */
    public Shape shape() {
        return new Shape(channels, rows);
    }

    /**
     * What a person says of a log before it is kept.
     *
     * @param name what its people call it
     * @param sensor where the oil temperature sensor sat
     * @param ambientC air temperature on the day
     * @param altitudeM mean height above sea level
     * @param trailerKg what hung on the hook
     * @param format how it is written; missing for a GPX file
     * @param design identity of the design that was driven
     * @param day day on which it was driven
     */
    public record KeepDocument(
            @Text(value = "what its people call it", min = 1, max = 120) String name,
            @Text("where the oil temperature sensor sat") Car.SensorPlace sensor,
            @Quantity(value = "air temperature on the day", min = -40, max = 55, unit = "°C") double ambientC,
            @Quantity(value = "mean height above sea level", min = -430, max = 5000, unit = "m") double altitudeM,
            @Missing("0") @Quantity(value = "what hung on the hook", min = 0, max = 40000, unit = "kg")
                    Double trailerKg,
            @Missing("a GPX file") @Text("how it is written") LogFormat format,
            @Missing("not said") @Text(value = "identity of the design that was driven", min = 36, max = 36)
                    String design,
            @Missing("not said") @Text(value = "day on which it was driven, ISO 8601", min = 1, max = 40) String day)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            Problem.day(path + "/day", day).ifPresent(problems::add);
            if (design != null) {
                try {
                    UUID.fromString(design);
                } catch (IllegalArgumentException e) {
                    problems.add(Problem.of(path + "/design", design, "The identity of a design is expected here"));
                }
            }
            if (format != null) {
                format.check(path + "/format", problems);
            }
        }
    }

    /**
     * A log as the importer sees it before it is kept.
     *
     * @param format how it is written; missing for a GPX file
     * @param channels what the rows hold
     * @param head the first rows
     * @param lines the file's first lines as they are
     * @param report how the reading of the first part went
     */
    public record PreviewDocument(
            @Missing("a GPX file") LogFormat format,
            List<Channel> channels,
            List<List<Double>> head,
            List<String> lines,
            LogReport report) {}

    /**
     * Channels of a log for a picture.
     *
     * @param channels what the series hold; the first is the time
     * @param series one list for each channel, missing where there is no value
     */
    public record TracesDocument(List<Channel> channels, List<List<Double>> series) {}
}
