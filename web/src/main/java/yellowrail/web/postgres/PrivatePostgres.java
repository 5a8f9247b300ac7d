package yellowrail.web.postgres;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * A PostgreSQL server of the application's own, from Debian's programs, on a free loopback port. A server that outlived
 * an application that was killed is taken over; one that was killed itself recovers when it is started; one that was
 * halted is let run. Whoever calls holds the claim on the data folder, so that nobody else starts a server on it.
 */
public final class PrivatePostgres implements AutoCloseable {

    static final String DATABASE = "yellowrail";

    /** How long a server may work off what a crash has left. */
    private static final Duration RECOVERY = Duration.ofMinutes(2);
    /** How long one may be silent before it is ended. */
    private static final Duration SILENCE = Duration.ofSeconds(10);

    private static final Duration STOPPING = Duration.ofSeconds(60);
    /** What another process still holds is let go soon after that process was killed. */
    private static final int ATTEMPTS = 6;

    private static final long LONGEST_LOG_BYTES = 1L << 20;

    private final ClusterFolder folder;
    private final Programs programs;
    private final Knock knock;
    private int port;

    private PrivatePostgres(ClusterFolder folder, Programs programs) {
        this.folder = folder;
        this.programs = programs;
        this.knock = new Knock(folder);
    }

    /**
     * Starts a server on the cluster under the folder, making the cluster first if there is none.
     *
     * @param path the data folder, absolute
     * @throws PostgresException if there is no server on the machine or it does not start; the message says what to do
     */
    public static PrivatePostgres start(Path path) {
        ClusterFolder folder = new ClusterFolder(path);
        Programs programs = Programs.of(Installed.find().running(folder), folder);
        PrivatePostgres postgres = new PrivatePostgres(folder, programs);
        try {
            new Replacement(path).finish();
            new ClusterMaker(folder, programs).make();
            postgres.bringUp();
            return postgres;
        } catch (IOException | SQLException | PostgresException e) {
            throw new PostgresException(
                    Space.isShort(path)
                            ? Space.full(path)
                            : "PostgreSQL could not be started in %s: %s".formatted(folder.cluster(), e.getMessage()),
                    e);
        }
    }

    /**
     * The server that a running application has on a folder, without starting anything. It is not stopped by whoever
     * only looks in.
     *
     * @throws PostgresException if none answers
     */
    public static PrivatePostgres lookInto(Path path) {
        ClusterFolder folder = new ClusterFolder(path);
        PrivatePostgres postgres =
                new PrivatePostgres(folder, Programs.of(Installed.find().running(folder), folder));
        postgres.port = Postmaster.of(folder).map(Postmaster::port).orElse(0);
        if (postgres.port == 0 || !postgres.answers()) {
            throw new PostgresException(
                    "The database of the running application in %s does not answer.".formatted(path));
        }
        return postgres;
    }

    /** Brings the server back, whatever became of it. On the port it had, which the application knows. */
    public synchronized void bringUp() throws IOException, SQLException {
        Optional<Postmaster> holder = Postmaster.of(folder);
        if (holder.isEmpty() || !takesOver(holder.get())) {
            startProcess();
        }
        if (knock.at(port) == Knock.Answer.EMPTY) {
            makeDatabase();
        }
    }

    /** Whether there is a server process that is neither dead nor halted. */
    public boolean runs() {
        return Postmaster.of(folder).filter(Postmaster::isRunning).isPresent();
    }

    /** Whether a server takes connections now. */
    public boolean answers() {
        return knock.at(port) == Knock.Answer.ACCEPTS;
    }

    /** @return false if it is dead, or would not answer and was ended */
    private boolean takesOver(Postmaster server) {
        long until = System.nanoTime() + RECOVERY.toNanos();
        long silentUntil = System.nanoTime() + SILENCE.toNanos();
        server.letRun();
        while (server.isAlive() && System.nanoTime() < Math.min(until, silentUntil)) {
            int itsPort = Postmaster.of(folder).map(Postmaster::port).orElse(0);
            Knock.Answer answer = itsPort == 0 ? Knock.Answer.SILENT : knock.at(itsPort);
            if (answer == Knock.Answer.ACCEPTS || answer == Knock.Answer.EMPTY) {
                port = itsPort;
                return true;
            }
            if (answer == Knock.Answer.NOT_YET) {
                silentUntil = System.nanoTime() + SILENCE.toNanos();
            }
            pause(Duration.ofMillis(100));
        }
        server.end();
        return false;
    }

