package isotherm.server.access;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;

/**
 * While nobody signs in, whoever reaches the server may do everything: it listens on loopback alone. Beyond it, it listens only over
 * TLS and only with accounts.
 */
public class LoopbackOnly implements EnvironmentPostProcessor {
    @Override
    public void postProcessEnvironment(ConfigurableEnvironment environment, SpringApplication application) {
        boolean accounts = environment.getProperty("isotherm.together", Boolean.class, false);
        boolean encrypted = environment.containsProperty("server.ssl.key-store")
                || environment.containsProperty("server.ssl.certificate")
                || environment.containsProperty("server.ssl.bundle");
        check("server.address", environment.getProperty("server.address", "127.0.0.1"), accounts && encrypted);
        check("management.server.address", environment.getProperty("management.server.address", "127.0.0.1"), false);
    }

    /**
     * @param setting name of a setting
     * @param address what it says
     * @param guarded whether people sign in there, and nobody on the way can listen
     * @throws IllegalStateException when others could reach that and it is not guarded
     */
    static void check(String setting, String address, boolean guarded) {
        boolean loopback;
        try {
            loopback = InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            loopback = false;
        }
        if (!loopback && !guarded) {
            throw new NotLoopback(setting + "=" + address
                    + " would let everybody on the network in. Start it with ./isotherm run --lan, which asks people to sign in and"
                    + " encrypts what they send; otherwise only a loopback address, such as 127.0.0.1, is taken.");
        }
    }

    /** An address that others could reach. */
    static final class NotLoopback extends IllegalStateException {
        private static final long serialVersionUID = 1L;

        NotLoopback(String words) {
            super(words);
        }
    }
}
