package yellowrail.web.database;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * A PostgreSQL cluster of the application's own, from Debian's server binaries, on a free loopback port. A server that
 * outlived an application that was killed is taken over; a server that was killed itself recovers when started.
 * PostgreSQL refuses to run as root, so for root its programs run as the user postgres.
 */
public final class PrivatePostgres implements AutoCloseable {

    private static final Path DEBIAN = Path.of("/usr/lib/postgresql");
    private static final String USER = "yellowrail";
    private static final String DATABASE = "yellowrail";

    private final Path binaries;
    private final Path cluster;
    private final Path passwordFile;
    private final int port;
    private final boolean root;

    private PrivatePostgres(Path binaries, Path cluster, Path passwordFile, int port, boolean root) {
        this.binaries = binaries;
        this.cluster = cluster;
        this.passwordFile = passwordFile;
        this.port = port;
        this.root = root;
    }

    /**
     * Starts the cluster under the folder, making it first if there is none.
     *
     * @param folder absolute
     * @throws PostgresException if there is no server on the machine or it does not start; the message says what to do
     */
    public static PrivatePostgres start(Path folder) {
        Path binaries = binaries()
                .orElseThrow(() -> new PostgresException("No PostgreSQL server under " + DEBIAN
                        + ". Install Debian's package postgresql: apt-get install postgresql"));
        boolean root = System.getProperty("user.name").equals("root");
        Path cluster = folder.resolve("postgres");
        Path passwordFile = folder.resolve("postgres-password");
        try {
            PrivatePostgres fresh = new PrivatePostgres(binaries, cluster, passwordFile, freePort(), root);
            fresh.make();
            PrivatePostgres running = fresh.alreadyRunning().orElse(fresh);
            if (running == fresh) {
                fresh.run(
                        Duration.ofSeconds(60),
                        "pg_ctl",
                        "start",
                        "--wait",
                        "--silent",
                        "--pgdata=" + cluster,
                        "--log=" + cluster.resolve("server.log"),
                        "--options=-p " + fresh.port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories=''");
            }
            running.makeDatabase();
            return running;
        } catch (IOException | SQLException e) {
            throw new PostgresException(
                    "PostgreSQL could not be started in %s: %s".formatted(cluster, e.getMessage()), e);
        }
    }

    private static Optional<Path> binaries() {
        if (!Files.isDirectory(DEBIAN)) {
            return Optional.empty();
        }
        try (Stream<Path> versions = Files.list(DEBIAN)) {
            return versions.map(version -> version.resolve("bin"))
                    .filter(bin -> Files.isExecutable(bin.resolve("initdb")))
                    .max(Comparator.comparingInt(bin ->
                            Integer.parseInt(bin.getParent().getFileName().toString())));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    private void make() throws IOException {
        if (Files.exists(passwordFile)) {
            return;
        }
        Path draft = passwordFile.resolveSibling("postgres-password.new");
        Files.deleteIfExists(draft);
        Files.createFile(draft, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        byte[] secret = new byte[24];
        new SecureRandom().nextBytes(secret);
        Files.writeString(draft, HexFormat.of().formatHex(secret));
        if (root) {
            requireReachable();
            run(Duration.ofSeconds(10), List.of("install", "-d", "-o", "postgres", "-m", "700", cluster.toString()));
            run(Duration.ofSeconds(10), List.of("chown", "postgres", draft.toString()));
        }
        run(
                Duration.ofSeconds(120),
                "initdb",
                "--pgdata=" + cluster,
                "--username=" + USER,
                "--auth=scram-sha-256",
                "--pwfile=" + draft,
                "--encoding=UTF8",
                "--locale=C.UTF-8",
                "--no-instructions");
        Files.move(draft, passwordFile);
    }

    /** The user postgres must be able to walk down to the folder. */
    private void requireReachable() throws IOException {
        try {
            run(
                    Duration.ofSeconds(10),
                    "/usr/bin/test",
                    "-x",
                    cluster.getParent().toString());
        } catch (PostgresException e) {
            throw new PostgresException(
                    ("PostgreSQL runs as the user postgres when started by root, and that user cannot enter %s. "
                                    + "Choose another folder with --data, such as --data /var/lib/yellow-rail, "
                                    + "or start as an ordinary user.")
                            .formatted(cluster.getParent()),
                    e);
        }
    }

    private Optional<PrivatePostgres> alreadyRunning() throws IOException {
        Path pidFile = cluster.resolve("postmaster.pid");
        if (!Files.exists(pidFile)) {
            return Optional.empty();
        }
        try {
            run(Duration.ofSeconds(10), "pg_ctl", "status", "--pgdata=" + cluster);
        } catch (PostgresException stale) {
            return Optional.empty();
        }
        int itsPort = Integer.parseInt(Files.readAllLines(pidFile).get(3).strip());
        return Optional.of(new PrivatePostgres(binaries, cluster, passwordFile, itsPort, root));
    }

    private void makeDatabase() throws SQLException, IOException {
        try (var connection = DriverManager.getConnection(
                        "jdbc:postgresql://127.0.0.1:" + port + "/postgres", USER, password());
                var statement = connection.createStatement()) {
            try (var found = statement.executeQuery("SELECT 1 FROM pg_database WHERE datname = '" + DATABASE + "'")) {
                if (found.next()) {
                    return;
                }
            }
            statement.execute("CREATE DATABASE " + DATABASE);
        }
    }

    /** What Spring needs to find it. */
    public Map<String, Object> properties() {
        try {
            return Map.of(
                    "spring.datasource.url",
                    "jdbc:postgresql://127.0.0.1:" + port + "/" + DATABASE,
                    "spring.datasource.username",
                    USER,
                    "spring.datasource.password",
                    password());
        } catch (IOException e) {
            throw new PostgresException("The database password in %s cannot be read".formatted(passwordFile), e);
        }
    }

    private String password() throws IOException {
        return Files.readString(passwordFile).strip();
    }

    @Override
    public void close() {
        run(Duration.ofSeconds(60), "pg_ctl", "stop", "--wait", "--silent", "--mode=fast", "--pgdata=" + cluster);
    }

    private void run(Duration atMost, String program, String... arguments) {
        List<String> command = new ArrayList<>();
        if (root) {
            command.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        command.add(binaries.resolve(program).toString());
        command.addAll(List.of(arguments));
        run(atMost, command);
    }

    private void run(Duration atMost, List<String> command) {
        try {
            Path output = Files.createTempFile("yellow-rail-postgres", ".log");
            try {
                Process process = new ProcessBuilder(command)
                        .directory(Path.of("/").toFile())
                        .redirectErrorStream(true)
                        .redirectOutput(output.toFile())
                        .start();
                if (!process.waitFor(atMost.toSeconds(), TimeUnit.SECONDS)) {
                    process.destroyForcibly();
                    throw new PostgresException("%s did not end within %d s".formatted(command, atMost.toSeconds()));
                }
                if (process.exitValue() != 0) {
                    throw new PostgresException("%s failed: %s"
                            .formatted(
                                    String.join(" ", command),
                                    Files.readString(output).strip()));
                }
            } finally {
                Files.deleteIfExists(output);
            }
        } catch (IOException e) {
            throw new PostgresException("%s could not be run: %s".formatted(command, e.getMessage()), e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new PostgresException("interrupted while running " + command, e);
        }
    }

    /** The server is missing or will not run. */
    public static final class PostgresException extends RuntimeException {

        PostgresException(String message) {
            super(message);
        }

        PostgresException(String message, Throwable cause) {
            super(message, cause);
        }
    }
}
