package isotherm.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.SocketTimeoutException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Has a body whole before anything else begins: what stalls on its way holds no database connection and no lock, only a thread, of
 * which there are more than bodies are read at once. Documents wait in memory, files on disk.
 */
@Component
@Order(WholeBodies.AFTER_SIGNING_IN)
class WholeBodies extends OncePerRequestFilter {
    /** Behind Spring Security's own filters, whose order is -100: what somebody may send depends on who it is. */
    static final int AFTER_SIGNING_IN = -90;
    /** Bodies that are read at once; the server has some more threads than that for requests without one. */
    static final int MOST_AT_ONCE = 300;
    /** Bytes of a document: a log of 200,000 rows as a duty, twice. */
    private static final int LARGEST_DOCUMENT = 40_000_000;
    /** Bytes of whoever has not signed in: a name and a password. */
    private static final int LARGEST_OF_NOBODY = 4_000;
    /** Bytes of a file; what takes it in may take less. */
    private static final long LARGEST_FILE = 1_000_000_000L;
    /** A body has so long, s, and more by its size at the pace of a poor line, bytes/s. */
    private static final long PATIENCE = 30;

    private static final long POOR_LINE = 20_000;
    private static final int PIECE = 1 << 16;

    private final Semaphore places = new Semaphore(MOST_AT_ONCE);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean body = request.getContentLengthLong() > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
        if (!body) {
            chain.doFilter(request, response);
            return;
        }
        String type = String.valueOf(request.getContentType());
        boolean file = type.startsWith("application/octet-stream") || type.startsWith("image/");
        long most = Person.asking().isEmpty() ? LARGEST_OF_NOBODY : file ? LARGEST_FILE : LARGEST_DOCUMENT;
        if (request.getContentLengthLong() > most) {
            tooLarge(response, most);
            return;
        }
        if (!places.tryAcquire()) {
            response.setHeader(HttpHeaders.RETRY_AFTER, "2");
            Refusal.write(
                    response, HttpStatus.SERVICE_UNAVAILABLE, "Too much is being sent at once. Try again in a moment.");
            return;
        }
        Path path = null;
        InputStream there = null;
        try {
            try {
                if (file) {
                    path = Files.createTempFile("isotherm-body", ".part");
                    try (OutputStream out = Files.newOutputStream(path)) {
                        copy(request.getInputStream(), out, most);
                    }
                } else {
                    ByteArrayOutputStream out = new ByteArrayOutputStream();
                    copy(request.getInputStream(), out, most);
                    there = new ByteArrayInputStream(out.toByteArray());
                }
            } finally {
                places.release();
            }
            if (file) {
                there = Files.newInputStream(path);
            }
            chain.doFilter(new WithBody(request, there), response);
        } catch (TooLarge e) {
            tooLarge(response, most);
        } catch (TooSlow | SocketTimeoutException e) {
            Refusal.write(response, HttpStatus.REQUEST_TIMEOUT, "What was sent did not arrive in time. Send it again.");
        } finally {
            if (there != null) {
                there.close();
            }
            if (path != null) {
                Files.deleteIfExists(path);
            }
        }
    }

    private static void tooLarge(HttpServletResponse response, long most) throws IOException {
        Refusal.write(
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                most == LARGEST_OF_NOBODY
                        ? "Sign in before you send so much."
                        : "More was sent than the " + most / 1_000_000 + " MB that are taken at most.");
    }

    private static void copy(InputStream in, OutputStream out, long most) throws IOException {
        long begun = System.nanoTime();
        long size = 0;
        byte[] piece = new byte[PIECE];
        for (int n = in.read(piece); n >= 0; n = in.read(piece)) {
            size += n;
            if (size > most) {
                throw new TooLarge();
            }
            if (TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - begun) > PATIENCE + size / POOR_LINE) {
                throw new TooSlow();
            }
            out.write(piece, 0, n);
        }
    }

    private static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;
    }

    private static final class TooSlow extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** A request whose body is there already. */
    private static final class WithBody extends HttpServletRequestWrapper {
        private final ServletInputStream in;

        WithBody(HttpServletRequest request, InputStream body) {
            super(request);
            this.in = new ServletInputStream() {
                private boolean over;

                @Override
                public int read() throws IOException {
                    int b = body.read();
                    over = b < 0;
                    return b;
                }

                @Override
                public int read(byte[] buffer, int from, int length) throws IOException {
                    int n = body.read(buffer, from, length);
                    over = n < 0;
                    return n;
                }

                @Override
                public boolean isFinished() {
                    return over;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    throw new UnsupportedOperationException("The body is read as it is");
                }
            };
        }

        @Override
        public ServletInputStream getInputStream() {
            return in;
        }
    }
}
