package yellowrail.core.iron;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Small AC voltages read on an output transformer, and what they tell: turns ratio {@code Vp/Vs}, impedance ratio its
 * square. Resistances tell only the loss in the copper, never a ratio. SI.
 *
 * @param fedSecondary whether the source was on a secondary, which steps up
 * @param primaryVolts across the whole primary, V
 * @param taps by what is written on them, with their volts to the common end
 * @param halfVolts from the centre tap to one end, V
 * @param otherVolts from the centre tap to the other end, V
 * @param screenVolts from the centre tap to the screens\u2019 tap of the first half, V
 * @param sourceVolts the source with nothing on it, V
 * @param sourceOhms its own resistance, ohm
 * @param primaryOhms copper of the whole primary, ohm
 */
public record RatioMeasurement(
        boolean fedSecondary,
        double primaryVolts,
        List<Tap> taps,
        OptionalDouble halfVolts,
        OptionalDouble otherVolts,
        OptionalDouble screenVolts,
        OptionalDouble sourceVolts,
        OptionalDouble sourceOhms,
        OptionalDouble primaryOhms) {

    /** Speakers as they are sold, ohm. */
    public static final List<Double> SPEAKERS = List.of(2.0, 4.0, 8.0, 16.0);

    private static final double HALVES_ALIKE = 0.02;
    private static final double LEAST_PRIMARY = 800;
    private static final double MOST_PRIMARY = 20_000;
    /** A healthy core takes less than this part of the current its load would. */
    private static final double CORE_CURRENT = 0.3;

    private static final double LEAST_SCREEN_TAP = 0.05;
    private static final double TAP_FIT = 0.12;
    private static final double TOUCH = 50;

    /**
     * A secondary tap.
     *
     * @param ohms copper, ohm
     */
    public record Tap(String label, double volts, OptionalDouble ohms) {

        public Tap {
            if (!(volts > 0 && Double.isFinite(volts))) {
                throw new IllegalArgumentException("a tap shows more than 0 V, was " + volts);
            }
        }
    }

    /**
     * What a tap turns out to be.
     *
     * @param primaryOhms the load the tubes see with each of {@link #SPEAKERS} on it
     * @param loss part of the power lost in the copper with an 8 ohm speaker, from class A to class B; empty unless
     *     both windings\u2019 copper is known
     */
    public record Found(Tap tap, double turns, double impedance, List<Double> primaryOhms, Optional<double[]> loss) {}

    /**
     * What the taps may be for.
     *
     * @param speakers ohms by tap
     * @param primaryOhms the load they then make
     */
    public record TapSet(List<String> taps, List<Double> speakers, double primaryOhms) {

        public IronFinding says() {
            return taps.size() == 1
                    ? new IronFinding.TapFor(speakers.get(0), primaryOhms)
                    : new IronFinding.TapsFor(taps, speakers, primaryOhms);
        }
    }

    public RatioMeasurement {
        taps = taps.stream().sorted(Comparator.comparingDouble(Tap::volts)).toList();
        if (taps.isEmpty() || !(primaryVolts > 0 && Double.isFinite(primaryVolts))) {
            throw new IllegalArgumentException("a ratio takes the volts of the primary and of a tap");
        }
    }

    public List<Found> found() {
        return taps.stream()
                .map(tap -> {
                    double turns = primaryVolts / tap.volts();
                    return new Found(
                            tap,
                            turns,
                            turns * turns,
                            SPEAKERS.stream().map(ohms -> turns * turns * ohms).toList(),
                            loss(tap, turns * turns));
                })
                .toList();
    }

    private Optional<double[]> loss(Tap tap, double ratio) {
        if (primaryOhms.isEmpty() || tap.ohms().isEmpty()) {
            return Optional.empty();
        }
        double load = 8 * ratio;
        double secondary = tap.ohms().getAsDouble() * ratio;
        return Optional.of(new double[] {
            1 - load / (load + secondary + primaryOhms.getAsDouble()),
            1 - load / (load + secondary + 2 * primaryOhms.getAsDouble())
        });
    }

    /** The screens\u2019 tap as a part of the half primary. */
    public OptionalDouble screenTap() {
        return screenVolts.isPresent()
                ? OptionalDouble.of(screenVolts.getAsDouble() / halfVolts.orElse(primaryVolts / 2))
                : OptionalDouble.empty();
    }

    /**
     * Which taps are which: sets of speakers whose ohms stand to one another as the squares of the volts, with the
     * primary they make.
     */
    public List<TapSet> tapSets() {
        List<TapSet> sets = new ArrayList<>();
        for (int first = 0; first + taps.size() <= SPEAKERS.size(); first++) {
            List<Double> ohms = SPEAKERS.subList(first, first + taps.size());
            double primary = impedance(taps.get(0)) * ohms.get(0);
            boolean fits = primary >= LEAST_PRIMARY && primary <= MOST_PRIMARY;
            for (int i = 0; i < taps.size(); i++) {
                fits &= Math.abs(impedance(taps.get(i)) * ohms.get(i) / primary - 1) <= TAP_FIT;
            }
            if (fits) {
                sets.add(new TapSet(taps.stream().map(Tap::label).toList(), ohms, primary));
            }
        }
        return sets;
    }

    private double impedance(Tap tap) {
        return Math.pow(primaryVolts / tap.volts(), 2);
    }

    /** What does not look right, and what to look for. */
    public List<IronFinding> doubts() {
        List<IronFinding> doubts = new ArrayList<>();
        if (halfVolts.isPresent()
                && otherVolts.isPresent()
                && Math.abs(halfVolts.getAsDouble() / otherVolts.getAsDouble() - 1) > HALVES_ALIKE) {
            doubts.add(new IronFinding.HalvesDiffer(Math.abs(halfVolts.getAsDouble() / otherVolts.getAsDouble() - 1)));
        }
        if (halfVolts.isPresent()
                && Math.abs((halfVolts.getAsDouble() + otherVolts.orElse(halfVolts.getAsDouble())) / primaryVolts - 1)
                        > HALVES_ALIKE) {
            doubts.add(new IronFinding.HalvesDoNotAddUp());
        }
        screenTap().ifPresent(tap -> {
            if (tap <= LEAST_SCREEN_TAP || tap >= 1 - LEAST_SCREEN_TAP) {
                doubts.add(new IronFinding.NoScreenTap(tap));
            }
        });
        taps.stream()
                .filter(tap -> impedance(tap) * SPEAKERS.get(SPEAKERS.size() - 1) < LEAST_PRIMARY)
                .findFirst()
                .ifPresent(tap -> doubts.add(new IronFinding.TooFewTurns(tap.label(), LEAST_PRIMARY)));
        taps.stream()
                .filter(tap -> impedance(tap) * SPEAKERS.get(0) > MOST_PRIMARY)
                .findFirst()
                .ifPresent(tap -> doubts.add(new IronFinding.TooManyTurns(tap.label(), MOST_PRIMARY)));
        if (taps.size() > 1 && tapSets().isEmpty()) {
            doubts.add(new IronFinding.TapsDoNotFit());
        }
        corePart().filter(part -> part > CORE_CURRENT).ifPresent(part -> doubts.add(new IronFinding.SourceSags(part)));
        return doubts;
    }

    /**
     * The current the empty transformer takes over what it would take with 8 ohm on its largest tap; from the sag of
     * the source.
     */
    public Optional<Double> corePart() {
        if (sourceVolts.isEmpty() || sourceOhms.isEmpty() || !(sourceOhms.getAsDouble() > 0)) {
            return Optional.empty();
        }
        Tap largest = taps.get(taps.size() - 1);
        double fed = fedSecondary ? largest.volts() : primaryVolts;
        double amps = Math.max(0, sourceVolts.getAsDouble() - fed) / sourceOhms.getAsDouble();
        double load = fedSecondary ? 8 : 8 * Math.pow(primaryVolts / largest.volts(), 2);
        return Optional.of(amps * load / fed);
    }

    /** Fed from the secondary the primary steps up: with how little it becomes dangerous. */
    public IronFinding caution() {
        double turns = primaryVolts / taps.get(taps.size() - 1).volts();
        return new IronFinding.StepsUp(
                turns, TOUCH / turns, taps.get(taps.size() - 1).label(), TOUCH);
    }
}
