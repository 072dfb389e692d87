package isotherm.server.build;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;

/** Lines of bounded length from somebody who may send one without an end. A read that times out loses nothing of a line. */
final class LogLines {
    private static final int LONGEST = 4096;

    private final Reader in;
    private final StringBuilder line = new StringBuilder();

    LogLines(InputStream in) {
        this.in = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
    }

    /**
     * @return the next line without its end; null when there is none any more
     * @throws java.net.SocketTimeoutException when nothing comes for a while; to be asked again
     * @throws IOException when the line is too long, or the connection broke
     */
    String next() throws IOException {
        for (int c = in.read(); c >= 0; c = in.read()) {
            if (c == '\n') {
                String whole = line.toString().strip();
                line.setLength(0);
                return whole;
            }
            if (line.length() >= LONGEST) {
                throw new IOException("A line is longer than " + LONGEST + " characters: this is no logger");
            }
            line.append((char) c);
        }
        return null;
    }
}
