package isotherm.server.logger;

import isotherm.core.fluid.Units;
import isotherm.core.trial.SimulatedEngine;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;

/**
 * The simulated data logger as a process of its own: reads one line of JSON that says what it simulates, says on which loopback
 * port it listens, and ends when its input ends, so that it never outlives whoever started it.
 */
public final class LoggerCommand {
    private static final int PERIOD_MS = 100;

    private LoggerCommand() {}

    /**
     * What is simulated.
     *
     * @param car a car
     * @param design a design with a cooler
     * @param fault what is wrong
     * @param ambientC air temperature
     * @param pace seconds that pass in the engine in each second
     * @param port loopback port; 0 for any
     * @param seed the same seed gives the same noise
     */
    public record Recipe(
            @Text("a car") CarDocument car,
            @Text("a design with a cooler") DesignDocument design,
            @Text("what is wrong") SimulatedEngine.Fault fault,
            @Quantity(value = "air temperature", min = -30, max = 45, unit = "°C") double ambientC,
            @Quantity(value = "seconds that pass in the engine in each second", min = 1, max = 200) double pace,
            @Missing("any free one") @Quantity(value = "loopback port", min = 0, max = 65_535) Integer port,
            @Missing("1") @Quantity(value = "seed of the noise", min = 0, max = 1e9) Integer seed)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            if (design.cooler() == null) {
                problems.add(Problem.of(path + "/design/cooler", null, "A design with a cooler is expected here"));
            }
        }
    }

    /**
     * Runs until the input ends.
     *
     * @param in one line of JSON with a {@link Recipe}; the process ends with it
     * @param out receives {@code PORT} and the port
     * @param err receives what is wrong
     * @return exit code
     */
    public static int run(InputStream in, PrintStream out, PrintStream err) {
        BufferedReader input = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
        try {
            Recipe recipe = DocumentReader.read(String.valueOf(input.readLine()), Recipe.class);
            SimulatedEngine engine = new SimulatedEngine(
                    recipe.car().toCore(),
                    recipe.design().toCore(recipe.car()),
                    recipe.fault(),
                    Units.kelvin(recipe.ambientC()),
                    recipe.seed() == null ? 1 : recipe.seed());
            try (ServerSocket server =
                    new ServerSocket(recipe.port() == null ? 0 : recipe.port(), 1, InetAddress.getLoopbackAddress())) {
                Thread serving = new Thread(() -> serve(server, engine, recipe.pace()), "gauges");
                serving.setDaemon(true);
                serving.start();
                out.println("PORT " + server.getLocalPort());
                out.flush();
                while (input.readLine() != null) {
                    // Nothing is asked for here: what counts is that somebody still holds the other end.
                }
            }
            return 0;
        } catch (InvalidDocument e) {
            e.problems().forEach(p -> err.println(p.path() + ": " + p.message()));
            return 2;
        } catch (IOException e) {
            err.println(e.getMessage());
            return 1;
        }
    }

    private static void serve(ServerSocket server, SimulatedEngine engine, double pace) {
        while (!server.isClosed()) {
            try (Socket socket = server.accept()) {
                talk(socket, engine, pace);
            } catch (IOException e) {
                // Whoever listened has gone: the next one is waited for.
            }
        }
    }

    private static void talk(Socket socket, SimulatedEngine engine, double pace) throws IOException {
        AtomicReference<SimulatedEngine.Turning> wanted = new AtomicReference<>();
        Thread listening = new Thread(() -> listen(socket, wanted), "commands");
        listening.setDaemon(true);
        listening.start();
        BufferedWriter out =
                new BufferedWriter(new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8));
        // Said before the first row is computed, which a cold program on a busy machine takes seconds for.
        out.write(GaugeLines.GREETING + "\n");
        out.flush();
        try {
            while (true) {
                SimulatedEngine.Turning turning = wanted.getAndSet(null);
                if (turning != null) {
                    engine.turn(turning);
                }
                out.write(GaugeLines.row(engine.after(pace * PERIOD_MS / 1000)) + "\n");
                out.flush();
                Thread.sleep(PERIOD_MS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void listen(Socket socket, AtomicReference<SimulatedEngine.Turning> wanted) {
        try (BufferedReader in =
                new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                GaugeLines.command(line).ifPresent(wanted::set);
            }
        } catch (IOException | UncheckedIOException e) {
            // The connection has ended; the sender notices by itself.
        }
    }
}
