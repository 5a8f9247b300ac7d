package yellowrail.web.layout;

import java.util.List;

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
     * @param href how to get there; blank when there is nothing there yet
     * @param here whether one stands there now
     */
    public record Node(String name, String href, boolean here) {
    }

    public static Rail plain(String title) {
        return new Rail(title, List.of());
    }

    /** The rail of an amp: its sheet, its run, its moments side by side. */
    public static Rail ofAmp(long ampId, String name, String here) {
        String amp = "/amps/" + ampId;
        return new Rail(name, List.of(new Node("Plan", amp, here.equals("Plan")),
                new Node("Measure", amp + "/run", here.equals("Measure")),
                new Node("Compare", amp + "/compare", here.equals("Compare"))));
    }
}
