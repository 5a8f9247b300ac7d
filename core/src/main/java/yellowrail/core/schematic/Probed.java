package yellowrail.core.schematic;

import java.util.Optional;
import yellowrail.core.quantity.Figures;
import yellowrail.core.timeline.Freshness;
import yellowrail.core.walk.NodeStanding;

/**
 * A place where a probe is put, as it was read, or not.
 *
 * @param typed what stands before its number on the entry line
 * @param called what it is called
 * @param volts what was read; what it should read where it was not
 * @param how a word to it, where it wants one
 * @param state whether what was read still speaks of what is on the bench
 * @param wrong whether something is wrong with it
 */
public record Probed(
        String typed,
        SchematicFinding called,
        SchematicFinding volts,
        Optional<SchematicFinding> how,
        State state,
        boolean wrong) {

    /** Below it volts are told with one more decimal. */
    private static final double SMALL = 10;

    /** What a reading is worth. */
    public enum State {
        FRESH,
        STALE,
        MISSING;

        static State of(boolean read, Freshness freshness) {
            return !read ? MISSING : freshness.isFresh() ? FRESH : STALE;
        }
    }

    /** A node of the chart. */
    public static Probed of(NodeStanding standing) {
        return new Probed(
                standing.node().typed(),
                new SchematicFinding.Called(standing.node().label()),
                volts(standing),
                how(standing),
                State.of(standing.isRead(), standing.freshness()),
                standing.verdict().isWrong());
    }

    private static SchematicFinding volts(NodeStanding standing) {
        if (standing.isRead()) {
            return Math.abs(standing.volts()) < SMALL
                    ? new SchematicFinding.SmallNodeVolts(standing.volts())
                    : new SchematicFinding.NodeVolts(standing.volts());
        }
        return standing.window()
                .<SchematicFinding>map(window -> new SchematicFinding.Wanted(threeDigits(window.middle())))
                .orElseGet(SchematicFinding.NoVolts::new);
    }

    /** What was scaled to a mains is no surer than that. */
    private static double threeDigits(double volts) {
        return Figures.rounded(volts, 3);
    }

    private static Optional<SchematicFinding> how(NodeStanding standing) {
        return switch (standing.verdict()) {
            case OVER_RATING -> Optional.of(new SchematicFinding.Over());
            case OUT_OF_FAMILY -> Optional.of(new SchematicFinding.Unlike());
            case HIGH -> Optional.of(new SchematicFinding.High());
            case LOW -> Optional.of(new SchematicFinding.Low());
            case PULSING -> Optional.of(new SchematicFinding.Pulses());
            default -> standing.freshness().isFresh() ? Optional.empty() : Optional.of(new SchematicFinding.Old());
        };
    }
}
