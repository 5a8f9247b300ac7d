package yellowrail.core.amp.node;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.Channel;

/**
 * Stages as they are commonly built with small triodes. Only the circuit: what their nodes should read depends on tube
 * and supply, and is for the builder to write down.
 */
public enum Preset {
    /** Resistance-coupled, its cathode bypassed. */
    GAIN_STAGE,
    /** Its plate stands on the supply itself. */
    CATHODE_FOLLOWER,
    /** Splits the phase by equal resistors at plate and cathode. */
    CATHODYNE,
    /** Splits it by two triodes on one tail. */
    LONG_TAIL,
    /** Splits it by a second triode that takes a part of what the first gives. */
    PARAPHASE,
    /** Both halves of a double triode on the primary of a small transformer. */
    REVERB_DRIVER,
    /** A phase-shift oscillator for tremolo or vibrato. */
    OSCILLATOR;

    private static final double SMALL_TRANSFORMER = 1000;

    /**
     * @param stage what its nodes are called by
     * @param supply the label of the node it hangs on
     */
    public List<ChartNode> nodes(String stage, String supply) {
        return switch (this) {
            case GAIN_STAGE -> List.of(plate(stage, "", supply, 100e3), cathode(stage, 1500));
            case CATHODE_FOLLOWER ->
                List.of(new ChartNode(
                        stage + " cathode",
                        NodeKind.CATHODE,
                        false,
                        Optional.empty(),
                        stage,
                        "",
                        Optional.of(new Feed(supply, Optional.empty(), false)),
                        Optional.of(Resistor.of(100e3)),
                        Optional.empty(),
                        Hangs.NOTHING,
                        Channel.MONO));
            case CATHODYNE -> List.of(plate(stage, "", supply, 56e3), cathode(stage, 57.5e3), grid(stage));
            case LONG_TAIL ->
                List.of(
                        plate(stage, " 1", supply, 82e3),
                        plate(stage, " 2", supply, 100e3),
                        cathode(stage, 10.47e3),
                        grid(stage));
            case PARAPHASE ->
                List.of(plate(stage, " 1", supply, 100e3), plate(stage, " 2", supply, 100e3), cathode(stage, 820));
            case REVERB_DRIVER -> List.of(plate(stage, "", supply, SMALL_TRANSFORMER), cathode(stage, 2200));
            case OSCILLATOR -> List.of(plate(stage, "", supply, 220e3), cathode(stage, 2700));
        };
    }

    private static ChartNode plate(String stage, String which, String supply, double ohms) {
        return of(
                stage,
                "plate" + which,
                NodeKind.PLATE,
                Optional.of(new Feed(supply, Optional.of(Resistor.of(ohms)), false)),
                Optional.empty());
    }

    private static ChartNode cathode(String stage, double ohms) {
        return of(stage, "cathode", NodeKind.CATHODE, Optional.empty(), Optional.of(Resistor.of(ohms)));
    }

    private static ChartNode grid(String stage) {
        return of(stage, "grid", NodeKind.GRID, Optional.empty(), Optional.empty());
    }

    private static ChartNode of(
            String stage, String what, NodeKind kind, Optional<Feed> feed, Optional<Resistor> toGround) {
        return new ChartNode(
                stage + " " + what,
                kind,
                false,
                Optional.empty(),
                stage,
                "",
                feed,
                toGround,
                Optional.empty(),
                Hangs.NOTHING,
                Channel.MONO);
    }
}
