package isotherm.server.archive;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/**
 * A file of an archive.
 *
 * @param name its name
 * @param content writes what is in it
 */
record Item(String name, Content content) {
    /** What is in a file. */
    interface Content {
        /**
         * @param out receives it; stays open
         * @throws IOException when it does not take it
         */
        void writeTo(OutputStream out) throws IOException;
    }

    static Item text(String name, String text) {
        return new Item(name, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
    }
}
