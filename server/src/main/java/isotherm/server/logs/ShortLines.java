package isotherm.server.logs;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/** Refuses a line that no logger writes, before it fills the memory. */
final class ShortLines extends FilterReader {
    private static final int LONGEST = 200_000;
    private int length;

    ShortLines(Reader in) {
        super(in);
    }

    @Override
    public int read() throws IOException {
        int c = super.read();
        count(c);
        return c;
    }

    @Override
    public int read(char[] buffer, int from, int most) throws IOException {
        int n = super.read(buffer, from, most);
        for (int i = from; i < from + n; i++) {
            count(buffer[i]);
        }
        return n;
    }

    private void count(int c) throws IOException {
        length = c == '\n' || c == '\r' ? 0 : length + 1;
        if (length > LONGEST) {
            throw new IOException("A line is longer than " + LONGEST + " characters: this is not a log");
        }
    }
}
