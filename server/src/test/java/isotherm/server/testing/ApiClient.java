package isotherm.server.testing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** Speaks HTTP with a server. */
public abstract class ApiClient {
    static {
        // A connection that the server is about to close is not taken out of the pool for one more question.
        System.setProperty("jdk.httpclient.keepalive.timeout", "5");
    }

    private final HttpClient client = HttpClient.newHttpClient();

    /** @return where it listens */
    public abstract URI address();

    /**
     * @param method HTTP method
     * @param path path and query
     * @param body JSON text, or null for none
     * @param headers names and values in turn
     * @return the answer
     */
    public HttpResponse<String> send(String method, String path, String body, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(address().resolve(path))
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

    /**
     * @param path path and query
     * @param content a file that is too large to hold
     * @return the answer to its being sent
     */
    public HttpResponse<String> upload(String path, Supplier<InputStream> content) {
        return post(path, HttpRequest.BodyPublishers.ofInputStream(content), "application/octet-stream");
    }

    private HttpResponse<String> post(String path, HttpRequest.BodyPublisher body, String type) {
        HttpRequest request = HttpRequest.newBuilder(address().resolve(path))
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
        HttpRequest request = HttpRequest.newBuilder(address().resolve(path))
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
        HttpRequest request = HttpRequest.newBuilder(address().resolve(path))
                .header("content-type", type)
                .PUT(HttpRequest.BodyPublishers.ofByteArray(data))
                .build();
        return sent(request, HttpResponse.BodyHandlers.ofString());
    }

    /**
     * @param path path of a stream of server-sent events
     * @return its lines as they come; close it when enough has been seen
     */
    public Stream<String> lines(String path) {
        return sent(HttpRequest.newBuilder(address().resolve(path)).build(), HttpResponse.BodyHandlers.ofLines())
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
