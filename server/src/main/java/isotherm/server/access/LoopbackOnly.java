package isotherm.server.access;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;

/** Without accounts whoever reaches the server may do everything: it listens on loopback alone. */
public class LoopbackOnly implements EnvironmentPostProcessor {
    @Override
    public void postProcessEnvironment(ConfigurableEnvironment environment, SpringApplication application) {
        check("server.address", environment.getProperty("server.address", "127.0.0.1"));
        check("management.server.address", environment.getProperty("management.server.address", "127.0.0.1"));
    }

    /**
     * @param setting name of a setting
     * @param address what it says
     * @throws IllegalStateException when others could reach that
     */
    static void check(String setting, String address) {
        boolean loopback;
        try {
            loopback = InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            loopback = false;
        }
        if (!loopback) {
            throw new NotLoopback(setting + "=" + address
                    + " would let everybody on the network read and change this garage: there are no accounts yet. Only a"
                    + " loopback address, such as 127.0.0.1, is taken.");
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
