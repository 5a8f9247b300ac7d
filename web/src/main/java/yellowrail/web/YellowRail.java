package yellowrail.web;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import yellowrail.web.database.DataFolder;
import yellowrail.web.database.PrivatePostgres;

/**
 * Starts the application: claims the data folder, starts the database beside it unless one is given in
 * {@code SPRING_DATASOURCE_URL}, then serves.
 *
 * <pre>--data=DIR  --port=8080  --demo  --once (starts and stops again, for what is learned from a start)</pre>
 */
@SpringBootApplication
public class YellowRail {

    private static final String HOST = "127.0.0.1";

    public static void main(String[] args) {
        var options = new DefaultApplicationArguments(args);
        int port = Integer.parseInt(option(options, "port", "8080"));
        String url = "http://" + HOST + ":" + port;
        try {
            serve(args, options, port, url);
        } catch (DataFolder.InUseException | PrivatePostgres.PostgresException | PortInUseException e) {
            System.err.println(e.getMessage());
            System.exit(2);
        }
    }

    private static void serve(String[] args, DefaultApplicationArguments options, int port, String url) {
        Map<String, Object> properties = new HashMap<>();
        properties.put("server.port", port);
        properties.put("yellow-rail.demo", options.containsOption("demo"));
        if (System.getenv("SPRING_DATASOURCE_URL") == null) {
            Path folder = Path.of(
                            option(options, "data", System.getProperty("user.home") + "/.local/share/yellow-rail"))
                    .toAbsolutePath();
            DataFolder claimed = DataFolder.claim(folder, url);
            requireFree(port);
            say("Starting the database in " + claimed.path());
            PrivatePostgres postgres = PrivatePostgres.start(claimed.path());
            properties.putAll(postgres.properties());
            // Holds the claim as well: a lock whose channel is collected as garbage is a lock no more.
            SpringApplication.getShutdownHandlers().add(() -> {
                postgres.close();
                claimed.close();
                say("Stopped.");
            });
        } else {
            requireFree(port);
        }
        say("Starting the application");
        SpringApplication application = new SpringApplication(YellowRail.class);
        application.setDefaultProperties(properties);
        ConfigurableApplicationContext context = application.run(args);
        if (options.containsOption("once")) {
            System.exit(SpringApplication.exit(context));
        }
        say("Yellow Rail serves on " + url + "   (Ctrl-C stops it)");
    }

    private static void requireFree(int port) {
        try (ServerSocket socket = new ServerSocket()) {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(InetAddress.getByName(HOST), port));
        } catch (IOException e) {
            throw new PortInUseException(port);
        }
    }

    private static String option(DefaultApplicationArguments options, String name, String otherwise) {
        var values = options.getOptionValues(name);
        return values == null || values.isEmpty() ? otherwise : values.get(values.size() - 1);
    }

    private static void say(String line) {
        System.out.println(line);
    }

    private static final class PortInUseException extends RuntimeException {

        PortInUseException(int port) {
            super("Port %d is in use by another program. Stop that one, or choose another port: --port %d"
                    .formatted(port, port + 1));
        }
    }
}
