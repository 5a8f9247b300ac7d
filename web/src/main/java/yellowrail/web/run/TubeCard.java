package yellowrail.web.run;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.Channel;
import yellowrail.core.finding.Code;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/**
 * One tube on the socket plan. Figures carry their units; those that are not known are dashes.
 *
 * @param verdict with what is to be known of it: early, stale
 */
record TubeCard(
        String label,
        String side,
        String place,
        String type,
        String verdict,
        String verdictToken,
        String stale,
        String plateMilliamps,
        String watts,
        String wattsPlusMinus,
        String percent,
        String plateVolts,
        String cathodeMilliamps,
        String screenMilliamps,
        String screenWatts,
        String bias,
        String reading,
        boolean figures,
        List<String> notes,
        String atReference) {

    private static final String UNKNOWN = "\u2013";
    private static final int NOTES_SHOWN = 3;

    /** What is to be said of it on the socket plan; all of it is in the arithmetic. */
    public Notes shortly() {
        return Notes.of(notes, NOTES_SHOWN);
    }

    /** How its card looks. */
    public String look() {
        return verdictToken + (stale.isEmpty() ? "" : " stale");
    }

    static TubeCard of(TubeIdle tube, Unit shows, Words words) {
        Judgement judgement = tube.judgement();
        IdleFigures figures = tube.figures().orElse(null);
        boolean known = figures != null;
        String stale = tube.freshness().why().map(words::say).orElse("");
        return new TubeCard(
                tube.socket().label(),
                Code.of(tube.socket().side()),
                place(tube, words),
                tube.occupant().name(),
                told(judgement, stale, words),
                judgement.verdict().token(),
                stale,
                known ? told(figures.plateCurrent(), Unit.MILLIAMP) : UNKNOWN,
                known
                        ? Figures.beside(
                                figures.dissipation().plusMinus(),
                                figures.dissipation().value(),
                                Unit.WATT)
                        : UNKNOWN,
                known ? "\u00b1 " + Figures.plusMinus(figures.dissipation().plusMinus(), Unit.WATT) + " W" : "",
                Double.isNaN(judgement.ratio()) ? UNKNOWN : Figures.percent(judgement.ratio()),
                known ? Figures.estimate(figures.plateVolts(), Unit.VOLT) : UNKNOWN,
                known ? Figures.estimate(figures.cathode(), Unit.MILLIAMP) : UNKNOWN,
                known ? Figures.estimate(figures.screen(), Unit.MILLIAMP) : UNKNOWN,
                known && figures.screenWatts().isPresent()
                        ? Figures.estimate(figures.screenWatts().get(), Unit.WATT)
                        : "",
                tube.bias().map(bias -> Figures.volts(bias.value())).orElse(""),
                tube.current()
                        .map(reading -> Figures.in(shows, reading.value()))
                        .orElse(UNKNOWN),
                known,
                words.say(judgement.notes()),
                "");
    }

    /** The verdict and what is to be known with it: {@code in window, early}. */
    private static String told(Judgement judgement, String stale, Words words) {
        List<String> parts = new ArrayList<>(List.of(words.name(judgement.verdict())));
        if (judgement.early()) {
            parts.add(words.message("page.run.early"));
        }
        if (!stale.isEmpty()) {
            parts.add(words.message("page.run.stale"));
        }
        return String.join(", ", parts);
    }

    /** {@code 15.6 W ± 0.3 W}. */
    public String wattsTold() {
        return (watts + " " + wattsPlusMinus).strip();
    }

    private static String told(Estimate figure, Unit unit) {
        return Figures.beside(figure.plusMinus(), figure.value(), unit);
    }

    /** Where it sits, and what it is: {@code push, left, 6L6GC}. */
    private static String place(TubeIdle tube, Words words) {
        List<String> parts = new ArrayList<>(List.of(words.name(tube.socket().side())));
        if (tube.socket().channel() != Channel.MONO) {
            parts.add(words.name(tube.socket().channel()));
        }
        parts.add(tube.occupant().name());
        return String.join(", ", parts);
    }

    TubeCard with(List<String> others, String converted) {
        return new TubeCard(
                label,
                side,
                place,
                type,
                verdict,
                verdictToken,
                stale,
                plateMilliamps,
                watts,
                wattsPlusMinus,
                percent,
                plateVolts,
                cathodeMilliamps,
                screenMilliamps,
                screenWatts,
                bias,
                reading,
                figures,
                others,
                converted);
    }
}
