package isotherm.server;

import isotherm.server.document.CarDocument;
import isotherm.server.document.DesignDocument;
import isotherm.server.document.DocumentReader;
import isotherm.server.document.DutyDocument;
import isotherm.server.store.Garage;
import isotherm.server.store.Kind;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Loads the invented garage into an empty database. */
@Component
@ConditionalOnProperty("isotherm.demo")
class DemoGarage implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoGarage.class);

    private final Garage garage;
    private final JsonMapper json;

    DemoGarage(Garage garage, JsonMapper json) {
        this.garage = garage;
        this.json = json;
    }

    @Override
    public void run(ApplicationArguments args) throws IOException {
        if (!garage.cars().isEmpty()) {
            return;
        }
        for (Resource file : new PathMatchingResourcePatternResolver().getResources("classpath:demo/*.json")) {
            load(json.readTree(file.getContentAsString(StandardCharsets.UTF_8)));
            LOG.info("Loaded {}", file.getFilename());
        }
    }

    private void load(JsonNode file) {
        String car = file.get("car").toString();
        DocumentReader.read(car, CarDocument.class);
        var stored = garage.addCar(car);
        for (JsonNode duty : file.get("duties")) {
            DocumentReader.read(duty.toString(), DutyDocument.class);
            garage.addPart(Kind.DUTY, stored.id(), duty.toString());
        }
        for (JsonNode design : file.get("designs")) {
            DocumentReader.read(design.toString(), DesignDocument.class);
            garage.addPart(Kind.DESIGN, stored.id(), design.toString());
        }
    }
}
