package yellowrail.web.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
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

    static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Starts it and does not wait. */
    static OwnProcess launch(Path data, int port, String... more) throws IOException {
        String classes = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        Path output = Files.createTempFile("yellow-rail-process", ".log");
        output.toFile().deleteOnExit();
        List<String> command = new ArrayList<>(List.of(
                System.getProperty("java.home") + "/bin/java",
                "-cp",
                classes,
                YellowRail.class.getName(),
                "--data=" + data,
                "--port=" + port));
        command.addAll(List.of(more));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(output.toFile())
                .start();
        return new OwnProcess(process, output, "http://127.0.0.1:" + port);
    }

    /** Starts it and waits until it answers. */
    static OwnProcess start(Path data, int port, String... more) throws IOException, InterruptedException {
        OwnProcess started = launch(data, port, more);
        for (long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_SECONDS);
                System.nanoTime() < until;
                Thread.sleep(200)) {
            if (!started.process.isAlive()) {
                break;
            }
            try {
                new Visitor(started.url).get("/actuator/health");
                return started;
            } catch (IllegalStateException notYet) {
                continue;
            }
        }
        throw new AssertionError("the application did not start: " + started.said());
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
