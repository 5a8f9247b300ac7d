package yellowrail.core.tone;

import java.util.Optional;
import yellowrail.core.standard.StandardValues;

/**
 * The divider between an amp's output and a sound card: one resistor in series, one across the card, of values that are
 * sold, so that the most the amp gives stands no higher at the card than the card bears.
 *
 * @param series ohm
 * @param across ohm
 * @param peak what the amp may give, V
 */
public record CardPad(double series, double across, double peak) {

    /** What a card bears at least, peak V: 0.5 V RMS. */
    public static final double CARD = 0.7;

    private static final double ACROSS = 1000;
    /** Unloaded, or at high mains, an amp gives more volts than it does into its load. */
    private static final double MARGIN = 1.5;
    /** What most hobby amps do not pass, W. */
    private static final double SMALL = 60;
    /** Watts out for a watt of plate rating, at the highest plate volts in use. */
    private static final double OF_RATING = 2;

    /**
     * What an amp may give at most, driven hard, W.
     *
     * @param rated plate dissipation of all its tubes, W; 0 where it is not known
     */
    public static double most(double rated) {
        return Math.max(SMALL, OF_RATING * rated);
    }

    /**
     * @param watts of a sine that the amp gives at most, W, &gt; 0
     * @param load ohm, &gt; 0
     * @return none where the card bears it as it is
     */
    public static Optional<CardPad> of(double watts, double load) {
        double peak = MARGIN * Math.sqrt(2 * watts * load);
        return peak <= CARD
                ? Optional.empty()
                : Optional.of(new CardPad(
                        StandardValues.E12
                                .from(ACROSS * (peak / CARD - 1))
                                .findFirst()
                                .orElseThrow(),
                        ACROSS,
                        peak));
    }

    /** At the card, peak V. */
    public double atCard() {
        return peak * across / (series + across);
    }

    /** What the series resistor burns at most, W. */
    public double watts() {
        double volts = peak * series / (series + across);
        return volts * volts / series;
    }
}
