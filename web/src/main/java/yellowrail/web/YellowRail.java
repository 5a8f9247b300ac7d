package yellowrail.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import yellowrail.web.network.Lan;
import yellowrail.web.network.LanAddress;
import yellowrail.web.postgres.CannotStartException;
import yellowrail.web.postgres.DataFolder;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * Starts the application: claims the data folder, starts the database beside it unless one is given in
 * {@code SPRING_DATASOURCE_URL} or {@code -Dspring.datasource.url}, then serves. What keeps it from starting is told in
 * one line, and ends it with code 2.
 *
 * <pre>--data=DIR  --port=8080  --demo  --years=N  --lan[=ADDRESS]
 * --once (starts and stops again, for what is learned from a start)</pre>
 */
@SpringBootApplication
public class YellowRail {

    private static final String HOST = "127.0.0.1";
    private static final int CANNOT_START = 2;
    private static final int MOST_YEARS = 20;

    public static void main(String[] args) {
        try {
            serve(args, new DefaultApplicationArguments(args));
        } catch (RuntimeException e) {
            System.err.println(StartTrouble.of(e).orElseThrow(() -> e));
            System.exit(CANNOT_START);
        }
    }

    private static void serve(String[] args, DefaultApplicationArguments options) {
        int port = port(option(options, "port", "8080"));
        String url = "http://" + HOST + ":" + port;
        Map<String, Object> properties = new HashMap<>();
        properties.put("server.port", port);
        properties.put("yellow-rail.demo", options.containsOption("demo"));
        properties.put("yellow-rail.demo-years", years(option(options, "years", "0")));
        Path folder = Path.of(option(options, "data", System.getProperty("user.home") + "/.local/share/yellow-rail"))
                .toAbsolutePath();
        Optional<InetAddress> house = options.containsOption("lan")
                ? Optional.of(LanAddress.choose(option(options, "lan", "")))
                : Optional.empty();
        ApplicationContextInitializer<ConfigurableApplicationContext> database = context -> {};
        if (System.getenv("SPRING_DATASOURCE_URL") == null && System.getProperty("spring.datasource.url") == null) {
            DataFolder claimed = DataFolder.claim(folder, url);
            requireFree(port, house);
            say("Starting the database in " + claimed.path());
            PrivatePostgres postgres = PrivatePostgres.start(claimed.path());
            properties.putAll(postgres.properties());
            database = context -> context.getBeanFactory().registerSingleton("privatePostgres", postgres);
            // Holds the claim as well: a lock whose channel is collected as garbage is a lock no more.
            SpringApplication.getShutdownHandlers().add(() -> {
                postgres.close();
                claimed.close();
                say("Stopped.");
            });
        } else {
            requireFree(port, house);
        }
        house.ifPresent(address -> properties.putAll(Lan.properties(address, port, folder)));
        say("Starting the application");
        SpringApplication application = new SpringApplication(YellowRail.class);
        application.setDefaultProperties(properties);
        application.addInitializers(database);
        ConfigurableApplicationContext context = application.run(args);
        if (options.containsOption("once")) {
            visit(context);
            context.getBean(WarmUp.class).now();
            System.exit(SpringApplication.exit(context));
        }
        say("Yellow Rail serves on " + url + "   (Ctrl-C stops it)");
    }

    /** Asks for the first page, for what that takes. */
    private static void visit(ConfigurableApplicationContext context) {
        URI first =
                URI.create("http://" + HOST + ":" + context.getEnvironment().getProperty("local.server.port") + "/");
        try {
            HttpClient.newHttpClient()
                    .send(HttpRequest.newBuilder(first).build(), HttpResponse.BodyHandlers.discarding());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static int years(String asked) {
        if (!asked.matches("\\d{1,2}") || Integer.parseInt(asked) > MOST_YEARS) {
            throw new CannotStartException("--years takes a number from 1 to %d, got %s.".formatted(MOST_YEARS, asked));
        }
        return Integer.parseInt(asked);
    }

    private static int port(String asked) {
        if (!asked.matches("\\d{1,5}") || Integer.parseInt(asked) > 65_535) {
            throw new CannotStartException("--port takes a number from 1 to 65535, got " + asked + ".");
        }
        return Integer.parseInt(asked);
    }

    private static void requireFree(int port, Optional<InetAddress> house) {
        requireFree(InetAddress.getLoopbackAddress(), port);
        house.ifPresent(address -> requireFree(address, port));
    }

    private static void requireFree(InetAddress address, int port) {
        try (ServerSocket socket = new ServerSocket()) {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(address, port));
        } catch (IOException e) {
            boolean denied = String.valueOf(e.getMessage()).contains("Permission denied");
            throw new CannotStartException(denied ? StartTrouble.portOfRoot(port) : StartTrouble.portInUse(port), e);
        }
    }

    private static String option(DefaultApplicationArguments options, String name, String otherwise) {
        var values = options.getOptionValues(name);
        return values == null || values.isEmpty() ? otherwise : values.get(values.size() - 1);
    }

    private static void say(String line) {
        System.out.println(line);
    }
}
