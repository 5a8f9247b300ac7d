package yellowrail.core.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.move.Landing;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.move.NextMove;
import yellowrail.core.reading.Reading;

/**
 * What the next move is worth, over many simulated amps: {@code ./yellow-rail study}. Prints how far the true
 * dissipation lies from the target after two readings and one turn, and how many readings it takes to get within 2 %.
 */
class NextMoveStudy {

    static final double WITHIN = 0.02;
    private static final int AMPS = 500;
    private static final int GIVES_UP = 20;

    /** What goes wrong while measuring. */
    enum Conditions {
        PERFECT(true, true, 0),
        PERFECT_WANDERING(true, true, 0.01),
        MEASURED(false, true, 0.01),
        TYPICAL(false, false, 0.01);

        private final boolean perfect;
        private final boolean screenMeasured;
        private final double wander;

        Conditions(boolean perfect, boolean screenMeasured, double wander) {
            this.perfect = perfect;
            this.screenMeasured = screenMeasured;
            this.wander = wander;
        }

        RandomAmp amp(long seed) {
            return settable(seed, perfect, screenMeasured);
        }
    }

    private static RandomAmp settable(long seed, boolean perfect, boolean screenMeasured) {
        return settable(seed, perfect, screenMeasured, OptionalDouble.empty());
    }

    /** The first of the amps drawn from this seed that can be set at all. */
    private static RandomAmp settable(long seed, boolean perfect, boolean screenMeasured, OptionalDouble apart) {
        for (int attempt = 0; ; attempt++) {
            RandomAmp amp = new RandomAmp(seed + 10_000L * attempt, perfect, screenMeasured, apart);
            if (amp.isSettable()) {
                return amp;
            }
        }
    }

    private static double mains(Random chance, double wander) {
        return 1 + wander * (2 * chance.nextDouble() - 1);
    }

    private static NextMove move(RandomAmp amp, List<Reading> readings) {
        return Amps.move(amp.sheet, readings).orElseThrow();
    }

    /** Turns the pot, watching the meter, to what the move says. */
    private static double turned(RandomAmp amp, NextMove move, double mains) {
        Landing landing = move.landing().orElseThrow(() -> new IllegalStateException(move.says() + " " + move.line()));
        int watched = IntStream.range(0, landing.tubes().size())
                .boxed()
                .max((one, other) -> Double.compare(
                        landing.tubes().get(one).cathode(),
                        landing.tubes().get(other).cathode()))
                .orElseThrow();
        double to = landing.tubes().get(watched).reading();
        return RandomAmp.potWhere(pot -> amp.shownAt(watched, pot, mains) - to);
    }

    /** Where the second setting lies: a quarter to three quarters of the way, or where the rough first move led. */
    enum Second {
        BY_CHANCE,
        FIRST_MOVE
    }

    /** Relative errors of the true dissipation after two readings and one turn, sorted. */
    static double[] errors(Conditions conditions, Second second, int amps) {
        return IntStream.range(0, amps)
                .mapToDouble(seed -> {
                    RandomAmp amp = conditions.amp(seed);
                    Random chance = new Random(seed + 77);
                    double first = 0.4 + 0.2 * chance.nextDouble();
                    double one = amp.potFor(first);
                    double before = mains(chance, conditions.wander);
                    List<Reading> readings = new ArrayList<>(amp.read(one, before, 1));
                    double two = second == Second.BY_CHANCE
                            ? amp.potFor(first + (0.25 + 0.5 * chance.nextDouble()) * (1 - first))
                            : turned(amp, move(amp, readings), before);
                    double mains = mains(chance, conditions.wander);
                    readings.addAll(amp.read(two, mains, 101));
                    return Math.abs(amp.truth(turned(amp, move(amp, readings), mains)) / amp.target() - 1);
                })
                .sorted()
                .toArray();
    }

    /** How a builder goes about it. */
    enum Builder {
        APPLICATION,
        DIVIDES
    }

    /** How the pot is turned. */
    enum Turning {
        WATCHED,
        BLIND
    }

    /** Readings until the true dissipation is within 2 %, by amp. */
    static int[] readingsNeeded(Builder builder, Turning turning, double wander, int amps) {
        return IntStream.range(0, amps)
                .map(seed -> {
                    RandomAmp amp = settable(seed, false, false);
                    Random chance = new Random(seed + 99);
                    double pot = amp.potFor(0.4 + 0.2 * chance.nextDouble());
                    double feel = Math.exp(0.5 * chance.nextGaussian());
                    List<Reading> readings = new ArrayList<>();
                    for (int count = 1; count <= GIVES_UP; count++) {
                        if (Math.abs(amp.truth(pot) / amp.target() - 1) < WITHIN) {
                            return count;
                        }
                        double mains = mains(chance, wander);
                        readings.addAll(amp.read(pot, mains, 100L * count));
                        pot = next(amp, builder, turning, pot, mains, feel, readings);
                    }
                    return GIVES_UP;
                })
                .sorted()
                .toArray();
    }

