package yellowrail.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Figures;

/**
 * How an exercise went: what was said to be wrong against what was, the setting against its window, what was read against
 * the truth, and what it cost.
 *
 * @param passed right diagnosis that rests on readings, no plate ever glowing, and set into the window where that was possible
 * @param lines  one for each thing that was looked at
 */
public record Marking(boolean passed, List<Line> lines) {

    /** Truth and window meet within what the bench's meter can tell. */
    private static final double TOLERANCE = 0.03;
    private static final double GLOWING = 1.3;

    /**
     * One thing looked at.
     *
     * @param what   in words
     * @param result with its figures
     * @param good   whether it is as it should be
     */
    public record Line(String what, String result, boolean good) {
    }

    public Marking {
        lines = List.copyOf(lines);
    }

    /**
     * @param exercise  what was wrong
     * @param bench     as it was left
     * @param said      what the builder says was wrong
     * @param unread    test points that the log of the run has no reading of
     * @param judged    hottest tube over the rating as the run judged it; empty when it could not
     */
    public static Marking of(Exercise exercise, Bench bench, Exercise said, List<String> unread, OptionalDouble judged) {
        BenchState state = bench.state();
        AmpSheet sheet = bench.sheet();
        List<Line> lines = new ArrayList<>();
        lines.add(new Line("Diagnosis", said == exercise ? "right: " + exercise.fault() : "you said " + said.fault() + "; in truth " + exercise.fault(), said == exercise));
        String missing = missing(exercise, state, unread);
        lines.add(new Line("What it rests on", missing.isEmpty() ? "readings at every test point" : "a guess: " + missing, missing.isEmpty()));
        OperatingPoint truth = bench.settled();
        double rated = bench.ratedWatts();
        double hottest = 0;
        for (int i = 0; i < truth.tubes(); i++) {
            hottest = Math.max(hottest, truth.watts(i) / rated);
        }
        Target target = sheet.target();
        boolean inWindow = hottest <= target.high() + TOLERANCE && truth.meanWatts() / rated >= target.low() - TOLERANCE;
        if (exercise.isSettable()) {
            lines.add(new Line("Setting, in truth and at %s of mains".formatted(Figures.volts(sheet.mainsVolts())), "hottest tube %s, mean %s; window %s to %s".formatted(
                    Figures.percent(hottest), Figures.percent(truth.meanWatts() / rated), Figures.percent(target.low()), Figures.percent(target.high())), inWindow));
        } else {
            boolean safe = !state.isOn() || hottest < 1;
            lines.add(new Line("Left safe", state.isOn() ? "hottest tube at %s when left on".formatted(Figures.percent(hottest)) : "switched off", safe));
        }
        double truly = hottest;
        judged.ifPresent(ratio -> lines.add(new Line("Your figure against the truth", "%s read, %s true at the reference mains".formatted(
                Figures.percent(ratio), Figures.percent(truly)), Math.abs(ratio - truly) < 2 * TOLERANCE)));
        boolean whole = state.failed().stream().noneMatch(Boolean::booleanValue);
        boolean glowed = !whole || state.peak() > GLOWING && state.above() > 8;
        lines.add(new Line("Limits passed", state.above() < 1 ? "none" : "%.0f s above the rating, %s at worst%s".formatted(state.above(), Figures.percent(state.peak()),
                whole ? "" : "; a tube was lost"), !glowed));
        lines.add(new Line("Tries", state.turns() + (state.turns() == 1 ? " turn" : " turns"), true));
        lines.add(new Line("Bench time", String.format(Locale.ROOT, "%d min %d s", (long) state.seconds() / 60, (long) state.seconds() % 60), true));
        boolean set = exercise.isSettable() ? inWindow : !state.isOn() || hottest < 1;
        return new Marking(said == exercise && missing.isEmpty() && set && !glowed, lines);
    }

    private static String missing(Exercise exercise, BenchState state, List<String> unread) {
        if (!unread.isEmpty()) {
            return "%s not read".formatted(String.join(", ", unread));
        }
        return switch (exercise.evidence()) {
            case READINGS -> "";
            case A_TURN -> state.turns() > 0 ? "" : "no pot was turned";
            case AN_EXCHANGE -> state.swaps() > 0 ? "" : "the tubes were never exchanged, and a weak neighbour looks the same";
        };
    }
}
