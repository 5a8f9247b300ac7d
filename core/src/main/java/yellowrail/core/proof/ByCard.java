package yellowrail.core.proof;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import yellowrail.core.proof.Measured.Conditions;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.tone.ClippingPoint;
import yellowrail.core.tone.ClippingPoint.Point;
import yellowrail.core.tone.SteppedTone;

/**
 * What a sound card heard, as figures. Volts and watts only where a meter told once what full scale of the card is, and
 * the load is known.
 *
 * @param hertz of the tone
 * @param level of its fundamental, RMS, of full scale; as the others
 * @param distortion of the fundamental
 * @param withNoise the same with hum and noise
 * @param intermodulation where two tones were played for it
 * @param hum at the mains' frequency, if it is clear of the tone
 * @param ripple at twice that, the same
 * @param noise within the band
 * @param steps of a signal that went step by step; else none
 */
public record ByCard(
        double hertz,
        double level,
        double distortion,
        double withNoise,
        OptionalDouble intermodulation,
        OptionalDouble hum,
        OptionalDouble ripple,
        double noise,
        List<Step> steps) {

    /**
     * One step.
     *
     * @param second harmonic, of the fundamental; empty where it cannot be told
     * @param third the same
     */
    public record Step(
            double hertz,
            double level,
            double distortion,
            OptionalDouble roundness,
            OptionalDouble second,
            OptionalDouble third) {}

    /**
     * What is known besides.
     *
     * @param fullScale of the card, peak V at the amp
     * @param load ohm
     * @param mainsHertz 50 or 60
     * @param bandHertz its upper edge
     */
    public record Known(
            OptionalDouble fullScale, OptionalDouble load, double mainsHertz, double bandHertz, Instant taken) {}

    /** A meter tells full scale by so much of itself. */
    private static final double METER = 0.01;
    /** More than the fit is off by, of itself. */
    private static final double FIT = 0.01;
    /** Less than it is no tone that was played, where it lies on a multiple of the mains, W. */
    private static final double PLAYED = 0.05;

    private static final double ON_THE_MAINS = 0.005;
    private static final double[] MARKS = {0.01, 0.03, 0.1};
    private static final double[] ASKED_WATTS = {0.1, 1, 10};
    private static final double[] ASKED_HERTZ = {50, 100, 1000, 10_000};
    private static final double[] EDGES = {-1, -3};
    private static final double MIDDLE = 1000;
    private static final OptionalDouble NONE = OptionalDouble.empty();

    public ByCard {
        steps = List.copyOf(steps);
    }

    public List<Measured> figures(Known known) {
        if (steps.isEmpty()) {
            return ofOneTone(known);
        }
        return isByLevel() ? byLevel(known) : byFrequency(known);
    }

    /** Whether the level goes and the frequency stands. */
    public boolean isByLevel() {
        return SteppedTone.isOneTone(steps.stream().mapToDouble(Step::hertz));
    }

    /** Watts of a level; empty where scale or load is not known. */
    public static OptionalDouble watts(double level, Known known) {
        return watts(level, known.fullScale(), known.load());
    }

    /** The same of what is known. */
    public static OptionalDouble watts(double level, OptionalDouble fullScale, OptionalDouble load) {
        return fullScale.isPresent() && load.isPresent()
                ? OptionalDouble.of(Math.pow(level * fullScale.getAsDouble(), 2) / load.getAsDouble())
                : NONE;
    }

    private List<Measured> ofOneTone(Known known) {
        OptionalDouble watts = watts(level, known);
        Conditions tone = played(known, hertz, watts);
        Conditions quiet = new Conditions(known.load(), NONE, NONE, OptionalDouble.of(known.bandHertz()), NONE);
        double multiple = hertz / known.mainsHertz();
        boolean onTheMains = multiple < 2.5
                && Math.abs(multiple - Math.rint(multiple)) < ON_THE_MAINS * multiple
                && watts.orElse(PLAYED) < PLAYED;
        List<Measured> all = new ArrayList<>();
        if (intermodulation.isPresent()) {
            all.add(figure(known, ProofKind.INTERMODULATION, intermodulation.getAsDouble(), FIT, tone));
        } else if (!onTheMains) {
            all.add(figure(known, ProofKind.DISTORTION, distortion, FIT, tone));
            all.add(figure(known, ProofKind.DISTORTION_AND_NOISE, withNoise, FIT, tone));
        }
        known.fullScale().ifPresent(full -> {
            if (onTheMains) {
                ProofKind kind = Math.rint(multiple) == 1 ? ProofKind.HUM : ProofKind.RIPPLE;
                all.add(figure(known, kind, full * level, METER, quiet));
            }
            hum.ifPresent(rms -> all.add(figure(known, ProofKind.HUM, full * rms, METER, quiet)));
            ripple.ifPresent(rms -> all.add(figure(known, ProofKind.RIPPLE, full * rms, METER, quiet)));
            all.add(figure(known, ProofKind.NOISE, full * noise, METER, quiet));
        });
        return all;
    }

    /** Where it clips, at what power it passes the marks, and what it distorts by at the powers one asks for. */
    private List<Measured> byLevel(Known known) {
        List<Measured> all = new ArrayList<>();
        flat().flatMap(level -> power(known, level))
                .ifPresent(full ->
                        all.add(figure(known, ProofKind.FULL_POWER, full, 2 * METER, played(known, hertz, NONE))));
        flat().flatMap(this::lastBelow).ifPresent(step -> {
            step.second()
                    .ifPresent(part -> all.add(figure(known, ProofKind.SECOND, part, FIT, played(known, hertz, NONE))));
            step.third()
                    .ifPresent(part -> all.add(figure(known, ProofKind.THIRD, part, FIT, played(known, hertz, NONE))));
        });
        List<Point> distortions = steps.stream()
                .map(step -> new Point(step.level(), step.distortion()))
                .toList();
        for (double mark : MARKS) {
            OptionalDouble at = ClippingPoint.of(distortions, mark);
            if (at.isPresent()) {
                power(known, at.getAsDouble())
                        .ifPresent(watts -> all.add(figure(
                                known,
                                ProofKind.POWER_AT,
                                watts,
                                2 * METER,
                                played(known, hertz, NONE).at(mark))));
            }
        }
        for (double asked : ASKED_WATTS) {
            nearest(asked, step -> watts(step.level(), known).orElse(0), 0.12)
                    .ifPresent(step -> all.add(figure(
                            known,
                            ProofKind.DISTORTION,
                            step.distortion(),
                            FIT,
                            played(known, step.hertz(), watts(step.level(), known)))));
        }
        return all;
    }

    private Optional<Double> flat() {
        OptionalDouble level = ClippingPoint.flat(steps.stream()
                .filter(step -> step.roundness().isPresent())
                .map(step -> new Point(step.level(), step.roundness().getAsDouble()))
                .toList());
        return level.isPresent() ? Optional.of(level.getAsDouble()) : Optional.empty();
    }

    /** The loudest step that does not clip yet. */
    private Optional<Step> lastBelow(double level) {
        return steps.stream().filter(step -> step.level() <= level).max(Comparator.comparingDouble(Step::level));
    }

    private static Optional<Double> power(Known known, double level) {
        OptionalDouble watts = watts(level, known);
        return watts.isPresent() ? Optional.of(watts.getAsDouble()) : Optional.empty();
    }

    /** What it distorts by at the tones one asks for, and where the band ends. */
    private List<Measured> byFrequency(Known known) {
        List<Measured> all = new ArrayList<>();
        for (double asked : ASKED_HERTZ) {
            nearest(asked, Step::hertz, 0.03)
                    .filter(step -> 2 * step.hertz() <= known.bandHertz())
                    .ifPresent(step -> all.add(figure(
                            known,
                            ProofKind.DISTORTION,
                            step.distortion(),
                            FIT,
                            played(known, step.hertz(), watts(step.level(), known)))));
        }
        List<Step> rising =
                steps.stream().sorted(Comparator.comparingDouble(Step::hertz)).toList();
        nearest(MIDDLE, Step::hertz, 0.5).ifPresent(middle -> {
            for (double decibels : EDGES) {
                edge(known, rising, rising.indexOf(middle), -1, decibels).ifPresent(all::add);
                edge(known, rising, rising.indexOf(middle), 1, decibels).ifPresent(all::add);
            }
        });
        return all;
    }

    /** From the middle outwards, the first step that has fallen so far; between it and the last on a straight line. */
    private static Optional<Measured> edge(Known known, List<Step> rising, int middle, int way, double decibels) {
        double reference = rising.get(middle).level();
        for (int i = middle + way; i >= 0 && i < rising.size(); i += way) {
            double here = 20 * Math.log10(rising.get(i).level() / reference);
            double before = 20 * Math.log10(rising.get(i - way).level() / reference);
            if (here <= decibels) {
                double part = (before - decibels) / (before - here);
                double hertz = rising.get(i - way).hertz()
                        * Math.pow(rising.get(i).hertz() / rising.get(i - way).hertz(), part);
                return Optional.of(figure(
                        known,
                        way < 0 ? ProofKind.LOW_EDGE : ProofKind.HIGH_EDGE,
                        hertz,
                        FIT,
                        new Conditions(known.load(), NONE, NONE, NONE, OptionalDouble.of(decibels))));
            }
        }
        return Optional.empty();
    }

    private Optional<Step> nearest(double asked, ToDoubleFunction<Step> quantity, double within) {
        return steps.stream()
                .filter(step -> Math.abs(quantity.applyAsDouble(step) / asked - 1) <= within)
                .min(Comparator.comparingDouble(step -> Math.abs(quantity.applyAsDouble(step) / asked - 1)));
    }

    private static Conditions played(Known known, double hertz, OptionalDouble watts) {
        return new Conditions(
                known.load(), OptionalDouble.of(hertz), watts, OptionalDouble.of(known.bandHertz()), NONE);
    }

    private static Measured figure(Known known, ProofKind kind, double value, double part, Conditions at) {
        return new Measured(kind, new Estimate(value, part * value, List.of()), at, known.taken(), true);
    }
}
