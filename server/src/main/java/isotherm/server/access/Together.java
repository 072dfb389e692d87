package isotherm.server.access;

import isotherm.server.store.Home;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.util.HexFormat;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Whether this garage is one machine's own, or several people's who sign in; and the names under which it answers. */
@Component
public class Together {
    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private final boolean on;
    private final Optional<Path> authority;
    private final List<String> addresses;
    private final Set<String> names;

    Together(
            @Value("${isotherm.together:false}") boolean on,
            @Value("${isotherm.names:}") List<String> named,
            Home home) {
        this.on = on;
        this.authority = home.file("tls/authority.crt").filter(Files::exists);
        this.addresses = on ? addressesHere() : List.of();
        this.names = new LinkedHashSet<>(THIS_MACHINE);
        if (on) {
            names.addAll(addresses);
            String host = hostName();
            names.add(host);
            names.add(host + ".local");
            named.stream().map(n -> n.strip().toLowerCase(Locale.ROOT)).forEach(names::add);
        }
    }

    /** @return whether people have to sign in */
    public boolean on() {
        return on;
    }

    /**
     * @param name of a request's Host header, without its port
     * @return whether it is a name of this server's own
     */
    boolean answersTo(String name) {
        return names.contains(name.toLowerCase(Locale.ROOT));
    }

    /** @return addresses of this machine that others can reach; none while it answers itself alone */
    public List<String> addresses() {
        return addresses;
    }

    /**
     * @return the certificate by which a browser knows this server, as PEM; empty when it was not made here
     * @throws UncheckedIOException when it cannot be read
     */
    public Optional<byte[]> authority() {
        try {
            return authority.isEmpty() ? Optional.empty() : Optional.of(Files.readAllBytes(authority.get()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return by which that certificate is known, SHA-256, to be compared by eye; empty when there is none */
    public Optional<String> fingerprint() {
        return authority().map(pem -> {
            try {
                byte[] der = CertificateFactory.getInstance("X.509")
                        .generateCertificate(new ByteArrayInputStream(pem))
                        .getEncoded();
                return HexFormat.ofDelimiter(":")
                        .withUpperCase()
                        .formatHex(MessageDigest.getInstance("SHA-256").digest(der));
            } catch (GeneralSecurityException e) {
                throw new IllegalStateException("The authority's certificate cannot be read", e);
            }
        });
    }

    private static String hostName() {
        try {
            return InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
        } catch (UnknownHostException e) {
            return "localhost";
        }
    }

    private static List<String> addressesHere() {
        try {
            return NetworkInterface.networkInterfaces()
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(a -> !a.isLoopbackAddress() && !a.isLinkLocalAddress())
                    .map(a -> a.getAddress().length > 4
                            ? "[" + a.getHostAddress().replaceAll("%.*", "") + "]"
                            : a.getHostAddress())
                    .toList();
        } catch (SocketException e) {
            return List.of();
        }
    }
}
