package yellowrail.core.amp;

import java.util.OptionalDouble;

/**
 * What feeds the output stage, as far as the builder has written it down; everything may be unknown.
 *
 * @param rectifier what makes the DC
 * @param standby whether there is a standby switch
 * @param secondaryVolts AC volts of the plate winding, per half if it has a centre tap, V RMS at the sheet's mains
 * @param capacitorVolts what the first capacitor, or the stack, is rated for, V
 * @param otherAmps current from the same rail that is not the power tubes', A
 * @param resistorWatts rating of the resistor at each test point, W
 * @param biasFeedOhms resistor that feeds the bias from its rectifier, ohm
 * @param biasShuntOhms resistor from the bias to ground, ohm
 * @param regulation how far the unloaded winding stands above its rated volts, as a ratio
 * @param behindStandby whether the standby switch cuts the reservoir off from the rectifier; else the reservoir charges
 *     before the tubes may draw
 * @param bridge whether silicon rectifies the whole winding; else each half of one with a centre tap
 * @param biasRegulated whether the grids stand still while the mains move; else their supply follows them
 */
public record Supply(
        Rectifier rectifier,
        boolean standby,
        OptionalDouble secondaryVolts,
        OptionalDouble capacitorVolts,
        OptionalDouble otherAmps,
        OptionalDouble resistorWatts,
        OptionalDouble biasFeedOhms,
        OptionalDouble biasShuntOhms,
        OptionalDouble regulation,
        boolean behindStandby,
        boolean bridge,
        boolean biasRegulated) {

    /** How far an unloaded winding stands above its rated volts where nobody measured it. */
    public static final double USUAL_REGULATION = 0.07;

    public static final Supply UNKNOWN = new Supply(
            Rectifier.UNKNOWN,
            false,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty());

    public Supply(
            Rectifier rectifier,
            boolean standby,
            OptionalDouble secondaryVolts,
            OptionalDouble capacitorVolts,
            OptionalDouble otherAmps,
            OptionalDouble resistorWatts,
            OptionalDouble biasFeedOhms,
            OptionalDouble biasShuntOhms) {
        this(
                rectifier,
                standby,
                secondaryVolts,
                capacitorVolts,
                otherAmps,
                resistorWatts,
                biasFeedOhms,
                biasShuntOhms,
                OptionalDouble.empty(),
                false);
    }

    public Supply(
            Rectifier rectifier,
            boolean standby,
            OptionalDouble secondaryVolts,
            OptionalDouble capacitorVolts,
            OptionalDouble otherAmps,
            OptionalDouble resistorWatts,
            OptionalDouble biasFeedOhms,
            OptionalDouble biasShuntOhms,
            OptionalDouble regulation,
            boolean behindStandby) {
        this(
                rectifier,
                standby,
                secondaryVolts,
                capacitorVolts,
                otherAmps,
                resistorWatts,
                biasFeedOhms,
                biasShuntOhms,
                regulation,
                behindStandby,
                false,
                false);
    }

    /**
     * What the plates stand at while nothing draws: the winding's peak at a mains ratio, V; empty where the winding's
     * volts are not known, and with a tube rectifier, which does not get there before its load does.
     */
    public OptionalDouble peakVolts(double mainsRatio) {
        return rectifier == Rectifier.TUBE || secondaryVolts.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.sqrt(2) * secondaryVolts.getAsDouble() * mainsRatio);
    }

    /** Whether the reservoir stands at its full voltage while the standby switch is off. */
    public boolean isLiveInStandby() {
        return standby && !behindStandby;
    }

    /** The same with another current that is not the power tubes'. */
    public Supply withOther(double amps) {
        return copy(rectifier, secondaryVolts, OptionalDouble.of(amps));
    }

    /** The same with grids that stand still while the mains move. */
    public Supply withRegulatedBias() {
        return new Supply(
                rectifier,
                standby,
                secondaryVolts,
                capacitorVolts,
                otherAmps,
                resistorWatts,
                biasFeedOhms,
                biasShuntOhms,
                regulation,
                behindStandby,
                bridge,
                true);
    }

    /** The same with another winding, V RMS; or as it is where none is given. */
    public Supply withSecondary(OptionalDouble volts) {
        return copy(rectifier, volts.isPresent() ? volts : secondaryVolts, otherAmps);
    }

    /** The same with another rectifier. */
    public Supply with(Rectifier other) {
        return copy(other, secondaryVolts, otherAmps);
    }

    private Supply copy(Rectifier otherRectifier, OptionalDouble otherSecondary, OptionalDouble amps) {
        return new Supply(
                otherRectifier,
                standby,
                otherSecondary,
                capacitorVolts,
                amps,
                resistorWatts,
                biasFeedOhms,
                biasShuntOhms,
                regulation,
                behindStandby,
                bridge,
                biasRegulated);
    }
}
