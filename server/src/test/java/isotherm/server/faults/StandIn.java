package isotherm.server.faults;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.jar.Attributes;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;
import java.util.jar.Manifest;

/** A server that starts at once and says that it is well: what is tried is how its launcher treats it. */
public final class StandIn {
    private StandIn() {}

    /**
     * @param args {@code --server.port=N}
     * @throws IOException when the port is taken
     */
    public static void main(String[] args) throws IOException {
        int port = 0;
        for (String arg : args) {
            port = arg.startsWith("--server.port=") ? Integer.parseInt(arg.substring(14)) : port;
        }
        if (System.getProperty("spring.context.exit") != null) {
            // Started for its classes alone, as the server is when they are written down: nobody else would end it.
            return;
        }
        try (ServerSocket listening = new ServerSocket(port, 50, InetAddress.getLoopbackAddress())) {
            while (true) {
                try (Socket socket = listening.accept()) {
                    socket.getInputStream().read(new byte[1 << 12]);
                    socket.getOutputStream()
                            .write("HTTP/1.1 200 OK\r\nContent-Length: 2\r\nConnection: close\r\n\r\nok"
                                    .getBytes(StandardCharsets.US_ASCII));
                } catch (SocketException e) {
                    // Whoever asked has gone.
                }
            }
        }
    }

    /** Packs this class as a program of the name that the launcher looks for. */
    public static Path jar(Path folder) throws IOException {
        Path jar = folder.resolve("isotherm.jar");
        Manifest manifest = new Manifest();
        manifest.getMainAttributes().put(Attributes.Name.MANIFEST_VERSION, "1.0");
        manifest.getMainAttributes().put(Attributes.Name.MAIN_CLASS, StandIn.class.getName());
        String entry = StandIn.class.getName().replace('.', '/') + ".class";
        try (JarOutputStream out = new JarOutputStream(Files.newOutputStream(jar), manifest);
                var in = StandIn.class.getClassLoader().getResourceAsStream(entry)) {
            out.putNextEntry(new JarEntry(entry));
            in.transferTo(out);
        }
        return folder;
    }
}
