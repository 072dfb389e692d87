package isotherm.server.access;

import isotherm.server.testing.RunningServer;
import isotherm.server.testing.Visitor;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A server that people sign in at, with one of each role. */
final class SharedGarage implements AutoCloseable {
    static final String CODE = "ABCD-EFGH-JKMN";

    final RunningServer server;
    final Path code;
    final Visitor owner;

    SharedGarage() {
        try {
            code = Files.createTempDirectory("isotherm-access").resolve("owner.code");
            Files.writeString(code, CODE + "\n");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        server = RunningServer.with("--isotherm.together=true", "--isotherm.home=" + code.getParent());
        owner = new Visitor(server);
        owner.join("abcd efgh jkmn", "Olive");
    }

    Visitor stranger() {
        return new Visitor(server);
    }

    Visitor joined(String role, String name) {
        Visitor visitor = new Visitor(server);
        visitor.join(owner.invites(role), name);
        return visitor;
    }

    @Override
    public void close() {
        server.close();
    }
}
