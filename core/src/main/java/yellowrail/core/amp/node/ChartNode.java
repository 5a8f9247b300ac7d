package yellowrail.core.amp.node;

import java.util.Locale;
import java.util.Optional;
import yellowrail.core.amp.Channel;

/**
 * A node of a voltage chart: where a probe is put, what it should read, and what hangs there.
 *
 * @param label what the builder calls it; differs from every other whatever its case
 * @param kind what it is part of
 * @param ac whether it is read on the AC range
 * @param expected what it should read; empty where nobody knows
 * @param stage the triode or stage it belongs to; blank for none
 * @param twin the label of its like in the other channel or half; blank for none
 * @param feed what it is fed through; empty where it is a source, or not known
 * @param toGround resistor from it to ground: a cathode's, a bleeder; empty for none
 * @param bank its capacitors; empty for none
 * @param hangs what of the output stage hangs on it
 * @param channel whose of a stereo amp; mono for both
 */
public record ChartNode(
        String label,
        NodeKind kind,
        boolean ac,
        Optional<Expected> expected,
        String stage,
        String twin,
        Optional<Feed> feed,
        Optional<Resistor> toGround,
        Optional<Bank> bank,
        Hangs hangs,
        Channel channel) {

    /** As is said at a bench and fits beside a node. */
    public static final int LONGEST_LABEL = 24;

    /** A cathode above it is no longer held by its own bias alone: it follows a grid that stands on a supply. */
    private static final double SELF_BIASED = 20;
    /** Of a current that a cathode resistor partly holds. */
    private static final double SELF_BIAS_EXPONENT = 1.2;

    public ChartNode {
        label = tidy(label);
        stage = tidy(stage);
        twin = tidy(twin);
    }

    /** A name as it is compared: without spaces about it, and one between its words. */
    static String tidy(String name) {
        return name.strip().replaceAll("\\s+", " ");
    }

    /** A node of which no more is known than what it should read. */
    public static ChartNode of(String label, NodeKind kind, boolean ac, Optional<Expected> expected) {
        return new ChartNode(
                label,
                kind,
                ac,
                expected,
                "",
                "",
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Hangs.NOTHING,
                Channel.MONO);
    }

    /**
     * By which power of the mains its volts go. A supply, a plate, a heater, a bias rectified from the mains go along
     * with it; a cathode on its own resistor goes as its current does, with the power of 1.2; one that stands tens of
     * volts high follows the grid, and the supply behind that.
     */
    public double mainsExponent() {
        boolean selfBiased = kind == NodeKind.CATHODE
                && expected.map(Expected::middle)
                        .filter(volts -> volts <= SELF_BIASED)
                        .isPresent();
        return selfBiased ? SELF_BIAS_EXPONENT : 1;
    }

    /** A label as charts and logs look it up, whatever its case. */
    public static String key(String label) {
        return label.toLowerCase(Locale.ROOT);
    }

    public boolean isCalled(String name) {
        return label.equalsIgnoreCase(name);
    }

    /** How it is typed on the entry line: its name, then the number. */
    public String typed() {
        return "at " + label;
    }

    /** The current that its own resistor to ground carries at so many volts, A; only where there is one. */
    public double ampsToGround(double volts) {
        return volts / toGround.orElseThrow().ohms();
    }

    ChartNode as(NodeKind other) {
        return new ChartNode(label, other, ac, expected, stage, twin, feed, toGround, bank, hangs, channel);
    }

    public ChartNode expecting(Expected other) {
        return new ChartNode(label, kind, ac, Optional.of(other), stage, twin, feed, toGround, bank, hangs, channel);
    }
}
