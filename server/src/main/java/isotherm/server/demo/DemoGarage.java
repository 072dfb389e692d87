package isotherm.server.demo;

import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Factor;
import isotherm.server.contract.DocumentReader;
import isotherm.server.evidence.LogDocument;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import isotherm.server.logger.Recorder;
import isotherm.server.logs.LogService;
import isotherm.server.store.Edition;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import isotherm.server.store.LargeStore;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The invented garage; its logs come from the simulated logger, by recipe. */
@Component
public class DemoGarage {
    /** What a log of the demo calls a design without a cooler. */
    private static final String BARE = "bare";

    private final Garage garage;
    private final LargeStore large;
    private final LogService logs;
    private final JsonMapper json;

    DemoGarage(Garage garage, LargeStore large, LogService logs, JsonMapper json) {
        this.garage = garage;
        this.large = large;
        this.logs = logs;
        this.json = json;
    }

    /** A car has the same identity in every garage, so that it is known again. */
    private static UUID identity(Resource file) {
        return UUID.nameUUIDFromBytes(("isotherm demo/" + file.getFilename()).getBytes(StandardCharsets.UTF_8));
    }

    private static Resource[] files() throws IOException {
        return new PathMatchingResourcePatternResolver().getResources("classpath:demo/*.json");
    }

    /**
     * Which of its cars are here.
     *
     * @param cars their identities
     * @param whole whether these are all of them
     */
    public record Loaded(List<UUID> cars, boolean whole) {}

    private Set<UUID> garaged() {
        return garage.editions().stream().map(Edition::id).collect(Collectors.toSet());
    }

    /** @return those of its cars that are here */
    public Loaded loaded() {
        try {
            Set<UUID> there = garaged();
            List<UUID> all = Arrays.stream(files()).map(DemoGarage::identity).toList();
            return new Loaded(all.stream().filter(there::contains).toList(), there.containsAll(all));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Loads those of its cars that are not here.
     *
     * @return all of its cars
     */
    public Loaded load() {
        try {
            Set<UUID> there = garaged();
            for (Resource file : files()) {
                if (!there.contains(identity(file))) {
                    load(identity(file), json.readTree(file.getContentAsString(StandardCharsets.UTF_8)));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return loaded();
    }

    /** Removes its cars with all that belongs to them; what else is in the garage stays. */
    public void remove() {
        for (UUID car : loaded().cars()) {
            garage.remove(Kind.CAR, car, garage.get(Kind.CAR, car).version());
        }
    }

    private void load(UUID carId, JsonNode file) throws IOException {
        String car = file.get("car").toString();
        CarDocument read = DocumentReader.read(car, CarDocument.class);
        var stored = garage.addCar(carId, car);
        for (JsonNode duty : file.get("duties")) {
            DocumentReader.read(duty.toString(), DutyDocument.class);
            garage.addPart(Kind.DUTY, UUID.randomUUID(), stored.id(), duty.toString());
        }
        Map<String, String> designs = new HashMap<>();
        for (JsonNode design : file.get("designs")) {
            DesignDocument document = DocumentReader.read(design.toString(), DesignDocument.class);
            UUID id = UUID.randomUUID();
            garage.addPart(Kind.DESIGN, id, stored.id(), design.toString());
            designs.put(document.cooler() == null ? BARE : document.name(), id.toString());
        }
        for (JsonNode log : file.path("logs")) {
            String driven = designs.get(log.at("/design/name").stringValue());
            record(stored.id(), read, log, file.get("duties"), driven);
        }
    }

    private void record(UUID carId, CarDocument car, JsonNode log, JsonNode duties, String driven) throws IOException {
        double ambientC = log.get("ambientC").doubleValue();
        double altitudeM = log.get("altitudeM").doubleValue();
        Duty duty = DocumentReader.read(duties.get(log.get("duty").intValue()).toString(), DutyDocument.class)
                .toCore()
                .withWeather(new Weather(Units.kelvin(ambientC), altitudeM));
        Map<Factor, Double> truth = new EnumMap<>(Factor.class);
        log.get("truth")
                .properties()
                .forEach(e -> truth.put(Factor.valueOf(e.getKey()), e.getValue().doubleValue()));
        StringBuilder text = new StringBuilder();
        Recorder.write(
                new Recorder.Recipe(
                        car.toCore(),
                        duty,
                        DocumentReader.read(log.get("design").toString(), DesignDocument.class)
                                .toCore(car),
                        truth,
                        log.get("rowsPerSecond").doubleValue(),
                        log.get("seed").longValue()),
                text);
        LargeStore.Upload upload = large.upload(
                UUID.randomUUID(),
                carId,
                log.get("file").stringValue(),
                new ByteArrayInputStream(text.toString().getBytes(StandardCharsets.UTF_8)),
                LogService.LARGEST_FILE);
        logs.keep(
                upload,
                new LogDocument.KeepDocument(
                        log.get("name").stringValue(),
                        car.sensor(),
                        ambientC,
                        altitudeM,
                        log.has("trailerKg") ? (Double) log.get("trailerKg").doubleValue() : null,
                        logs.preview(upload, null).format(),
                        driven,
                        null),
                done -> {},
                () -> false);
    }
}
