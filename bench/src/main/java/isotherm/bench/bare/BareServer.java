package isotherm.bench.bare;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** A Spring Boot application of the program's own starters, in which nothing is: what a start costs before the product begins. */
@SpringBootApplication
public class BareServer {
    /** @param args settings, as on a command line */
    public static void main(String[] args) {
        SpringApplication.run(BareServer.class, args);
    }
}
