package isotherm.server.logs;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.zip.GZIPInputStream;
import org.apache.commons.io.input.BoundedInputStream;

/** A file as it is, or what a gzipped one unpacks to, up to a bound: a small file may unpack to more than any disk holds. */
final class Unpacked {
    private static final long MOST = 4_000_000_000L;

    private Unpacked() {}

    static InputStream of(InputStream in) throws IOException {
        return of(in, MOST);
    }

    static InputStream of(InputStream in, long most) throws IOException {
        BufferedInputStream buffered = new BufferedInputStream(in, 1 << 16);
        buffered.mark(2);
        int magic = buffered.read() | buffered.read() << 8;
        buffered.reset();
        return BoundedInputStream.builder()
                .setInputStream(magic == GZIPInputStream.GZIP_MAGIC ? new GZIPInputStream(buffered, 1 << 16) : buffered)
                // One more than is taken: a file of just that size ends before it.
                .setMaxCount(most + 1)
                .setOnMaxCount((bound, count) -> {
                    throw new IOException(
                            "This file unpacks to more than " + most / 1_000_000 + " MB, the most that is taken");
                })
                .get();
    }
}
