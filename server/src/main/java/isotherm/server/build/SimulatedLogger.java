package isotherm.server.build;

import isotherm.server.IsothermServer;
import isotherm.server.logger.LoggerCommand;
import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import tools.jackson.databind.json.JsonMapper;

/** The simulated data logger, started as a process of its own. It ends when this one does. */
final class SimulatedLogger implements AutoCloseable {
    private static final int LAST_WORDS_MS = 2000;

    private final Process process;
    private final BufferedWriter input;
    private final int port;

    private SimulatedLogger(Process process, BufferedWriter input, int port) {
        this.process = process;
        this.input = input;
        this.port = port;
    }

    /**
     * @param recipe what it simulates
     * @param json writes the recipe
     * @return the logger, listening
     * @throws IOException when it does not start
     */
    static SimulatedLogger start(LoggerCommand.Recipe recipe, JsonMapper json) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(command()).redirectError(ProcessBuilder.Redirect.INHERIT);
        // It needs no word of this process, the database's password least of all.
        builder.environment().clear();
        Process process = builder.start();
        BufferedWriter input =
                new BufferedWriter(new OutputStreamWriter(process.getOutputStream(), StandardCharsets.UTF_8));
        input.write(json.writeValueAsString(recipe) + "\n");
        input.flush();
        BufferedReader said =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (String line = said.readLine(); line != null; line = said.readLine()) {
            if (line.startsWith("PORT ")) {
                return new SimulatedLogger(
                        process, input, Integer.parseInt(line.substring(5).strip()));
            }
        }
        process.destroy();
        throw new IOException("The simulated logger did not start");
    }

    private static List<String> command() {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-Xmx192m"));
        String path = System.getProperty("java.class.path");
        var source = IsothermServer.class.getProtectionDomain().getCodeSource();
        boolean nested = source != null && source.getLocation().toString().startsWith("jar:nested");
        command.addAll(nested ? List.of("-jar", path) : List.of("-cp", path, IsothermServer.class.getName()));
        command.add("logger");
        return command;
    }

    /** @return the loopback port on which it listens */
    int port() {
        return port;
    }

    @Override
    public void close() {
        try {
            input.close();
            if (!process.waitFor(LAST_WORDS_MS, TimeUnit.MILLISECONDS)) {
                process.destroyForcibly();
            }
        } catch (IOException e) {
            process.destroyForcibly();
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
        }
    }
}
