package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.proof.Measured.Conditions;
import yellowrail.core.proof.ProofKind;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/** Words and digits of what a proof asks and answers. */
final class ProofWords {

    private static final double KILO = 1000;

    private final Words words;

    ProofWords(Words words) {
        this.words = words;
    }

    /** What is asked: {@code THD, 1 W, 1 kHz}. */
    String question(ProofKind kind, Conditions at) {
        List<String> told = new ArrayList<>(List.of(
                at.mark().isPresent()
                        ? words.message(
                                "page.prove.power-at",
                                Figures.plain(Unit.PERCENT.fromSi(at.mark().getAsDouble())))
                        : words.name(kind)));
        at.watts().ifPresent(watts -> told.add(Figures.plain(Figures.rounded(watts, 2)) + " W"));
        at.hertz().ifPresent(hertz -> told.add(hertz(hertz)));
        at.decibels().ifPresent(decibels -> told.add(Figures.plain(decibels) + " dB"));
        return String.join(", ", told);
    }

    static String hertz(double hertz) {
        double rounded = Figures.rounded(hertz, 4);
        return rounded >= KILO ? Figures.plain(rounded / KILO) + " kHz" : Figures.plain(rounded) + " Hz";
    }

    /** An answer with what its instrument leaves open. */
    String answer(ProofKind kind, double value, double plusMinus) {
        return switch (kind) {
            case FULL_POWER, POWER_AT -> figure(value, plusMinus, Unit.WATT);
            case DISTORTION, DISTORTION_AND_NOISE, INTERMODULATION, SECOND, THIRD ->
                figure(value, plusMinus, Unit.PERCENT);
            case METER_HUM, HUM, RIPPLE, NOISE, METER_NOISE, SENSITIVITY ->
                figure(value, plusMinus, value < 0.5 ? Unit.MILLIVOLT : Unit.VOLT);
            case LOW_EDGE, HIGH_EDGE -> hertz(value);
            case DAMPING ->
                plusMinus < value
                        ? factor(value, plusMinus)
                        : words.message("page.prove.damping-over", Figures.fixed(value / (1 + plusMinus / value), 0));
            case GAIN -> factor(value, plusMinus);
        };
    }

    private static String factor(double value, double plusMinus) {
        return figure(value, plusMinus, Unit.OHM).replace(" " + Unit.OHM, "");
    }

    static String figure(double value, double plusMinus, Unit unit) {
        return plusMinus == 0 ? Figures.in(unit, value) : Figures.aligned(value, plusMinus, unit);
    }
}