    private void startProcess() throws IOException {
        turnLog();
        int wished = port == 0 ? freePort() : port;
        for (int attempt = 1; ; attempt++) {
            Files.deleteIfExists(folder.pidFile());
            long logged = Files.exists(folder.log()) ? Files.size(folder.log()) : 0;
            try {
                programs.run(
                        RECOVERY.plusSeconds(10),
                        "pg_ctl",
                        "start",
                        "--wait",
                        "--timeout=" + RECOVERY.toSeconds(),
                        "--silent",
                        "--pgdata=" + folder.cluster(),
                        "--log=" + folder.log(),
                        "--options=-p " + wished + " -c listen_addresses=127.0.0.1 -c unix_socket_directories=''");
                port = wished;
                return;
            } catch (PostgresException e) {
                String why = lastWords(logged).orElse(e.getMessage());
                if (attempt == ATTEMPTS || !passes(why)) {
                    throw new PostgresException(why, e);
                }
                pause(Duration.ofMillis(250L << attempt));
                wished = port == 0 ? freePort() : port;
            }
        }
    }

    /** Whether waiting helps: somebody else has the port just now, or children of a killed server are still going. */
    private static boolean passes(String why) {
        return why.contains("shared memory")
                || why.contains("could not create any TCP/IP sockets")
                || why.contains("lock file");
    }

    /** Why a server that did not start gave up, by what it has added to its log. */
    private Optional<String> lastWords(long logged) {
        try (InputStream log = Files.newInputStream(folder.log())) {
            log.skipNBytes(logged);
            List<String> added = new String(log.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank())
                    .toList();
            return added.stream()
                    .filter(line -> line.contains("FATAL:") || line.contains("PANIC:"))
                    .reduce((earlier, later) -> later)
                    .or(() -> added.stream().reduce((earlier, later) -> later));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private void turnLog() throws IOException {
        Path log = folder.log();
        if (Files.exists(log) && Files.size(log) > LONGEST_LOG_BYTES) {
            Files.move(log, log.resolveSibling("server.log.1"), StandardCopyOption.REPLACE_EXISTING);
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    private static void pause(Duration length) {
        try {
            TimeUnit.MILLISECONDS.sleep(length.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new PostgresException("interrupted while waiting for the database", e);
        }
    }

    private void makeDatabase() throws SQLException, IOException {
        try (var connection = knock.connect(port, "postgres");
                var statement = connection.createStatement()) {
            statement.setQueryTimeout(0);
            connection.setNetworkTimeout(Runnable::run, (int) RECOVERY.toMillis());
            statement.execute("CREATE DATABASE " + DATABASE);
        }
    }

    public int port() {
        return port;
    }

    /** The data folder. */
    public Path data() {
        return folder.folder();
    }

    /** A connection that waits as long as it takes. */
    public Connection connect() throws SQLException, IOException {
        Connection connection = knock.connect(port, DATABASE);
        connection.setNetworkTimeout(Runnable::run, 0);
        return connection;
    }

    /**
     * Writes all that is stored, in PostgreSQL's own format.
     *
     * @param snapshot the moment as of which it is told, from {@code pg_export_snapshot()}
     * @param emptied the table whose rows are left out
     */
    public void dump(String snapshot, String emptied, OutputStream out) throws IOException {
        programs.stream(
                secret(),
                null,
                out,
                "pg_dump",
                with(
                        "--format=custom",
                        "--compress=6",
                        "--exclude-table-data=public." + emptied,
                        "--snapshot=" + snapshot));
    }

    /** Reads what {@link #dump} wrote into a database that is empty: all or nothing. */
    public void load(InputStream in) throws IOException {
        programs.stream(
                secret(),
                in,
                null,
                "pg_restore",
                with("--no-owner", "--no-privileges", "--exit-on-error", "--single-transaction"));
    }

    private Map<String, String> secret() throws IOException {
        return Map.of("PGPASSWORD", folder.password());
    }

    private String[] with(String... more) {
        return Stream.concat(
                        Stream.of(more),
                        Stream.of(
                                "--host=127.0.0.1",
                                "--port=" + port,
                                "--username=" + ClusterMaker.USER,
                                "--dbname=" + DATABASE,
                                "--no-password"))
                .toArray(String[]::new);
    }

    /** What Spring needs to find it. */
    public Map<String, Object> properties() {
        try {
            return Map.of(
                    "spring.datasource.url",
                    "jdbc:postgresql://127.0.0.1:" + port + "/" + DATABASE,
                    "spring.datasource.username",
                    ClusterMaker.USER,
                    "spring.datasource.password",
                    folder.password());
        } catch (IOException e) {
            throw new PostgresException("The database password in %s cannot be read".formatted(folder.folder()), e);
        }
    }

    @Override
    public synchronized void close() {
        Postmaster.of(folder).ifPresent(server -> {
            server.letRun();
            programs.run(
                    STOPPING, "pg_ctl", "stop", "--wait", "--silent", "--mode=fast", "--pgdata=" + folder.cluster());
        });
    }
}
