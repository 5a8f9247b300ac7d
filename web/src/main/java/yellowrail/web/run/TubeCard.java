package yellowrail.web.run;

import java.util.List;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/**
 * One tube on the socket plan. Figures carry their units; those that are not known are dashes.
 */
record TubeCard(String label, String side, String channel, String type, String verdict, String verdictToken, boolean early, String stale, String plateMilliamps,
                String watts, String wattsPlusMinus, String percent, String plateVolts, String cathodeMilliamps, String screenMilliamps,
                String screenWatts, String bias, String reading, boolean figures, List<String> notes, String atReference) {

    private static final String UNKNOWN = "\u2013";

    static TubeCard of(TubeIdle tube, Unit shows, Words words) {
        Judgement judgement = tube.judgement();
        IdleFigures figures = tube.figures().orElse(null);
        boolean known = figures != null;
        return new TubeCard(tube.socket().label(), tube.socket().side().inWords(), tube.socket().channel().inWords(),
                tube.occupant().name(), judgement.verdict().inWords(), judgement.verdict().token(), judgement.early(), tube.freshness().why().map(words::say).orElse(""),
                known ? Figures.milliamps(figures.plateCurrent().value()) : UNKNOWN,
                known ? Figures.watts(figures.dissipation().value()) : UNKNOWN,
                known ? "\u00b1 " + Figures.plusMinus(figures.dissipation().plusMinus(), Unit.WATT) + " W" : "",
                Double.isNaN(judgement.ratio()) ? UNKNOWN : Figures.percent(judgement.ratio()),
                known ? withPlusMinus(figures.plateVolts(), Unit.VOLT, Figures.volts(figures.plateVolts().value())) : UNKNOWN,
                known ? withPlusMinus(figures.cathode(), Unit.MILLIAMP, Figures.milliamps(figures.cathode().value())) : UNKNOWN,
                known ? withPlusMinus(figures.screen(), Unit.MILLIAMP, Figures.milliamps(figures.screen().value())) : UNKNOWN,
                known && figures.screenWatts().isPresent() ? withPlusMinus(figures.screenWatts().get(), Unit.WATT,
                        Figures.watts(figures.screenWatts().get().value())) : "",
                tube.bias().map(bias -> Figures.volts(bias.value())).orElse(""),
                tube.current().map(reading -> Figures.in(shows, reading.value())).orElse(UNKNOWN), known, words.say(judgement.notes()), "");
    }

    TubeCard withNotes(List<String> others) {
        return new TubeCard(label, side, channel, type, verdict, verdictToken, early, stale, plateMilliamps, watts, wattsPlusMinus, percent, plateVolts,
                cathodeMilliamps, screenMilliamps, screenWatts, bias, reading, figures, others, atReference);
    }

    TubeCard withReference(String converted) {
        return new TubeCard(label, side, channel, type, verdict, verdictToken, early, stale, plateMilliamps, watts, wattsPlusMinus, percent, plateVolts,
                cathodeMilliamps, screenMilliamps, screenWatts, bias, reading, figures, notes, converted);
    }

    static String withPlusMinus(Estimate estimate, Unit unit, String value) {
        String number = value.substring(0, value.lastIndexOf(' '));
        return estimate.plusMinus() == 0 ? value : number + " \u00b1 " + Figures.plusMinus(estimate.plusMinus(), unit) + " " + unit;
    }
}
