package isotherm.server.demo;

import isotherm.server.store.Garage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;

/** Loads the invented garage into an empty database at a start that asks for it. */
@Component
class DemoAtStart implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoAtStart.class);

    private final Garage garage;
    private final DemoGarage demo;
    private final boolean wanted;

    DemoAtStart(Garage garage, DemoGarage demo, @Value("${isotherm.demo:false}") boolean wanted) {
        this.garage = garage;
        this.demo = demo;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (wanted && garage.editions().isEmpty()) {
            LOG.info("Loaded the demo garage, {} cars", demo.load().cars().size());
        }
    }
}
