package yellowrail.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import yellowrail.web.network.Lan;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * One application on one database of its own, for all the tests that need one: started with the first, stopped after
 * the last.
 */
public final class RunningApplication implements BeforeAllCallback {

    private static Running running;

    private record Running(Path folder, PrivatePostgres postgres, ConfigurableApplicationContext context)
            implements AutoCloseable {

        @Override
        public void close() throws IOException {
            context.close();
            postgres.close();
            delete(folder);
        }
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        context.getRoot().getStore(Namespace.GLOBAL).getOrComputeIfAbsent("yellow-rail", key -> start(), Running.class);
    }

    private static synchronized Running start() {
        try {
            Path folder = temporary("yellow-rail-tests");
            PrivatePostgres postgres = PrivatePostgres.start(folder);
            Map<String, Object> properties = new HashMap<>(postgres.properties());
            properties.put("server.port", 0);
            properties.put("yellow-rail.meter-port", 0);
            properties.putAll(Lan.properties(InetAddress.getByName("127.0.0.2"), freePort(), folder));
            SpringApplication application = new SpringApplicationBuilder(YellowRail.class, QueryCount.class)
                    .properties(properties)
                    .initializers(context -> context.getBeanFactory().registerSingleton("privatePostgres", postgres))
                    .build();
            running = new Running(folder, postgres, application.run());
            return running;
        } catch (Exception e) {
            throw new IllegalStateException("the application could not be started for the tests", e);
        }
    }

    /** A folder that the user postgres can enter, also when the tests run as root. */
    public static Path temporary(String name) throws IOException {
        Path folder = Files.createTempDirectory(Path.of("/tmp"), name);
        return Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    public static void delete(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        }
    }

    public static String url() {
        return "http://127.0.0.1:" + running.context().getEnvironment().getProperty("local.server.port");
    }

    /** Where a device of the house finds it. */
    public static String lanUrl() {
        return bean(Lan.class).url();
    }

    public static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static <T> T bean(String name, Class<T> type) {
        return running.context().getBean(name, type);
    }

    public static <T> T bean(Class<T> type) {
        return running.context().getBean(type);
    }
}
