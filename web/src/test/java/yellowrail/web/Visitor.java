package yellowrail.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import javax.net.ssl.SSLContext;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.FormElement;

/** A visitor without a browser: fetches pages and sends their forms, token and cookie included. */
public final class Visitor {

    private final HttpClient client;
    private final String url;

    public Visitor(String url) {
        this(url, HttpClient.newBuilder());
    }

    /** Over TLS, where it trusts whom it was told to trust. */
    public Visitor(String url, SSLContext trust) {
        this(url, HttpClient.newBuilder().sslContext(trust));
    }

    private Visitor(String url, HttpClient.Builder client) {
        this.client = client.cookieHandler(new CookieManager()).build();
        this.url = url;
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Accept", "text/html,*/*;q=0.8")
                .GET());
    }

    /** As a browser of this language asks. */
    public HttpResponse<String> get(String path, String language) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Accept", "text/html,*/*;q=0.8")
                .header("Accept-Language", language)
                .GET());
    }

    public HttpResponse<String> postJson(String path, String body) {
        return postJson(path, body, "en");
    }

    /** As a client of this language sends it. */
    public HttpResponse<String> postJson(String path, String body, String language) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Accept-Language", language)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** A body that is no text. */
    public HttpResponse<String> postBytes(String path, String type, byte[] body) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    public HttpResponse<String> post(String path, Map<String, String> fields) {
        String body = fields.entrySet().stream()
                .map(field -> encode(field.getKey()) + "=" + encode(field.getValue()))
                .collect(Collectors.joining("&"));
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Accept", "text/html,*/*;q=0.8")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** Sends a file with the fields beside it, as the form on a page does. */
    public HttpResponse<String> upload(
            String path, String page, String name, String content, Map<String, String> fields) {
        return upload(path, page, name, content.getBytes(StandardCharsets.UTF_8), fields);
    }

    /** The same where it is no text. */
    public HttpResponse<String> upload(
            String path, String page, String name, byte[] content, Map<String, String> fields) {
        String boundary = "----yellow-rail-test";
        Map<String, String> all = new LinkedHashMap<>(fields);
        all.put("_csrf", form(page, path).get("_csrf"));
        String part = "--" + boundary + "\r\nContent-Disposition: form-data; name=\"";
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        all.forEach((field, value) -> write(body, part + field + "\"\r\n\r\n" + value + "\r\n"));
        write(body, part + "file\"; filename=\"" + name + "\"\r\nContent-Type: text/csv\r\n\r\n");
        body.writeBytes(content);
        write(body, "\r\n--" + boundary + "--\r\n");
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Accept", "text/html")
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())));
    }

    private static void write(ByteArrayOutputStream body, String text) {
        body.writeBytes(text.getBytes(StandardCharsets.UTF_8));
    }

    /** The fields of the form on a page that posts to {@code action}, as they stand. */
    public Map<String, String> form(String page, String action) {
        FormElement form = (FormElement) page(page).select("form").stream()
                .filter(each -> each.attr("action").equals(action))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no form for " + action + " on " + page));
        Map<String, String> fields = new LinkedHashMap<>();
        form.formData().forEach(field -> fields.put(field.key(), field.value()));
        return fields;
    }

    /** A page, taken apart. */
    public Document page(String path) {
        return Jsoup.parse(get(path).body());
    }

    /** Where an answer leads, as a path. */
    public static String location(HttpResponse<String> response) {
        return response.headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]+", "");
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** What is no text, as it comes. */
    public byte[] getBytes(String path) {
        return send(HttpRequest.newBuilder(URI.create(url + path)).GET(), HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        return send(request, HttpResponse.BodyHandlers.ofString());
    }

    private <T> HttpResponse<T> send(HttpRequest.Builder request, HttpResponse.BodyHandler<T> as) {
        try {
            return client.send(request.build(), as);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
