package yellowrail.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Target;

/**
 * How an exercise went: what was said to be wrong against what was, the setting against its window, what was read
 * against the truth, and what it cost.
 *
 * @param passed right diagnosis that rests on readings, no plate ever glowing, and set into the window where that was
 *     possible
 * @param lines one for each thing that was looked at
 */
public record Marking(boolean passed, List<Line> lines) {

    /** Truth and window meet within what the bench's meter can tell. */
    private static final double TOLERANCE = 0.03;

    private static final double GLOWING = 1.3;
    /** Nobody can tell a creep from a settling sooner, s. */
    private static final double SOAK = 20 * 60;

    /**
     * One thing looked at.
     *
     * @param what it was
     * @param result with its figures
     * @param good whether it is as it should be
     */
    public record Line(PracticeFinding what, PracticeFinding result, boolean good) {}

    public Marking {
        lines = List.copyOf(lines);
    }

    /**
     * @param exercise what was wrong
     * @param bench as it was left
     * @param said what the builder says was wrong
     * @param unread test points that the log of the run has no reading of
     * @param judged hottest tube over the rating as the run judged it; empty when it could not
     */
    public static Marking of(
            Exercise exercise, Bench bench, Exercise said, List<String> unread, OptionalDouble judged) {
        boolean right = said == exercise.diagnosis();
        BenchState state = bench.state();
        AmpSheet sheet = bench.sheet();
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                new PracticeFinding.Diagnosis(),
                right
                        ? new PracticeFinding.Right(exercise.diagnosis())
                        : new PracticeFinding.SaidAndTruth(said, exercise.diagnosis()),
                right));
        Optional<PracticeFinding> guess = guess(exercise, state, unread);
        lines.add(new Line(
                new PracticeFinding.WhatItRestsOn(),
                guess.orElseGet(PracticeFinding.OnReadings::new),
                guess.isEmpty()));
        OperatingPoint truth = bench.settled();
        double rated = bench.ratedWatts();
        double hottest = 0;
        for (int i = 0; i < truth.tubes(); i++) {
            hottest = Math.max(hottest, truth.watts(i) / rated);
        }
        Target target = sheet.target();
        boolean inWindow =
                hottest <= target.high() + TOLERANCE && truth.meanWatts() / rated >= target.low() - TOLERANCE;
        if (exercise.isSettable()) {
            lines.add(new Line(
                    new PracticeFinding.SettingInTruth(sheet.mainsVolts()),
                    new PracticeFinding.HottestAndMean(hottest, truth.meanWatts() / rated, target.low(), target.high()),
                    inWindow));
        } else {
            boolean safe = !state.isOn() || hottest < 1;
            lines.add(new Line(
                    new PracticeFinding.LeftSafe(),
                    state.isOn() ? new PracticeFinding.LeftOn(hottest) : new PracticeFinding.LeftOff(),
                    safe));
        }
        double truly = hottest;
        judged.ifPresent(ratio -> lines.add(new Line(
                new PracticeFinding.FigureAgainstTruth(),
                new PracticeFinding.ReadAndTrue(ratio, truly),
                Math.abs(ratio - truly) < 2 * TOLERANCE)));
        boolean whole = state.failed().stream().noneMatch(Boolean::booleanValue);
        boolean glowed = !whole || state.peak() > GLOWING && state.above() > 8;
        Optional<PracticeFinding> lost = whole ? Optional.empty() : Optional.of(new PracticeFinding.AndATubeLost());
        lines.add(new Line(
                new PracticeFinding.LimitsPassed(),
                state.above() < 1
                        ? new PracticeFinding.None()
                        : new PracticeFinding.AboveTheRating(state.above(), state.peak(), lost),
                !glowed));
        lines.add(new Line(
                new PracticeFinding.Tries(),
                state.turns() == 1 ? new PracticeFinding.OneTurn() : new PracticeFinding.Turns(state.turns()),
                true));
        lines.add(new Line(
                new PracticeFinding.BenchTime(),
                new PracticeFinding.MinutesAndSeconds((long) state.seconds() / 60, (long) state.seconds() % 60),
                true));
        boolean set = exercise.isSettable() ? inWindow : !state.isOn() || hottest < 1;
        return new Marking(right && guess.isEmpty() && set && !glowed, lines);
    }

    /** Why the diagnosis is a guess, if so. */
    private static Optional<PracticeFinding> guess(Exercise exercise, BenchState state, List<String> unread) {
        if (!unread.isEmpty()) {
            return Optional.of(new PracticeFinding.OnAGuessUnread(unread));
        }
        return switch (exercise.evidence()) {
            case READINGS -> Optional.empty();
            case A_TURN ->
                state.turns() > 0 ? Optional.empty() : Optional.of(new PracticeFinding.OnAGuessNothingTurned());
            case A_SOAK ->
                state.seconds() >= SOAK
                        ? Optional.empty()
                        : Optional.of(new PracticeFinding.OnAGuessTooShort(SOAK / 60));
            case AN_EXCHANGE ->
                state.swaps() > 0 ? Optional.empty() : Optional.of(new PracticeFinding.OnAGuessNothingExchanged());
        };
    }
}
