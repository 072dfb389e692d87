package isotherm.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The web application: HTTP API, storage and the built interface as static resources. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@EnableScheduling
public class IsothermServer {
    /**
     * Starts the server, or runs {@code solve} or the simulated {@code logger} when that is the first argument.
     *
     * @param args {@code solve FILE}, {@code logger}, or Spring settings
     */
    public static void main(String[] args) {
        if (args.length > 0 && args[0].equals("solve")) {
            System.exit(isotherm.server.files.SolveCommand.run(args, System.in, System.out, System.err));
        }
        if (args.length > 0 && args[0].equals("logger")) {
            System.exit(isotherm.server.logger.LoggerCommand.run(System.in, System.out, System.err));
        }
        SpringApplication.run(IsothermServer.class, args);
    }
}
