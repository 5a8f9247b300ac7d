package yellowrail.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import yellowrail.web.RunningApplication;

/**
 * Random and hostile requests over every route there is, from a seed: {@code ./yellow-rail hostile [HOW-MANY]}. It
 * prints what was answered, and fails if anything was answered with 5xx, named a class, or took more than five seconds.
 */
@ExtendWith(RunningApplication.class)
class HostileRequests {

    private static final int MANY = Integer.getInteger("requests", 100_000);
    private static final long SEED = Long.getLong("seed", 17);
    private static final Duration LONGEST = Duration.ofSeconds(5);
    private static final Pattern CLASS_NAME =
            Pattern.compile("(?:org|java|jakarta|tools|yellowrail)\\.[a-z]+\\.[a-zA-Z.]+");
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern VARIABLE = Pattern.compile("\\{([^}:]+)[^}]*}");

    private static final List<String> VALUES = List.of(
            "",
            " ",
            "0",
            "-1",
            "1",
            "2",
            "3",
            "7",
            "1e9",
            "-1e-9",
            "NaN",
            "Infinity",
            "9".repeat(400),
            "0x10",
            "1/0",
            "250",
            "71,5",
            "250 V",
            "36.4mV",
            "4.2k",
            "\u221e",
            "\u0663",
            "\u2212" + "5",
            "true",
            "false",
            "on",
            "yes",
            "null",
            "EL34",
            "6L6GC",
            "KT88",
            "12AX7",
            "GZ34",
            "V1",
            "V1 36.4",
            "plate 452",
            "note x",
            "undo",
            "tube V1 EL34 new",
            "' OR 1=1 --",
            "\"; DROP TABLE amp; --",
            "<script>alert(1)</script>",
            "${7*7}",
            "#{7*7}",
            "*{x}",
            "__${1}__::.x",
            "{{7*7}}",
            "../../etc/passwd",
            "..\\..\\x",
            "%00",
            "\u0000",
            "\r\nSet-Cookie: a=b",
            "a\tb",
            "\ud83d\ude00",
            "\u202etxt",
            "\ufeff",
            "e\u0301",
            "a".repeat(3_000),
            "[1,2]",
            "{\"a\":{}}",
            "[[[[[[",
            "1970-01-01",
            "2026-02-30",
            "9999999-01-01",
            "25:61",
            "127.0.0.1:5432",
            "http://example.invalid/",
            "/etc/hosts",
            "name,volts\nA,1\n",
            "type,label\nEL34,Z1\n",
            ";;;;",
            ",,,,",
            "\"",
            "\\",
            "measure",
            "soak",
            "prove");

    private static final List<String> TYPES = List.of(
            "application/json",
            "application/json",
            "application/x-www-form-urlencoded",
            "text/plain",
            "multipart/form-data",
            "audio/wav",
            "application/xml",
            "nonsense",
            "");

    private static final int VISITORS = 4;

    private final List<Route> routes = routes();
    private final Map<String, Integer> answers = new TreeMap<>();
    private final List<String> wrong = new ArrayList<>();
    private int answered;
    private String slowest = "";
    private long slowestNanos;

    /** A way in: its path as it is declared, what it is asked with, and the names of its parameters. */
    private record Route(String path, String method, List<String> parameters) {}

    private record Answer(int status, String path, String body) {}

    private static List<Route> routes() {
        List<Route> found = new ArrayList<>();
        RunningApplication.bean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .forEach((info, handler) -> {
                    for (String path : info.getPatternValues()) {
                        Stream<String> methods =
                                info.getMethodsCondition().getMethods().stream().map(RequestMethod::name);
                        methods.forEach(method -> found.add(new Route(path, method, parameters(handler))));
                    }
                });
        found.sort(Comparator.comparing(Route::path).thenComparing(Route::method));
        return found;
    }

    private static List<String> parameters(HandlerMethod handler) {
        return Stream.of(handler.getMethodParameters())
                .filter(parameter -> !parameter.hasParameterAnnotation(CookieValue.class))
                .map(parameter -> {
                    RequestParam declared = parameter.getParameterAnnotation(RequestParam.class);
                    String name = declared == null ? "" : declared.name() + declared.value();
                    return name.isEmpty() ? parameter.getParameter().getName() : name;
                })
                .toList();
    }

    @Test
    void nothingBreaks() throws Exception {
        ExecutorService visitors = Executors.newFixedThreadPool(VISITORS);
        List<Future<Void>> asked = IntStream.range(0, VISITORS)
                .mapToObj(i -> visitors.submit(() -> new Intruder(SEED + i).visit(MANY / VISITORS)))
                .toList();
        for (Future<Void> each : asked) {
            each.get();
        }
        visitors.shutdown();
        System.out.printf(
                Locale.ROOT,
                "%d requests of %d visitors over %d routes, seed %d: %s; slowest %.2f s (%s)%n",
                MANY,
                VISITORS,
                routes.size(),
                SEED,
                answers,
                slowestNanos / 1e9,
                slowest);
        assertThat(wrong).isEmpty();
    }

    /** One of those who ask at the same time, with a session and a seed of its own. */
    private final class Intruder {

        private final Random random;
        private final HttpClient client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .connectTimeout(LONGEST)
                .build();

        Intruder(long seed) {
            random = new Random(seed);
        }

        Void visit(int times) throws Exception {
            String token = "";
            for (int i = 0; i < times; i++) {
                if (i % 250 == 0) {
                    token = token();
                }
                ask(routes.get(random.nextInt(routes.size())), token);
            }
            return null;
        }

