package yellowrail.core.iron;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a load on the secondary is to the tubes: the load times the impedance ratio, the turns ratio squared.
 *
 * @param impedanceRatio primary over secondary
 * @param nominalOhms the primary's nominal load, ohm; empty where it is not known
 * @param reflectedOhms what the tubes see, ohm; infinite where the output is open
 */
public record Reflection(double impedanceRatio, OptionalDouble nominalOhms, double reflectedOhms) {

    /** @param tapOhms the speaker the tap is meant for, with which the primary shows its nominal load */
    public static Reflection onTap(double primaryOhms, double tapOhms, double speakerOhms) {
        double ratio = positive("the primary\u2019s load", primaryOhms) / positive("the tap\u2019s load", tapOhms);
        return new Reflection(ratio, OptionalDouble.of(primaryOhms), ratio * speaker(speakerOhms));
    }

    /** From a measured pair of voltages; what load the primary was made for, such a measurement does not tell. */
    public static Reflection measured(
            double primaryVolts, double secondaryVolts, double speakerOhms, OptionalDouble nominalOhms) {
        double turns = positive("the primary\u2019s voltage", primaryVolts)
                / positive("the secondary\u2019s voltage", secondaryVolts);
        return new Reflection(turns * turns, nominalOhms, turns * turns * speaker(speakerOhms));
    }

    private static double positive(String what, double value) {
        if (!(value > 0 && Double.isFinite(value))) {
            throw new IllegalArgumentException("%s is more than 0, was %s".formatted(what, value));
        }
        return value;
    }

    private static double speaker(double ohms) {
        if (!(ohms >= 0)) {
            throw new IllegalArgumentException("a speaker has 0 ohm or more, was " + ohms);
        }
        return ohms;
    }

    public double turnsRatio() {
        return Math.sqrt(impedanceRatio);
    }

    public OptionalDouble ratioToNominal() {
        return nominalOhms.isPresent() ? OptionalDouble.of(reflectedOhms / nominalOhms.getAsDouble()) : nominalOhms;
    }

    /** @return empty where the nominal load is not known */
    public Optional<LoadVerdict> verdict() {
        return ratioToNominal().isPresent()
                ? Optional.of(LoadVerdict.of(ratioToNominal().getAsDouble()))
                : Optional.empty();
    }
}
