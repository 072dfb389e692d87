package isotherm.server.testing;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Speaks HTTP over a bare connection, with headers that a well-behaved client would not let anybody set. */
public final class RawHttp {
    private static final int TIMEOUT_MS = 15_000;

    private RawHttp() {}

    /**
     * An answer.
     *
     * @param status its status
     * @param headers by their names in small letters
     * @param body what came with it
     */
    public record Answer(int status, Map<String, String> headers, String body) {}

    /**
     * @param server where it listens
     * @param method HTTP method
     * @param path path and query
     * @param body a body; null for none
     * @param headers names and values in turn; without Host that of the server is sent
     * @return the answer
     */
    public static Answer send(URI server, String method, String path, String body, String... headers) {
        try (Socket socket = open(server)) {
            byte[] bytes = body == null ? new byte[0] : body.getBytes(StandardCharsets.UTF_8);
            socket.getOutputStream().write(head(server, method, path, body == null ? -1 : bytes.length, headers));
            socket.getOutputStream().write(bytes);
            socket.getOutputStream().flush();
            return answer(socket);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Socket open(URI server) throws IOException {
        Socket socket = new Socket(server.getHost(), server.getPort());
        socket.setSoTimeout(TIMEOUT_MS);
        return socket;
    }

    private static byte[] head(URI server, String method, String path, int length, String... headers) {
        StringBuilder text = new StringBuilder(method + " " + path + " HTTP/1.1\r\nConnection: close\r\n");
        boolean named = false;
        for (int i = 0; i < headers.length; i += 2) {
            named |= headers[i].equals("Host");
            text.append(headers[i]).append(": ").append(headers[i + 1]).append("\r\n");
        }
        if (!named) {
            text.append("Host: ").append(server.getAuthority()).append("\r\n");
        }
        if (length >= 0) {
            text.append("Content-Length: ").append(length).append("\r\n");
        }
        return text.append("\r\n").toString().getBytes(StandardCharsets.ISO_8859_1);
    }

    private static Answer answer(Socket socket) throws IOException {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        socket.getInputStream().transferTo(all);
        String text = all.toString(StandardCharsets.UTF_8);
        int end = text.indexOf("\r\n\r\n");
        List<String> lines = text.substring(0, end).lines().toList();
        Map<String, String> headers = new LinkedHashMap<>();
        lines.stream().skip(1).forEach(l -> {
            String[] pair = l.split(": ", 2);
            headers.put(pair[0].toLowerCase(Locale.ROOT), pair.length > 1 ? pair[1] : "");
        });
        return new Answer(Integer.parseInt(lines.get(0).split(" ")[1]), headers, text.substring(end + 4));
    }

    /**
     * A request that is sent whole and whose answer nobody waits for.
     *
     * @param server where it listens
     * @param path path
     * @param body JSON
     * @return the connection; to be closed
     */
    public static Socket ask(URI server, String path, String body) {
        try {
            Socket socket = open(server);
            byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
            socket.getOutputStream()
                    .write(head(server, "POST", path, bytes.length, "Content-Type", "application/json"));
            socket.getOutputStream().write(bytes);
            socket.getOutputStream().flush();
            return socket;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Connections whose bodies never end. */
    public static final class Stalled implements AutoCloseable {
        private final List<Socket> sockets = new ArrayList<>();

        /** @return how many there are */
        public int open() {
            return sockets.size();
        }

        /** @return how many of them the server has neither answered nor given up */
        public long waiting() {
            return sockets.stream().filter(Stalled::isWaiting).count();
        }

        private static boolean isWaiting(Socket socket) {
            try {
                socket.setSoTimeout(1);
                socket.getInputStream().read();
                return false;
            } catch (SocketTimeoutException e) {
                return true;
            } catch (IOException e) {
                return false;
            }
        }

        @Override
        public void close() {
            for (Socket socket : sockets) {
                try {
                    socket.close();
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }
        }
    }

    /**
     * @param server where it listens
     * @param count number of connections
     * @param path path
     * @return connections that have begun to send a body and send no more of it
     */
    public static Stalled stall(URI server, int count, String path) {
        Stalled stalled = new Stalled();
        try {
            for (int i = 0; i < count; i++) {
                Socket socket = open(server);
                String type = path.contains("uploads") ? "application/octet-stream" : "application/json";
                socket.getOutputStream().write(head(server, "POST", path, 100_000, "Content-Type", type));
                socket.getOutputStream().write("{\"car\":".getBytes(StandardCharsets.US_ASCII));
                socket.getOutputStream().flush();
                stalled.sockets.add(socket);
            }
            return stalled;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
