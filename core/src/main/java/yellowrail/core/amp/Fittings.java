package yellowrail.core.amp;

import java.util.OptionalDouble;

/**
 * What a tube meets in an amp besides its voltages: windings, iron, room and wiring, as far as the builder has written
 * it down. Everything may be unknown. SI, sizes in mm.
 *
 * @param heaterAmps rating of the heater winding the power tubes hang on, A
 * @param otherHeaterAmps what else hangs on that winding, A
 * @param rectifierTube type number of a rectifier tube; blank for none
 * @param firstFarads first capacitor after the rectifier, F
 * @param transformerAmps DC the power transformer gives, A
 * @param chokeAmps DC the choke is rated for, A
 * @param outputAmps DC the output transformer is rated for, single-ended, A
 * @param heightMm room above the socket, mm
 * @param widthMm room across, mm
 * @param gridLeakOhms resistor from each grid to its bias, ohm
 * @param loadOhms load on the tubes: plate to plate, or on the one plate, ohm
 * @param biasColdest grid volts at the coldest stop, V, negative
 * @param biasHottest grid volts at the hottest stop, V, negative
 * @param driveVolts peak volts the driver gives each grid, V
 * @param screenVolts screens to ground when nothing was read, V
 * @param tiedPins socket pins used as tie points, as they are counted; blank for none
 * @param pinOne what pin 1 of an octal socket is wired to
 * @param familySwitch a switch for tube families and its positions, in the builder's words
 * @param iron the output transformer
 */
public record Fittings(
        OptionalDouble heaterAmps,
        OptionalDouble otherHeaterAmps,
        String rectifierTube,
        OptionalDouble firstFarads,
        OptionalDouble transformerAmps,
        OptionalDouble chokeAmps,
        OptionalDouble outputAmps,
        OptionalDouble heightMm,
        OptionalDouble widthMm,
        OptionalDouble gridLeakOhms,
        OptionalDouble loadOhms,
        OptionalDouble biasColdest,
        OptionalDouble biasHottest,
        OptionalDouble driveVolts,
        OptionalDouble screenVolts,
        String tiedPins,
        PinOne pinOne,
        String familySwitch,
        Iron iron) {

    private static final OptionalDouble NO = OptionalDouble.empty();
    public static final Fittings UNKNOWN = new Fittings(
            NO, NO, "", NO, NO, NO, NO, NO, NO, NO, NO, NO, NO, NO, NO, "", PinOne.UNKNOWN, "", Iron.UNKNOWN);

    /** The same with the load and the iron as measured. */
    public Fittings with(OptionalDouble load, Iron other) {
        return copy(heaterAmps, otherHeaterAmps, rectifierTube, transformerAmps, load, other);
    }

    /** What pin 1 of an octal socket is wired to. */
    public enum PinOne {
        UNKNOWN,
        CATHODE,
        NOTHING,
        GROUND
    }

    /** The same with a rectifier tube of this type. */
    public Fittings withRectifier(String type) {
        return copy(heaterAmps, otherHeaterAmps, type, transformerAmps, loadOhms, iron);
    }

    /** The same with what the power transformer gives. */
    public Fittings withTransformer(OptionalDouble amps) {
        return copy(heaterAmps, otherHeaterAmps, rectifierTube, amps, loadOhms, iron);
    }

    /** The same with a heater winding and what else hangs on it. */
    public Fittings withHeaters(double windingAmps, double others) {
        return copy(
                OptionalDouble.of(windingAmps),
                OptionalDouble.of(others),
                rectifierTube,
                transformerAmps,
                loadOhms,
                iron);
    }

    private Fittings copy(
            OptionalDouble heaterAmps,
            OptionalDouble otherHeaterAmps,
            String rectifierTube,
            OptionalDouble transformerAmps,
            OptionalDouble loadOhms,
            Iron iron) {
        return new Fittings(
                heaterAmps,
                otherHeaterAmps,
                rectifierTube,
                firstFarads,
                transformerAmps,
                chokeAmps,
                outputAmps,
                heightMm,
                widthMm,
                gridLeakOhms,
                loadOhms,
                biasColdest,
                biasHottest,
                driveVolts,
                screenVolts,
                tiedPins,
                pinOne,
                familySwitch,
                iron);
    }
}
