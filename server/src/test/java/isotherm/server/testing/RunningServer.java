package isotherm.server.testing;

import isotherm.server.IsothermServer;
import java.net.URI;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/**
 * The real application, started once for all tests of a module on a free port, against the PostgreSQL that
 * {@code ./isotherm test} has started. Each process of tests gets an empty database of its own.
 */
public final class RunningServer extends ApiClient implements AutoCloseable {
    private static RunningServer instance;

    private final ConfigurableApplicationContext context;
    private final URI address;

    /** Puts something into a database before the application sees it. */
    public interface Filling {
        /**
         * @param database name of the database
         * @throws Exception when it cannot be filled
         */
        void fill(String database) throws Exception;
    }

    private final String database;

    private RunningServer(boolean demo, Filling filling, String... settings) {
        this(fresh(filling), demo, List.of(), settings);
    }

    /** Makes a database, which {@code filling} fills; answers its name. */
    static String fresh(Filling filling) {
        String url = System.getenv("ISOTHERM_TEST_DB");
        String password = System.getenv("ISOTHERM_TEST_PASSWORD");
        String appPassword = System.getenv("ISOTHERM_TEST_APP_PASSWORD");
        if (url == null || password == null || appPassword == null) {
            throw new IllegalStateException("The tests need their database: run ./isotherm test");
        }
        String name = "test_" + Long.toString(System.nanoTime(), 36);
        try (var connection = DriverManager.getConnection(url, "isotherm", password);
                var statement = connection.createStatement()) {
            statement.execute("create database " + name + " template template0 owner isotherm_app");
        } catch (SQLException e) {
            throw new IllegalStateException("The tests' database cannot be reached at " + url, e);
        }
        try {
            filling.fill(name);
        } catch (Exception e) {
            throw new IllegalStateException("The tests' database cannot be filled", e);
        }
        return name;
    }

    private RunningServer(String database, boolean demo, List<Class<?>> beans, String... settings) {
        this.database = database;
        List<String> all = new ArrayList<>(List.of("--server.port=0", "--isotherm.demo=" + demo));
        all.addAll(reaching(database));
        all.addAll(List.of(settings));
        context = new SpringApplicationBuilder(IsothermServer.class)
                // The program whose beans were known when it was built, not the one that runs the tests.
                .main(IsothermServer.class)
                .initializers(c -> beans.forEach(b -> ((GenericApplicationContext) c).registerBean(b)))
                .run(all.toArray(String[]::new));
        address = URI.create("http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port"));
    }

    /** The settings by which the application reaches a database: as a role that is no superuser, as it runs with its people. */
    static List<String> reaching(String database) {
        return List.of(
                "--spring.datasource.url=" + System.getenv("ISOTHERM_TEST_DB").replaceAll("/[^/]+$", "/" + database),
                "--spring.datasource.username=isotherm_app",
                "--spring.datasource.password=" + System.getenv("ISOTHERM_TEST_APP_PASSWORD"));
    }

    /** @return the server, started at the first call */
    public static synchronized RunningServer get() {
        if (instance == null) {
            instance = new RunningServer(true, database -> {});
            Runtime.getRuntime().addShutdownHook(new Thread(instance.context::close));
        }
        return instance;
    }

    /** @return another one with an empty garage, for a test that wants all of it; to be closed */
    public static RunningServer empty() {
        return new RunningServer(false, database -> {});
    }

    /**
     * @param settings settings of the application, as on its command line
     * @return another one with an empty garage; to be closed
     */
    public static RunningServer with(String... settings) {
        return new RunningServer(false, database -> {}, settings);
    }

    /**
     * @param bean a class of the test's own, which the program did not know when it was built
     * @return another one with an empty garage, which has one of that; to be closed
     */
    public static RunningServer having(Class<?> bean) {
        return new RunningServer(fresh(database -> {}), false, List.of(bean));
    }

    /**
     * @param settings settings of the application, as on its command line
     * @return another one on the same database; to be closed
     */
    public RunningServer beside(String... settings) {
        return new RunningServer(database, false, List.of(), settings);
    }

    /**
     * @param filling puts something into its database first
     * @return another one on what is there then; to be closed
     */
    public static RunningServer on(Filling filling) {
        return new RunningServer(false, filling);
    }

    @Override
    public void close() {
        context.close();
    }

    /**
     * @param type type of a bean
     * @param <T> type of a bean
     * @return the bean of the running application
     */
    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public URI address() {
        return address;
    }
}
