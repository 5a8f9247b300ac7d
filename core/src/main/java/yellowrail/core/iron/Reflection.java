package yellowrail.core.iron;

/**
 * What a load on the secondary is to the tubes: the load times the impedance ratio, the turns ratio squared.
 *
 * @param impedanceRatio primary over secondary
 * @param nominalOhms    the primary's nominal load, ohm
 * @param reflectedOhms  what the tubes see, ohm; infinite where the output is open
 */
public record Reflection(double impedanceRatio, double nominalOhms, double reflectedOhms) {

    /** @param tapOhms the speaker the tap is meant for, with which the primary shows its nominal load */
    public static Reflection onTap(double primaryOhms, double tapOhms, double speakerOhms) {
        double ratio = positive("the primary\u2019s load", primaryOhms) / positive("the tap\u2019s load", tapOhms);
        return new Reflection(ratio, primaryOhms, ratio * speaker(speakerOhms));
    }

    /** From a measured pair of voltages; what the nominal load is, such a measurement does not tell: the speaker\u2019s own is taken. */
    public static Reflection measured(double primaryVolts, double secondaryVolts, double speakerOhms) {
        double turns = positive("the primary\u2019s voltage", primaryVolts) / positive("the secondary\u2019s voltage", secondaryVolts);
        double reflected = turns * turns * speaker(speakerOhms);
        return new Reflection(turns * turns, reflected, reflected);
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

    public double ratioToNominal() {
        return reflectedOhms / nominalOhms;
    }

    public LoadVerdict verdict() {
        return LoadVerdict.of(ratioToNominal());
    }
}
