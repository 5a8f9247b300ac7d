package yellowrail.web.postgres;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * The server process that has a cluster in its hands. The file {@code postmaster.pid} alone does not tell: after a
 * power cut its number may belong to any program, or to a process that has died and is still listed. So it counts only
 * when that process is a {@code postgres} which was started on this very folder.
 *
 * @param pid the number of the process
 * @param port the port on which it says to listen, 0 where it has not said so yet
 */
record Postmaster(long pid, int port) {

    private static final int PORT_LINE = 3;
    private static final char GONE = ' ';

    static Optional<Postmaster> of(ClusterFolder folder) {
        try {
            List<String> lines = Files.readAllLines(folder.pidFile());
            long pid = Long.parseLong(lines.get(0).strip());
            return serves(pid, folder.cluster())
                    ? Optional.of(new Postmaster(pid, number(lines, PORT_LINE)))
                    : Optional.empty();
        } catch (IOException | NumberFormatException | IndexOutOfBoundsException noSuchFile) {
            return Optional.empty();
        }
    }

    private static int number(List<String> lines, int line) {
        return lines.size() > line && lines.get(line).strip().matches("\\d{1,5}")
                ? Integer.parseInt(lines.get(line).strip())
                : 0;
    }

    /**
     * The words with which a process was started tell the program and its folder; of a dead one there are none left.
     */
    private static boolean serves(long pid, Path cluster) throws IOException {
        Path told = Path.of("/proc", String.valueOf(pid), "cmdline");
        if (!Files.exists(told)) {
            return false;
        }
        String[] words = new String(Files.readAllBytes(told), StandardCharsets.UTF_8).split("\0");
        if (!Path.of(words[0]).endsWith("postgres")) {
            return false;
        }
        for (int i = 1; i + 1 < words.length; i++) {
            if (words[i].equals("-D") && isSame(Path.of(words[i + 1]), cluster)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isSame(Path one, Path other) throws IOException {
        return Files.exists(one) && Files.isSameFile(one, other);
    }

    boolean isAlive() {
        char state = state();
        return state != GONE && state != 'Z' && state != 'X';
    }

    /** Alive, and not halted. */
    boolean isRunning() {
        return isAlive() && state() != 'T';
    }

    /** The letter by which the system tells it: R, S and D are alive, T is halted, Z is dead and still listed. */
    private char state() {
        try {
            String stat = Files.readString(Path.of("/proc", String.valueOf(pid), "stat"));
            return stat.charAt(stat.lastIndexOf(')') + 2);
        } catch (IOException | StringIndexOutOfBoundsException gone) {
            return GONE;
        }
    }

    /** Lets a server run on that somebody has halted, and all that work for it. */
    void letRun() {
        signal("-CONT");
    }

    /** Ends it as a power cut would; what it had acknowledged is on the disk. */
    void end() {
        List<Long> all = family();
        signal("-KILL");
        for (long until = System.nanoTime() + Duration.ofSeconds(10).toNanos();
                all.stream().anyMatch(each -> new Postmaster(each, 0).isAlive()) && System.nanoTime() < until; ) {
            pause();
        }
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(50);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void signal(String signal) {
        List<String> command = new ArrayList<>(List.of("sh", "-c", "kill " + signal + " \"$@\" || true", "sh"));
        family().forEach(each -> command.add(String.valueOf(each)));
        Programs.system(command.toArray(String[]::new));
    }

    private List<Long> family() {
        return ProcessHandle.of(pid)
                .map(process -> Stream.concat(
                                Stream.of(pid), process.descendants().map(ProcessHandle::pid))
                        .toList())
                .orElse(List.of());
    }
}