        private String token() throws Exception {
            Matcher token = TOKEN.matcher(send(HttpRequest.newBuilder(uri("/"))).body());
            return token.find() ? token.group(1) : "";
        }

        /** What tells of changes has no end: of that, only its beginning. */
        private Answer send(HttpRequest.Builder request) throws Exception {
            HttpResponse<InputStream> response = client.send(
                    request.timeout(LONGEST.multipliedBy(3)).build(), HttpResponse.BodyHandlers.ofInputStream());
            boolean isEndless = response.headers()
                    .firstValue("Content-Type")
                    .filter(type -> type.startsWith(MediaType.TEXT_EVENT_STREAM_VALUE))
                    .isPresent();
            try (InputStream body = response.body()) {
                byte[] read = isEndless ? body.readNBytes(1) : body.readAllBytes();
                return new Answer(
                        response.statusCode(), response.uri().getPath(), new String(read, StandardCharsets.UTF_8));
            }
        }

        private String value() {
            return VALUES.get(random.nextInt(VALUES.size()));
        }

        private void ask(Route route, String token) throws Exception {
            String path = VARIABLE.matcher(route.path())
                    .replaceAll(variable -> Matcher.quoteReplacement(
                            random.nextInt(3) == 0 ? encoded(value()) : String.valueOf(1 + random.nextInt(12))));
            String fields = fields(route);
            boolean writes = !route.method().equals("GET");
            HttpRequest.Builder request =
                    HttpRequest.newBuilder(uri(path + (writes || fields.isEmpty() ? "" : "?" + fields)));
            String told = route.method() + " " + path + " " + fields;
            if (writes) {
                body(request, route, fields, token);
            }
            if (random.nextInt(4) == 0) {
                request.header("HX-Request", "true");
            }
            request.header("Accept", random.nextInt(5) == 0 ? "application/json" : "text/html,*/*;q=0.8");
            long begun = System.nanoTime();
            Answer answer = send(request);
            judge(answer, System.nanoTime() - begun, told);
        }

        private void body(HttpRequest.Builder request, Route route, String fields, String token) {
            boolean json = route.path().startsWith("/api/");
            String type = random.nextInt(json ? 12 : 30) == 0
                    ? TYPES.get(random.nextInt(TYPES.size()))
                    : json ? "application/json" : "application/x-www-form-urlencoded";
            if (!type.isEmpty()) {
                request.header("Content-Type", type);
            }
            String body = json ? document(3) : fields + "&_csrf=" + encoded(token);
            request.method(route.method(), HttpRequest.BodyPublishers.ofString(body));
        }

        private String fields(Route route) {
            StringBuilder fields = new StringBuilder();
            List<String> names = new ArrayList<>(route.parameters());
            names.addAll(List.of(
                    "line", "form", "at", "q", "name", "file", "stage.tubeType", "pots[0].name", "class.x", "once"));
            for (int i = random.nextInt(8); i > 0; i--) {
                fields.append(fields.isEmpty() ? "" : "&")
                        .append(encoded(names.get(random.nextInt(names.size()))))
                        .append('=')
                        .append(encoded(value()));
            }
            return fields.toString();
        }

        /** A JSON document that may be anything. */
        private String document(int depth) {
            List<String> names =
                    List.of("tubeType", "in", "wants", "amp", "log", "tubes", "plateVolts", "method", "points", "x");
            return switch (random.nextInt(depth == 0 ? 4 : 8)) {
                case 0 -> String.valueOf(random.nextGaussian() * Math.pow(10, random.nextInt(20) - 8));
                case 1 -> "null";
                case 2 -> quoted(value());
                case 3 -> random.nextInt(10) == 0 ? value() : "true";
                case 4 -> "[" + document(depth - 1) + "," + document(depth - 1) + "]";
                default -> {
                    StringBuilder object = new StringBuilder("{");
                    for (int i = random.nextInt(6); i > 0; i--) {
                        object.append(object.length() == 1 ? "" : ",")
                                .append(quoted(names.get(random.nextInt(names.size()))))
                                .append(':')
                                .append(document(depth - 1));
                    }
                    yield object.append('}').toString();
                }
            };
        }
    }

    private static URI uri(String path) {
        return URI.create(RunningApplication.url() + path);
    }

    private static String quoted(String text) {
        return '"' + text.replace("\\", "\\\\").replace("\"", "\\\"").replaceAll("[\\x00-\\x1f]", " ") + '"';
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private synchronized void judge(Answer answer, long nanos, String told) {
        answers.merge(String.valueOf(answer.status()), 1, Integer::sum);
        answered++;
        if (answered % 10_000 == 0) {
            System.out.printf("%d: %s%n", answered, answers);
        }
        String shown = told.length() > 200 ? told.substring(0, 200) + "\u2026" : told;
        if (nanos > slowestNanos) {
            slowestNanos = nanos;
            slowest = shown;
        }
        boolean isDocument =
                answer.path().startsWith("/v3/api-docs") || answer.path().equals("/licences");
        if (answer.status() >= 500
                || nanos > LONGEST.toNanos()
                || !isDocument && CLASS_NAME.matcher(answer.body()).find()) {
            wrong.add("%d in %.1f s: %s%n    %s"
                    .formatted(
                            answer.status(),
                            nanos / 1e9,
                            shown,
                            answer.body()
                                    .substring(0, Math.min(300, answer.body().length()))));
        }
    }
}
