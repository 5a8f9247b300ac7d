package yellowrail.web.browser;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/**
 * Measures how long the built application takes to its first page, alone on the machine: {@code ./yellow-rail bench}.
 */
class StartBenchmark {

    @Test
    void startToFirstPage() throws Exception {
        Path app = Path.of("target/app").toAbsolutePath();
        Path data = RunningApplication.temporary("yellow-rail-bench");
        List<Double> seconds = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            int port = OwnProcess.freePort();
            long begun = System.nanoTime();
            Process process = new ProcessBuilder(
                            System.getProperty("java.home") + "/bin/java",
                            "-XX:SharedArchiveFile=" + app.resolve("classes.jsa"),
                            "-jar",
                            app.resolve("yellow-rail.jar").toString(),
                            "--data=" + data,
                            "--port=" + port)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            Visitor visitor = new Visitor("http://127.0.0.1:" + port);
            while (!answers(visitor)) {
                TimeUnit.MILLISECONDS.sleep(50);
            }
            if (i > 0) {
                seconds.add((System.nanoTime() - begun) / 1e9);
            }
            process.destroy();
            process.waitFor();
        }
        RunningApplication.delete(data);
        Timings.print("start of the built jar to the first page, database made", seconds, "s", "8 s");
    }

    private static boolean answers(Visitor visitor) {
        try {
            return visitor.get("/").statusCode() == 200;
        } catch (IllegalStateException notYet) {
            return false;
        }
    }
}
