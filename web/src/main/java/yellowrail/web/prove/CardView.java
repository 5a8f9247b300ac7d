package yellowrail.web.prove;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tone.CardPad;
import yellowrail.core.tone.CardScale;
import yellowrail.web.words.Words;

/**
 * What stands between an amp and a sound card.
 *
 * @param scale what full scale is, in a sentence
 * @param holds whether the readings beside the recordings agree
 * @param pad the divider to solder, in a sentence
 * @param series its first resistor
 * @param across its second
 */
record CardView(String scale, boolean holds, String pad, String series, String across) {

    private static final double OHMS = 8;

    /** @param watts the most the amp may give into its load */
    static CardView of(Optional<CardScale> scale, double watts, OptionalDouble load, Words words) {
        CardPad pad = CardPad.of(watts, load.orElse(OHMS)).orElseThrow();
        return new CardView(
                scale.map(card -> words.message(
                                card.holds() ? "page.prove.scale" : "page.prove.scale-apart",
                                Figures.plain(Figures.rounded(card.volts(), 4)),
                                Figures.percent(card.apart())))
                        .orElseGet(() -> words.message("page.prove.no-scale")),
                scale.map(CardScale::holds).orElse(true),
                words.message(
                        "page.prove.pad",
                        Figures.resistance(pad.series()),
                        Figures.resistance(pad.across()),
                        Figures.fixed(pad.peak(), 0),
                        Figures.fixed(pad.atCard(), 2),
                        Figures.fixed(pad.watts(), 2),
                        Figures.fixed(watts, 0)),
                Figures.resistance(pad.series()),
                Figures.resistance(pad.across()));
    }
}
