package isotherm.server.logs;

import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.zip.GZIPInputStream;

/** A file as it is, or what a gzipped one unpacks to, up to a bound: a small file may unpack to more than any disk holds. */
final class Unpacked extends FilterInputStream {
    private static final long MOST = 4_000_000_000L;

    private long count;

    private Unpacked(InputStream in) {
        super(in);
    }

    static InputStream of(InputStream in) throws IOException {
        BufferedInputStream buffered = new BufferedInputStream(in, 1 << 16);
        buffered.mark(2);
        int magic = buffered.read() | buffered.read() << 8;
        buffered.reset();
        return new Unpacked(magic == GZIPInputStream.GZIP_MAGIC ? new GZIPInputStream(buffered, 1 << 16) : buffered);
    }

    @Override
    public int read() throws IOException {
        int b = super.read();
        count(b < 0 ? 0 : 1);
        return b;
    }

    @Override
    public int read(byte[] buffer, int from, int length) throws IOException {
        int n = super.read(buffer, from, length);
        count(Math.max(0, n));
        return n;
    }

    private void count(int n) throws IOException {
        count += n;
        if (count > MOST) {
            throw new IOException("This file unpacks to more than " + MOST / 1_000_000 + " MB, the most that is taken");
        }
    }
}
