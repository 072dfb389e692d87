package isotherm.server.testing;

import isotherm.server.IsothermServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.sql.DriverManager;
import java.sql.SQLException;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The real application, started once for all tests of a module on a free port, against the PostgreSQL that
 * {@code ./isotherm test} has started. Each process of tests gets an empty database of its own.
 */
public final class RunningServer implements AutoCloseable {
    private static RunningServer instance;

    private final ConfigurableApplicationContext context;
    private final URI address;
    private final HttpClient client = HttpClient.newHttpClient();

    private RunningServer(boolean demo) {
        String url = System.getenv("ISOTHERM_TEST_DB");
        String password = System.getenv("ISOTHERM_TEST_PASSWORD");
        if (url == null || password == null) {
            throw new IllegalStateException("The tests need their database: run ./isotherm test");
        }
        String name = "test_" + Long.toString(System.nanoTime(), 36);
        try (var connection = DriverManager.getConnection(url, "isotherm", password);
                var statement = connection.createStatement()) {
            statement.execute("create database " + name + " template template0");
        } catch (SQLException e) {
            throw new IllegalStateException("The tests' database cannot be reached at " + url, e);
        }
        context = new SpringApplicationBuilder(IsothermServer.class)
                .run(
                        "--server.port=0",
                        "--isotherm.demo=" + demo,
                        "--spring.datasource.url=" + url.replaceAll("/[^/]+$", "/" + name),
                        "--spring.datasource.username=isotherm",
                        "--spring.datasource.password=" + password);
        address = URI.create("http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port"));
    }

    /** @return the server, started at the first call */
    public static synchronized RunningServer get() {
        if (instance == null) {
            instance = new RunningServer(true);
            Runtime.getRuntime().addShutdownHook(new Thread(instance.context::close));
        }
        return instance;
    }

    /** @return another one with an empty garage, for a test that wants all of it; to be closed */
    public static RunningServer empty() {
        return new RunningServer(false);
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

    /** @return where it listens */
    public URI address() {
        return address;
    }

    /**
     * @param method HTTP method
     * @param path path and query
     * @param body JSON text, or null for none
     * @param headers names and values in turn
     * @return the answer
     */
    public HttpResponse<String> send(String method, String path, String body, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(address.resolve(path))
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        if (body != null) {
            request.header("content-type", "application/json");
        }
        if (headers.length > 0) {
            request.headers(headers);
        }
        return sent(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /**
     * @param path path and query
     * @param text content of a file
     * @return the answer to its being sent as a file
     */
    public HttpResponse<String> upload(String path, String text) {
        return post(path, HttpRequest.BodyPublishers.ofString(text), "application/octet-stream");
    }

    /**
     * @param path path and query
     * @param data content of a file
     * @return the answer to its being sent as a file
     */
    public HttpResponse<String> upload(String path, byte[] data) {
        return post(path, HttpRequest.BodyPublishers.ofByteArray(data), "application/octet-stream");
    }

    /**
     * @param path path and query
     * @param text plain text
     * @return the answer
     */
    public HttpResponse<String> sendText(String path, String text) {
        return post(path, HttpRequest.BodyPublishers.ofString(text), "text/plain;charset=utf-8");
    }

    private HttpResponse<String> post(String path, HttpRequest.BodyPublisher body, String type) {
        HttpRequest request = HttpRequest.newBuilder(address.resolve(path))
                .header("content-type", type)
                .POST(body)
                .build();
        return sent(request, HttpResponse.BodyHandlers.ofString());
    }

    /**
     * @param method HTTP method
     * @param path path and query
     * @param body JSON text
     * @return the answer's body
     */
    public byte[] bytes(String method, String path, String body) {
        HttpRequest request = HttpRequest.newBuilder(address.resolve(path))
                .header("content-type", "application/json")
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body))
                .build();
        return sent(request, HttpResponse.BodyHandlers.ofByteArray()).body();
    }

    /**
     * @param path path and query
     * @param data content of a file
     * @param type its media type
     * @return the answer to its being put there
     */
    public HttpResponse<String> put(String path, byte[] data, String type) {
        HttpRequest request = HttpRequest.newBuilder(address.resolve(path))
                .header("content-type", type)
                .PUT(HttpRequest.BodyPublishers.ofByteArray(data))
                .build();
        return sent(request, HttpResponse.BodyHandlers.ofString());
    }

    /**
     * @param path path of a stream of server-sent events
     * @return its lines as they come; close it when enough has been seen
     */
    public java.util.stream.Stream<String> lines(String path) {
        return sent(HttpRequest.newBuilder(address.resolve(path)).build(), HttpResponse.BodyHandlers.ofLines())
                .body();
    }

    private <T> HttpResponse<T> sent(HttpRequest request, HttpResponse.BodyHandler<T> handler) {
        try {
            return client.send(request, handler);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
