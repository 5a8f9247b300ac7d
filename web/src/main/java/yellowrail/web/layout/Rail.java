package yellowrail.web.layout;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Stream;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.web.words.Words;

/**
 * The yellow line under the title and what hangs from it.
 *
 * @param title what is on the bench
 * @param nodes the places on the line, in the order of work
 */
public record Rail(String title, List<Node> nodes) {

    /**
     * A place on the line.
     *
     * @param name where it is
     * @param href how to get there
     * @param here whether one stands there now
     * @param status done, skipped or due
     * @param key the key that leads there
     */
    public record Node(String name, String href, boolean here, String status, int key) {}

    public static Rail plain(String title) {
        return new Rail(title, List.of());
    }

    /** The rail of an amp: the stations of its run, wherever that stands. */
    public static Rail ofAmp(long ampId, String name, Station here, Words words) {
        return stations(
                name,
                here,
                words,
                station -> "/amps/" + ampId + "/run?at=" + station.token(),
                station -> RunProgress.Status.DUE);
    }

    /** The rail of a run. */
    public static Rail ofRun(long runId, String name, Station here, RunProgress progress, Words words) {
        return stations(name, here, words, station -> "/runs/" + runId + "?at=" + station.token(), progress::status);
    }

    private static Rail stations(
            String name,
            Station here,
            Words words,
            Function<Station, String> href,
            Function<Station, RunProgress.Status> status) {
        return new Rail(
                name,
                Stream.of(Station.values())
                        .map(station -> new Node(
                                words.name(station),
                                href.apply(station),
                                station == here,
                                status.apply(station).name().toLowerCase(Locale.ROOT),
                                station.ordinal() + 1))
                        .toList());
    }
}
