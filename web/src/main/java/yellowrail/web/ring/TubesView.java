package yellowrail.web.ring;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.ring.Ringing;
import yellowrail.core.ring.TubeByTube;
import yellowrail.core.tone.CardScale;
import yellowrail.core.tone.SpectrumTrace;
import yellowrail.web.words.Words;

/**
 * Tapped tubes beside one another.
 *
 * @param rows the quietest first
 */
record TubesView(List<Row> rows) {

    private static final String NOT_KNOWN = "\u2013";

    /**
     * @param level at the tube's own grid where its gain was told, else where it was heard
     * @param looks its class
     */
    record Row(
            String tube,
            String verdict,
            String hertz,
            String decay,
            String level,
            String gain,
            String taps,
            String against,
            String looks) {}

    static TubesView of(List<Ringing> tubes, Optional<CardScale> card, Words words) {
        return new TubesView(TubeByTube.of(tubes).stream()
                .map(line -> row(line, card, words))
                .toList());
    }

    private static Row row(TubeByTube.Line line, Optional<CardScale> card, Words words) {
        Ringing tube = line.ringing();
        boolean rings = !tube.rings().isEmpty();
        return new Row(
                tube.tube(),
                words.name(tube.kind()),
                rings ? aligned(tube.hertz(), Unit.HERTZ) : NOT_KNOWN,
                rings ? decay(tube, words) : NOT_KNOWN,
                rings ? level(tube, card) : NOT_KNOWN,
                gain(tube.gain()),
                words.message("page.ring.taps", tube.rings().size(), tube.struck()),
                line.against().map(words::say).orElse(""),
                tube.isWaste() ? "differs" : "");
    }

    private static String decay(Ringing tube, Words words) {
        return tube.decay()
                .map(decay -> aligned(decay, Unit.SECOND))
                .orElseGet(() -> words.message("page.ring.no-end"));
    }

    private static String aligned(Estimate figure, Unit unit) {
        return Figures.aligned(figure.value(), figure.plusMinus(), unit);
    }

    private static String level(Ringing tube, Optional<CardScale> card) {
        if (card.isEmpty()) {
            return Figures.fixed(SpectrumTrace.decibels(tube.level() * tube.level()), 1) + " dB FS";
        }
        double volts = card.get().volts() * tube.level();
        return volts >= 1e-3
                ? Figures.plain(Figures.rounded(1e3 * volts, 2)) + " mV"
                : Figures.plain(Figures.rounded(1e6 * volts, 2)) + " \u00b5V";
    }

    private static String gain(OptionalDouble gain) {
        return gain.isPresent() ? "\u00d7 " + Figures.plain(gain.getAsDouble()) : NOT_KNOWN;
    }
}
