package yellowrail.core;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Debian's ngspice, run on a netlist as it was written. */
public final class CircuitSimulator {

    private static final Path PROGRAM = Path.of("/usr/bin/ngspice");

    private CircuitSimulator() {}

    /** What it printed, and how long it took. */
    public record Output(String text, double seconds) {

        /** The number that a pattern's first group finds. */
        public double number(Pattern pattern) {
            Matcher matcher = pattern.matcher(text);
            if (!matcher.find()) {
                throw new IllegalStateException(
                        "the circuit simulator said:\n" + text.substring(0, Math.min(4000, text.length())));
            }
            return Double.parseDouble(matcher.group(1));
        }

        /** What was measured under a name. */
        public double measured(String name) {
            return number(Pattern.compile("(?m)^" + name + "\\s*=\\s*([-+.\\deE]+)"));
        }
    }

    public static boolean isInstalled() {
        return Files.isExecutable(PROGRAM);
    }

    public static Output run(String netlist) throws IOException, InterruptedException {
        Path file = Files.createTempFile("yellow-rail", ".cir");
        Path output = Files.createTempFile("yellow-rail", ".out");
        try {
            Files.writeString(file, netlist);
            long begun = System.nanoTime();
            Process process = new ProcessBuilder(PROGRAM.toString(), "-b", file.toString())
                    .redirectErrorStream(true)
                    .redirectOutput(output.toFile())
                    .start();
            if (!process.waitFor(120, TimeUnit.SECONDS)) {
                process.destroyForcibly();
                throw new IllegalStateException("the circuit simulator took more than two minutes");
            }
            return new Output(Files.readString(output), (System.nanoTime() - begun) / 1e9);
        } finally {
            Files.deleteIfExists(file);
            Files.deleteIfExists(output);
        }
    }
}
