package yellowrail.web.browser;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.postgres.PrivatePostgres;

/**
 * Measures how long the built application takes to its first page, alone on the machine, beside a bare application of
 * the same libraries: {@code ./yellow-rail bench}. Ours starts from an archive of its classes and with its beans
 * settled when it was built; the bare one as it is, and from an archive of its own too. They take turns, so that what
 * else the machine does meets all.
 */
class StartBenchmark {

    private static final int ROUNDS = 7;
    /** What a bare application has no use for. */
    private static final Pattern NOT_BARE =
            Pattern.compile("(springdoc|swagger|thymeleaf|attoparser|unbescape|spring-boot-security|spring-security"
                    + "|spring-boot-actuator|spring-boot-health"
                    + "|ical4j|core-3"
                    + "|hipparchus|jgrapht|jheaps|apfloat|bootstrap|htmx|webjars|commons-csv|commons-io|commons-codec"
                    + "|threeten|yellow-rail|snakeyaml|jackson-dataformat"
                    + "|jackson-core-2|jackson-databind-2|spring-boot-jarmode).*");

    private static final Path APP = Path.of("target/app").toAbsolutePath();

    private Path folder;

    @BeforeEach
    void folder() throws IOException {
        folder = RunningApplication.temporary("yellow-rail-bench");
    }

    @AfterEach
    void leaveNothing() throws IOException {
        RunningApplication.delete(folder);
    }

    @Test
    void startToFirstPage() throws Exception {
        Path data = Files.createDirectory(folder.resolve("data"));
        List<Double> ours = new ArrayList<>();
        List<Double> oursOnRunning = new ArrayList<>();
        List<Double> bare = new ArrayList<>();
        List<Double> archived = new ArrayList<>();
        List<Double> server = new ArrayList<>();
        Bare bareCommand = bareCommand();
        firstPage(ourCommand(data), Map.of());
        for (int i = 0; i < ROUNDS; i++) {
            ours.add(firstPage(ourCommand(data), Map.of()));
            long begun = System.nanoTime();
            try (PrivatePostgres postgres = PrivatePostgres.start(data)) {
                server.add(seconds(begun));
                Map<String, String> found = environment(postgres);
                oursOnRunning.add(firstPage(ourCommand(data), found));
                bare.add(firstPage(bareCommand.plain(), found));
                archived.add(firstPage(bareCommand.archived(), found));
            }
        }
        Timings.print("start to the first page, its database started too", ours, "s", "8 s");
        Timings.print("the same on a database that runs", oursOnRunning, "s", "8 s");
        Timings.print("a bare application on a database that runs", bare, "s", "8 s");
        Timings.print("the bare one from an archive of its classes", archived, "s", "8 s");
        System.out.printf(
                Locale.ROOT,
                "start beside the bare one: %.2f times on a database that runs (aim: at most 1.3), %.2f times with the "
                        + "start of the database, %.1f s; beside the bare one from an archive: %.2f times%n",
                median(oursOnRunning) / median(bare),
                median(ours) / (median(bare) + median(server)),
                median(server),
                median(oursOnRunning) / median(archived));
    }

    private static List<String> ourCommand(Path data) {
        return List.of(
                java("java"),
                "-Dspring.aot.enabled=true",
                "-XX:SharedArchiveFile=" + APP.resolve("classes.jsa"),
                "-Xshare:auto",
                "-Xlog:disable",
                "-Xlog:all=error:stderr",
                "-jar",
                APP.resolve("yellow-rail.jar").toString(),
                "--data=" + data);
    }

    /** Commands that start the bare one: as anybody would, and as we start ours. */
    private record Bare(List<String> plain, List<String> archived) {}

    /** The bare one as a jar of its own, its classes archived as ours are. */
    private Bare bareCommand() throws Exception {
        Path jar = folder.resolve("bare.jar");
        run(List.of(java("jar"), "--create", "--file", jar.toString(), "-C", "target/test-classes", "bare"), Map.of());
        Path steps = Files.createDirectory(folder.resolve("steps"));
        Files.writeString(steps.resolve("V1__thing.sql"), "CREATE TABLE thing (id bigint PRIMARY KEY);");
        String classes;
        try (Stream<Path> jars = Files.list(APP.resolve("lib"))) {
            classes = Stream.concat(
                            Stream.of(jar),
                            jars.filter(each -> !NOT_BARE.matcher(
                                                    each.getFileName().toString())
                                            .matches())
                                    .sorted())
                    .map(Path::toString)
                    .collect(Collectors.joining(File.pathSeparator));
        }
        Path archive = folder.resolve("bare.jsa");
        List<String> settings = List.of(
                "-cp",
                classes,
                "-Dspring.flyway.locations=filesystem:" + steps,
                "-Dspring.flyway.table=bare_history",
                "-Dspring.flyway.baseline-on-migrate=true",
                "-Dspring.flyway.baseline-version=0",
                "-Dspring.main.banner-mode=off",
                "-Dlogging.level.root=warn",
                "bare.BareApplication");
        Path data = Files.createDirectory(folder.resolve("bare-data"));
        try (PrivatePostgres postgres = PrivatePostgres.start(data)) {
            run(
                    command(List.of("-XX:ArchiveClassesAtExit=" + archive), settings, "--once", "--server.port=0"),
                    environment(postgres));
        }
        return new Bare(command(List.of(), settings), command(List.of("-XX:SharedArchiveFile=" + archive), settings));
    }

    private static List<String> command(List<String> archive, List<String> settings, String... more) {
        List<String> command = new ArrayList<>(List.of(java("java"), "-Xlog:disable", "-Xlog:all=error:stderr"));
        command.addAll(archive);
        command.addAll(settings);
        command.addAll(List.of(more));
        return command;
    }

    private static String java(String program) {
        return System.getProperty("java.home") + "/bin/" + program;
    }

    private static Map<String, String> environment(PrivatePostgres postgres) {
        Map<String, String> environment = new HashMap<>();
        postgres.properties()
                .forEach((name, value) ->
                        environment.put(name.toUpperCase(Locale.ROOT).replace('.', '_'), value.toString()));
        return environment;
    }

    private static void run(List<String> command, Map<String, String> environment) throws Exception {
        ProcessBuilder builder = new ProcessBuilder(command).inheritIO();
        builder.environment().putAll(environment);
        if (builder.start().waitFor() != 0) {
            throw new IllegalStateException(command + " failed");
        }
    }

    /** From nothing to a page that says 200. */
    private static double firstPage(List<String> command, Map<String, String> environment) throws Exception {
        int port = RunningApplication.freePort();
        List<String> whole = new ArrayList<>(command);
        whole.add(command.contains("bare.BareApplication") ? "--server.port=" + port : "--port=" + port);
        ProcessBuilder builder =
                new ProcessBuilder(whole).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD);
        builder.environment().putAll(environment);
        long begun = System.nanoTime();
        Process process = builder.start();
        Visitor visitor = new Visitor("http://127.0.0.1:" + port);
        while (!answers(visitor)) {
            TimeUnit.MILLISECONDS.sleep(20);
        }
        double took = seconds(begun);
        process.destroy();
        process.waitFor();
        return took;
    }

    private static double seconds(long begun) {
        return (System.nanoTime() - begun) / 1e9;
    }

    private static double median(List<Double> figures) {
        return figures.stream().sorted().toList().get(figures.size() / 2);
    }

    private static boolean answers(Visitor visitor) {
        try {
            return visitor.get("/").statusCode() == 200;
        } catch (IllegalStateException notYet) {
            return false;
        }
    }
}
