package yellowrail.web.postgres;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * The PostgreSQL servers on this machine, by their major version. Debian keeps each in a folder of its own, so that
 * several stand beside each other; a cluster runs on the version that made it and on no other.
 *
 * @param programs the folders with the programs, oldest first
 */
public record Installed(NavigableMap<Integer, Path> programs) {

    private static final Path DEBIAN = Path.of("/usr/lib/postgresql");
    /** For a machine that keeps them elsewhere, and for rehearsing an upgrade. */
    private static final String ELSEWHERE = "YELLOW_RAIL_POSTGRESQL";

    /** @throws PostgresException if there is none */
    public static Installed find() {
        String elsewhere = System.getenv(ELSEWHERE);
        Path where = elsewhere == null ? DEBIAN : Path.of(elsewhere);
        Installed found = in(where);
        if (found.programs.isEmpty()) {
            throw new PostgresException("No PostgreSQL server under " + where
                    + ". Install Debian's package postgresql: apt-get install postgresql");
        }
        return found;
    }

    /** Whatever else lies in the folder is passed over. */
    static Installed in(Path folder) {
        NavigableMap<Integer, Path> programs = new TreeMap<>();
        try (Stream<Path> versions = Files.list(folder)) {
            versions.filter(version -> version.getFileName().toString().matches("\\d{1,3}"))
                    .filter(version -> Files.isExecutable(version.resolve("bin/postgres")))
                    .sorted(Comparator.naturalOrder())
                    .forEach(version ->
                            programs.put(Integer.parseInt(version.getFileName().toString()), version.resolve("bin")));
        } catch (IOException none) {
            programs.clear();
        }
        return new Installed(programs);
    }

    Optional<Path> of(int major) {
        return Optional.ofNullable(programs.get(major));
    }

    int newest() {
        return programs.lastKey();
    }

    /**
     * The programs that run a cluster.
     *
     * @throws PostgresException if its version is not installed; the message names the command that brings it forward
     */
    Path running(ClusterFolder cluster) {
        int version = cluster.version().orElseGet(this::newest);
        return of(version)
                .orElseThrow(() -> new PostgresException(
                        ("The data in %s were written by PostgreSQL %d, and installed is %s. Nothing was touched. "
                                        + "Bring the data forward: ./yellow-rail upgrade --data %s")
                                .formatted(cluster.folder(), version, versions(), cluster.folder())));
    }

    private String versions() {
        return String.join(", ", programs.keySet().stream().map(String::valueOf).toList());
    }
}
