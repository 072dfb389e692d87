package isotherm.server.catalogue;

import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.CarClass;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.StreamSupport;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The classes of car that ship with the application. */
@Component
public class CarClasses {
    private final List<CarClass> all;

    CarClasses(JsonMapper json) throws IOException {
        String text = new ClassPathResource("classes/classes.json").getContentAsString(StandardCharsets.UTF_8);
        this.all = StreamSupport.stream(json.readTree(text).spliterator(), false)
                .map(node -> DocumentReader.read(node.toString(), CarClass.class))
                .toList();
    }

    /** @return all classes */
    public List<CarClass> all() {
        return all;
    }
}
