package isotherm.server.evidence;

import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Collectors;

/**
 * How a log is written: found by the importer, and correctable.
 *
 * @param delimiter what stands between two columns
 * @param decimalComma whether numbers are written with a decimal comma
 * @param headerLine line with the names of the columns, counted from 1; 0 for none
 * @param firstDataLine first line with values, counted from 1
 * @param time how times are written
 * @param rowsPerSecond rows per second, where there is no column with times
 * @param columns what each column holds
 */
public record LogFormat(
        @Text("what stands between two columns") Delimiter delimiter,
        @Text("whether numbers are written with a decimal comma") boolean decimalComma,
        @Quantity(value = "line with the names of the columns, 0 for none", min = 0, max = 1000) int headerLine,
        @Quantity(value = "first line with values", min = 1, max = 1001) int firstDataLine,
        @Text("how times are written") Time time,
        @Missing("there is a column with times")
                @Quantity(value = "rows per second", min = 0.01, max = 1000, unit = "1/s")
                Double rowsPerSecond,
        @Text(value = "what each column holds", min = 1, max = 400) List<Column> columns)
        implements Checked {

    /** What stands between two columns. */
    public enum Delimiter {
        /** A comma. */
        COMMA(','),
        /** A semicolon. */
        SEMICOLON(';'),
        /** A tabulator. */
        TAB('\t'),
        /** An upright bar. */
        BAR('|');

        private final char sign;

        Delimiter(char sign) {
            this.sign = sign;
        }

        /** @return the sign itself */
        public char sign() {
            return sign;
        }
    }

    /** How times are written. */
    public enum Time {
        /** A number, in the unit of its column. */
        NUMBER,
        /** Hours, minutes and seconds, or minutes and seconds, with colons. */
        CLOCK,
        /** Date and time, ISO 8601. */
        ISO,
        /** Not at all: rows follow each other evenly. */
        ROWS
    }

    /**
     * One column.
     *
     * @param name its name in the file
     * @param channel what it holds; missing for a column that is not read
     * @param unit the unit it is written in; missing for the channel's own
     */
    public record Column(
            @Text(value = "its name in the file", max = 200) String name,
            @Missing("it is not read") @Text("what it holds") Channel channel,
            @Missing("the channel's own") @Text("the unit it is written in") Channel.Unit unit) {
        /**
         * @param value as it stands in the column
         * @return the value in the channel's own unit
         */
        public double convert(double value) {
            return unit == null ? value : unit.convert(value);
        }
    }

    /**
     * @param channel a channel
     * @return its column, or −1
     */
    public int column(Channel channel) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).channel() == channel) {
                return i;
            }
        }
        return -1;
    }

    @Override
    public void check(String path, List<Problem> problems) {
        EnumSet<Channel> taken = EnumSet.noneOf(Channel.class);
        for (int i = 0; i < columns.size(); i++) {
            Column c = columns.get(i);
            if (c.channel() == null) {
                continue;
            }
            if (!taken.add(c.channel())) {
                problems.add(Problem.of(
                        path + "/columns/" + i + "/channel",
                        c.channel().name(),
                        "Another column already holds this; a channel is read from one column"));
            }
            if (c.unit() != null && !c.channel().units().contains(c.unit())) {
                problems.add(Problem.of(
                        path + "/columns/" + i + "/unit",
                        c.unit().name(),
                        "This unit does not belong to it; one of "
                                + c.channel().units().stream().map(Enum::name).collect(Collectors.joining(", "))
                                + " is expected"));
            }
        }
        if (taken.isEmpty() || taken.size() == 1 && taken.contains(Channel.TIME)) {
            problems.add(Problem.of(
                    path + "/columns", null, "No column holds anything that is known here; say what the columns are"));
        }
        if (time != Time.ROWS && !taken.contains(Channel.TIME)) {
            problems.add(Problem.of(
                    path + "/time",
                    time.name(),
                    "No column holds the time; name it, or say that rows follow each other evenly"));
        }
        if (time == Time.ROWS && rowsPerSecond == null) {
            problems.add(
                    Problem.of(path + "/rowsPerSecond", null, "Without a column of times, rows per second are needed"));
        }
        if (firstDataLine <= headerLine) {
            problems.add(Problem.of(
                    path + "/firstDataLine",
                    String.valueOf(firstDataLine),
                    "Values have to begin after the header line"));
        }
    }
}
