package isotherm.server.demo;

import isotherm.server.store.Garage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Loads the invented garage into an empty database at a start that asks for it. */
@Component
@ConditionalOnProperty("isotherm.demo")
class DemoAtStart implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoAtStart.class);

    private final Garage garage;
    private final DemoGarage demo;

    DemoAtStart(Garage garage, DemoGarage demo) {
        this.garage = garage;
        this.demo = demo;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (garage.cars().isEmpty()) {
            LOG.info("Loaded the demo garage, {} cars", demo.load().size());
        }
    }
}
