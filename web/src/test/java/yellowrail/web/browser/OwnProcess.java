package yellowrail.web.browser;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import yellowrail.web.Visitor;
import yellowrail.web.YellowRail;

/** The application in a process of its own, started as the command starts it, so that it can be killed. */
final class OwnProcess {

    private static final long PATIENCE_SECONDS = 90;

    private final Process process;
    private final Path output;
    private final String url;

    private OwnProcess(Process process, Path output, String url) {
        this.process = process;
        this.output = output;
        this.url = url;
    }

    /** Starts it and does not wait. */
    static OwnProcess launch(Path data, int port, String... more) throws IOException {
        return launch(Map.of(), data, port, more);
    }

    /** The same with more in its environment. */
    static OwnProcess launch(Map<String, String> environment, Path data, int port, String... more) throws IOException {
        String classes = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        Path output = Files.createTempFile("yellow-rail-process", ".log");
        output.toFile().deleteOnExit();
        List<String> command = new ArrayList<>(List.of(
                System.getProperty("java.home") + "/bin/java",
                // It lives for seconds: what is compiled best is compiled too late.
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                classes,
                YellowRail.class.getName(),
                "--data=" + data,
                "--port=" + port));
        command.addAll(List.of(more));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(output.toFile());
        builder.environment().putAll(environment);
        Process process = builder.start();
        return new OwnProcess(process, output, "http://127.0.0.1:" + port);
    }

    /** Starts it and waits until it answers. */
    static OwnProcess start(Path data, int port, String... more) throws IOException, InterruptedException {
        return launch(data, port, more).awaited();
    }

    /** Once it answers. */
    OwnProcess awaited() throws IOException, InterruptedException {
        for (long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_SECONDS);
                System.nanoTime() < until;
                Thread.sleep(200)) {
            if (!process.isAlive()) {
                break;
            }
            try {
                new Visitor(url).get("/actuator/health");
                return this;
            } catch (IllegalStateException notYet) {
                continue;
            }
        }
        throw new AssertionError("the application did not start: " + said());
    }

    String url() {
        return url;
    }

    String said() throws IOException {
        return Files.readString(output);
    }

    /** The exit code of one that ends by itself. */
    int ended() throws InterruptedException {
        if (!process.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
            throw new AssertionError("the application did not end by itself");
        }
        return process.exitValue();
    }

    /** As kill -9 does it. */
    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    /** As Ctrl-C does it. */
    void stop() throws InterruptedException {
        process.destroy();
        ended();
    }
}