    private static double next(
            RandomAmp amp,
            Builder builder,
            Turning turning,
            double pot,
            double mains,
            double feel,
            List<Reading> readings) {
        if (builder == Builder.APPLICATION) {
            NextMove move = move(amp, readings);
            if (turning == Turning.WATCHED) {
                return turned(amp, move, mains);
            }
            double bias = move.landing().orElseThrow().bias().orElseThrow();
            return RandomAmp.potWhere(where -> amp.at(where, mains).grids()[0] * amp.meter.voltsGain() - bias);
        }
        OperatingPoint now = amp.at(pot, mains);
        double share = Amps.type(amp.sheet.tubeType()).screenShare();
        double wanted = amp.target() / (now.plate() * amp.meter.voltsGain()) / (1 - share);
        if (turning == Turning.WATCHED) {
            return RandomAmp.potWhere(where -> amp.shownAt(0, where, mains) - wanted);
        }
        // By feel: the right turn for a small step, times how much too timid or too bold this builder's hand is.
        double slope = (amp.shownAt(0, pot + 0.001, mains) - amp.shownAt(0, pot, mains)) / 0.001;
        return Math.max(0, Math.min(1, pot + feel * (wanted - amp.shownAt(0, pot, mains)) / slope));
    }

    /** The part of pairs that are called mismatched after two settings, the second 5 to 8 % above the first. */
    static double calledMismatched(double leastApart, double mostApart, int pairs) {
        return IntStream.range(0, pairs)
                        .filter(seed -> {
                            Random chance = new Random(seed + 55);
                            RandomAmp amp = settable(
                                    seed,
                                    false,
                                    false,
                                    OptionalDouble.of(leastApart + (mostApart - leastApart) * chance.nextDouble()));
                            double first = 0.4 + 0.2 * chance.nextDouble();
                            List<Reading> readings =
                                    new ArrayList<>(amp.read(amp.potFor(first), mains(chance, 0.01), 1));
                            readings.addAll(amp.read(
                                    amp.potFor(first * (1.05 + 0.03 * chance.nextDouble())), mains(chance, 0.01), 101));
                            return move(amp, readings).notes().stream()
                                    .anyMatch(MoveFinding.DrawsMore.class::isInstance);
                        })
                        .count()
                / (double) pairs;
    }

    static double percentile(double[] sorted, double at) {
        return sorted[(int) Math.min(sorted.length - 1, Math.floor(at * sorted.length))];
    }

    @Test
    void print() {
        say("Error of the true dissipation after two readings and one turn, %d simulated amps", AMPS);
        for (Second second : Second.values()) {
            say(
                    "%-68s %8s %8s",
                    second == Second.BY_CHANCE
                            ? "second setting by chance, 1/4 to 3/4 of the way"
                            : "second setting where the first, rough move led",
                    "median",
                    "95th");
            line(
                    "  meter 0.5 %% V, 1 %% I; mains wander 1 %%; screen current measured",
                    errors(Conditions.MEASURED, second, AMPS));
            line("  the same, screen share typical for the type", errors(Conditions.TYPICAL, second, AMPS));
            line("  perfect readings, steady mains", errors(Conditions.PERFECT, second, AMPS));
            line("  perfect readings, mains wander 1 %%, read", errors(Conditions.PERFECT_WANDERING, second, AMPS));
        }
        say("%nReadings until the true dissipation is within 2 %% (%d: gave up)", GIVES_UP);
        say("%-68s %8s %8s", "", "median", "95th");
        for (Builder builder : Builder.values()) {
            String who = builder == Builder.APPLICATION ? "application" : "divides target by present volts";
            counts(who + ", watched, steady mains", readingsNeeded(builder, Turning.WATCHED, 0, AMPS));
            counts(who + ", watched, mains wander 1 %%", readingsNeeded(builder, Turning.WATCHED, 0.01, AMPS));
            counts(who + ", unmarked pot, not watched", readingsNeeded(builder, Turning.BLIND, 0.01, AMPS));
        }
        say("Not watched, the application's builder sets the grid volts it names; the other turns by feel.");
        say(
                "%nPairs on one pot called mismatched (a tube beyond 10 %% of their mean), two settings 5 to 8 "
                        + "%% apart, %d pairs",
                AMPS);
        say("%-68s %7.1f%%", "  alike within 2 %", 100 * calledMismatched(0, 0.02, AMPS));
        say("%-68s %7.1f%%", "  5 to 8 % apart: matched", 100 * calledMismatched(0.05, 0.08, AMPS));
        say("%-68s %7.1f%%", "  25 to 35 % apart: mismatched", 100 * calledMismatched(0.25, 0.35, AMPS));
    }

    private static void line(String what, double[] errors) {
        say(
                "%-68s %7.2f%% %7.2f%%",
                what.replace("%%", "%"), 100 * percentile(errors, 0.5), 100 * percentile(errors, 0.95));
    }

    private static void counts(String what, int[] counts) {
        double[] values = Arrays.stream(counts).asDoubleStream().toArray();
        say("%-68s %8.0f %8.0f", what.replace("%%", "%"), percentile(values, 0.5), percentile(values, 0.95));
    }

    private static void say(String format, Object... arguments) {
        System.out.println(String.format(Locale.ROOT, format, arguments));
    }
}
