package yellowrail.core.stage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Debian's ngspice, run on a netlist as it was written. */
final class CircuitSimulator {

    private static final Path PROGRAM = Path.of("/usr/bin/ngspice");
    private static final Pattern THD = Pattern.compile("THD: ([-+.\\deE]+) %");
    private static final Pattern FUNDAMENTAL = Pattern.compile("(?m)^\\s*1\\s+1000\\s+([-+.\\deE]+)");

    private CircuitSimulator() {}

    /** @param volts amplitude of the fundamental at the node out */
    record Answer(double volts, double distortion, double seconds) {}

    static boolean isInstalled() {
        return Files.isExecutable(PROGRAM);
    }

    static Answer run(String netlist) throws IOException, InterruptedException {
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
            String text = Files.readString(output);
            return new Answer(found(FUNDAMENTAL, text), found(THD, text) / 100, (System.nanoTime() - begun) / 1e9);
        } finally {
            Files.deleteIfExists(file);
            Files.deleteIfExists(output);
        }
    }

    private static double found(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        if (!matcher.find()) {
            throw new IllegalStateException(
                    "the circuit simulator said:\n" + text.substring(0, Math.min(4000, text.length())));
        }
        return Double.parseDouble(matcher.group(1));
    }
}
