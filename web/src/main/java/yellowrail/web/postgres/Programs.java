package yellowrail.web.postgres;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;

/**
 * The programs of one PostgreSQL version. PostgreSQL refuses to run as root, so for root they run as the user that owns
 * the cluster, or as postgres where there is none yet.
 *
 * @param bin the folder of the programs
 * @param as the user they run as; blank for whoever runs the application
 */
record Programs(Path bin, String as) {

    private static final String ROOT = "root";
    private static final File ROOT_FOLDER = new File("/");
    private static final String SERVICE_USER = "postgres";
    private static final Duration QUICK = Duration.ofSeconds(10);

    static Programs of(Path bin, ClusterFolder cluster) {
        return new Programs(bin, isRoot() ? owner(cluster) : "");
    }

    static boolean isRoot() {
        return System.getProperty("user.name").equals(ROOT);
    }

    private static String owner(ClusterFolder cluster) {
        try {
            String owner = cluster.exists() ? Files.getOwner(cluster.cluster()).getName() : ROOT;
            return owner.equals(ROOT) ? SERVICE_USER : owner;
        } catch (IOException e) {
            return SERVICE_USER;
        }
    }

    /** @throws PostgresException if the program fails or does not end in time; the message is what it said */
    String run(Duration atMost, String program, String... arguments) {
        return feed("", atMost, program, arguments);
    }

    /** The same, with something to read. */
    String feed(String input, Duration atMost, String program, String... arguments) {
        List<String> command = new ArrayList<>(prefix());
        command.add(bin.resolve(program).toString());
        command.addAll(List.of(arguments));
        return system(input, atMost, command);
    }

    /**
     * Runs a program that reads or writes much.
     *
     * @param environment what it is told besides its arguments, and others may not see: a password
     * @param in what it reads; null for nothing
     * @param out where what it writes goes; null for nowhere
     */
    void stream(Map<String, String> environment, InputStream in, OutputStream out, String program, String... arguments)
            throws IOException {
        List<String> command = new ArrayList<>(prefix());
        command.add(bin.resolve(program).toString());
        command.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(command).directory(ROOT_FOLDER);
        builder.environment().putAll(environment);
        Process process = builder.start();
        CompletableFuture<String> said = CompletableFuture.supplyAsync(() -> all(process.getErrorStream()));
        try (OutputStream stdin = process.getOutputStream()) {
            if (in != null) {
                in.transferTo(stdin);
            }
        } catch (IOException ended) {
            // it has stopped reading: what it said tells why
        }
        try (InputStream written = process.getInputStream()) {
            written.transferTo(out == null ? OutputStream.nullOutputStream() : out);
        }
        try {
            if (process.waitFor() != 0) {
                throw new PostgresException("%s failed: %s".formatted(program, said.join()));
            }
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
            throw new PostgresException("interrupted while running " + program, e);
        }
    }

    /** A program of the system, as the same user. */
    void asOwner(String... command) {
        List<String> whole = new ArrayList<>(prefix());
        whole.addAll(List.of(command));
        system("", QUICK, whole);
    }

    /** A program of the system, as whoever runs the application. */
    static void system(String... command) {
        system("", QUICK, List.of(command));
    }

    private List<String> prefix() {
        return as.isEmpty() ? List.of() : List.of("runuser", "-u", as, "--");
    }

    private static String system(String input, Duration atMost, List<String> command) {
        try {
            Process process = new ProcessBuilder(command)
                    .directory(ROOT_FOLDER)
                    .redirectErrorStream(true)
                    .start();
            CompletableFuture<String> said = CompletableFuture.supplyAsync(() -> all(process.getInputStream()));
            try (OutputStream stdin = process.getOutputStream()) {
                stdin.write(input.getBytes(StandardCharsets.UTF_8));
            }
            if (!process.waitFor(atMost.toSeconds(), TimeUnit.SECONDS)) {
                process.destroyForcibly();
                throw new PostgresException("%s did not end within %d s".formatted(command, atMost.toSeconds()));
            }
            if (process.exitValue() != 0) {
                throw new PostgresException("%s failed: %s".formatted(String.join(" ", command), said.join()));
            }
            return said.join();
        } catch (IOException e) {
            throw new PostgresException("%s could not be run: %s".formatted(command, e.getMessage()), e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new PostgresException("interrupted while running " + command, e);
        }
    }

    private static String all(InputStream said) {
        try {
            return new String(said.readAllBytes(), StandardCharsets.UTF_8).strip();
        } catch (IOException e) {
            return e.getMessage();
        }
    }
}
