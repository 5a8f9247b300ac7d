package yellowrail.core.iron;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import yellowrail.core.quantity.Figures;

/**
 * Small AC voltages read on an output transformer, and what they tell: turns ratio {@code Vp/Vs}, impedance ratio its square.
 * Resistances tell only the loss in the copper, never a ratio. SI.
 *
 * @param fedSecondary whether the source was on a secondary, which steps up
 * @param primaryVolts across the whole primary, V
 * @param taps         by what is written on them, with their volts to the common end
 * @param halfVolts    from the centre tap to one end, V
 * @param otherVolts   from the centre tap to the other end, V
 * @param screenVolts  from the centre tap to the screens\u2019 tap of the first half, V
 * @param sourceVolts  the source with nothing on it, V
 * @param sourceOhms   its own resistance, ohm
 * @param primaryOhms  copper of the whole primary, ohm
 */
public record RatioTest(boolean fedSecondary, double primaryVolts, List<Tap> taps, OptionalDouble halfVolts, OptionalDouble otherVolts, OptionalDouble screenVolts, OptionalDouble sourceVolts,
                        OptionalDouble sourceOhms, OptionalDouble primaryOhms) {

    /** Speakers as they are sold, ohm. */
    public static final List<Double> SPEAKERS = List.of(2.0, 4.0, 8.0, 16.0);

    private static final double HALVES_ALIKE = 0.02;
    private static final double LEAST_PRIMARY = 800;
    private static final double MOST_PRIMARY = 20_000;
    /** A healthy core takes less than this part of the current its load would. */
    private static final double CORE_CURRENT = 0.3;
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
     * @param loss        part of the power lost in the copper with an 8 ohm speaker, from class A to class B; empty unless both windings\u2019 copper is known
     */
    public record Found(Tap tap, double turns, double impedance, List<Double> primaryOhms, Optional<double[]> loss) {
    }

    public RatioTest {
        taps = taps.stream().sorted(Comparator.comparingDouble(Tap::volts)).toList();
        if (taps.isEmpty() || !(primaryVolts > 0 && Double.isFinite(primaryVolts))) {
            throw new IllegalArgumentException("a ratio takes the volts of the primary and of a tap");
        }
    }

    public List<Found> found() {
        return taps.stream().map(tap -> {
            double turns = primaryVolts / tap.volts();
            return new Found(tap, turns, turns * turns, SPEAKERS.stream().map(ohms -> turns * turns * ohms).toList(), loss(tap, turns * turns));
        }).toList();
    }

    private Optional<double[]> loss(Tap tap, double ratio) {
        if (primaryOhms.isEmpty() || tap.ohms().isEmpty()) {
            return Optional.empty();
        }
        double load = 8 * ratio;
        double secondary = tap.ohms().getAsDouble() * ratio;
        return Optional.of(new double[]{1 - load / (load + secondary + primaryOhms.getAsDouble()), 1 - load / (load + secondary + 2 * primaryOhms.getAsDouble())});
    }

    /** The screens\u2019 tap as a part of the half primary. */
    public OptionalDouble screenTap() {
        return screenVolts.isPresent() ? OptionalDouble.of(screenVolts.getAsDouble() / halfVolts.orElse(primaryVolts / 2)) : OptionalDouble.empty();
    }

    /** Which taps are which: sets of speakers whose ohms stand to one another as the squares of the volts, with the primary they make. */
    public List<String> tapSets() {
        List<String> sets = new ArrayList<>();
        for (int first = 0; first + taps.size() <= SPEAKERS.size(); first++) {
            List<Double> ohms = SPEAKERS.subList(first, first + taps.size());
            double primary = Math.pow(primaryVolts / taps.get(0).volts(), 2) * ohms.get(0);
            boolean fits = true;
            for (int i = 0; i < taps.size(); i++) {
                fits &= Math.abs(Math.pow(primaryVolts / taps.get(i).volts(), 2) * ohms.get(i) / primary - 1) <= TAP_FIT;
            }
            if (fits && primary >= LEAST_PRIMARY && primary <= MOST_PRIMARY) {
                sets.add("%s: a primary of %s".formatted(taps.size() == 1 ? "for %s ohm".formatted(Figures.plain(ohms.get(0)))
                        : "%s for %s ohm".formatted(taps.stream().map(Tap::label).collect(Collectors.joining(", ")), ohms.stream().map(Figures::plain).collect(Collectors.joining(", "))), kilohms(primary)));
            }
        }
        return sets;
    }

    private static String kilohms(double ohms) {
        return Figures.fixed(ohms / 1000, 2) + " k";
    }

    /** What does not look right, and what to look for. */
    public List<String> doubts() {
        List<String> doubts = new ArrayList<>();
        if (halfVolts.isPresent() && otherVolts.isPresent() && Math.abs(halfVolts.getAsDouble() / otherVolts.getAsDouble() - 1) > HALVES_ALIKE) {
            doubts.add("The halves differ by %s: shorted turns in one of them, or the lead is not on the centre tap.".formatted(Figures.percent(Math.abs(halfVolts.getAsDouble() / otherVolts.getAsDouble() - 1))));
        }
        if (halfVolts.isPresent() && Math.abs((halfVolts.getAsDouble() + otherVolts.orElse(halfVolts.getAsDouble())) / primaryVolts - 1) > HALVES_ALIKE) {
            doubts.add("The halves do not add up to the whole primary: read them again.");
        }
        screenTap().ifPresent(tap -> {
            if (tap <= 0.05 || tap >= 0.95) {
                doubts.add("A screens\u2019 tap at %s of the half is no ultralinear tap: is the lead on another winding?".formatted(Figures.percent(tap)));
            }
        });
        taps.stream().filter(tap -> Math.pow(primaryVolts / tap.volts(), 2) * 16 < LEAST_PRIMARY).findFirst()
                .ifPresent(tap -> doubts.add("%s makes less than %s of any speaker: is it a secondary tap at all, and the other the whole primary?".formatted(tap.label(), kilohms(LEAST_PRIMARY))));
        taps.stream().filter(tap -> Math.pow(primaryVolts / tap.volts(), 2) * 2 > MOST_PRIMARY).findFirst()
                .ifPresent(tap -> doubts.add("%s makes more than %s of any speaker: a wrong tap, or millivolts taken for volts?".formatted(tap.label(), kilohms(MOST_PRIMARY))));
        if (taps.size() > 1 && tapSets().isEmpty()) {
            doubts.add("The taps do not stand to one another as 2, 4, 8, 16 ohm do: one of them was read on a wrong end, or has shorted turns.");
        }
        corePart().filter(part -> part > CORE_CURRENT).ifPresent(part -> doubts.add(("The source sags as if %s of an 8 ohm load hung on it, with nothing connected: shorted turns, a load still on a winding, or too low a frequency.")
                .formatted(Figures.percent(part))));
        return doubts;
    }

    /** The current the empty transformer takes over what it would take with 8 ohm on its largest tap; from the sag of the source. */
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
    public String caution() {
        double turns = primaryVolts / taps.get(taps.size() - 1).volts();
        return "From the secondary the primary steps up %s times: %s on %s already makes %s across its ends. Tenths of a volt are enough; clip the leads before the source is on.".formatted(Figures.fixed(turns, 1),
                Figures.fixed(TOUCH / turns, 2) + " V", taps.get(taps.size() - 1).label(), Figures.fixed(TOUCH, 0) + " V");
    }
}
