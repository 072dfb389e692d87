package isotherm.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The example cases that stand beside the formats. */
public final class Examples {
    private Examples() {}

    /** @return the folder of the formats */
    public static Path formats() {
        return Path.of("..", "docs", "formats");
    }

    /**
     * @param name corvid, hauler or wren
     * @return the example as JSON text
     */
    public static String read(String name) {
        try {
            return Files.readString(formats().resolve(name + ".json"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
