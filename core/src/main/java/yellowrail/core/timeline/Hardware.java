package yellowrail.core.timeline;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.reading.ReadingKind;

/**
 * What of an amp is soldered, wound or plugged in, in the parts that a reading can speak of. Names, notes, targets,
 * ratings and what is known of a pot's direction are none of it.
 */
public enum Hardware {
    TUBES,
    SUPPLY,
    RESISTORS,
    SOCKETS,
    POTS,
    BIAS;

    private static final Set<ReadingKind> NEVER_VOID = EnumSet.of(
            ReadingKind.MAINS,
            ReadingKind.TURN,
            ReadingKind.TUBE,
            ReadingKind.SHEET,
            ReadingKind.POWER_ON,
            ReadingKind.POWER_OFF,
            ReadingKind.NOTE,
            ReadingKind.FINDING,
            ReadingKind.PROOF,
            ReadingKind.MARK);

    /** The parts in which two sheets of one amp differ. */
    public static Set<Hardware> changed(AmpSheet before, AmpSheet after) {
        Set<Hardware> parts = EnumSet.noneOf(Hardware.class);
        if (before == after) {
            return parts;
        }
        add(parts, TUBES, before.tubeType(), after.tubeType());
        add(parts, SUPPLY, supply(before), supply(after));
        add(parts, RESISTORS, resistors(before), resistors(after));
        add(parts, SOCKETS, List.of(before.sockets(), before.topology()), List.of(after.sockets(), after.topology()));
        add(parts, POTS, pots(before), pots(after));
        add(parts, BIAS, bias(before), bias(after));
        if (isOtherSupply(before, after)) {
            parts.add(BIAS);
        }
        return parts;
    }

    /** A supply that is drawn for the first time was there before. */
    private static boolean isOtherSupply(AmpSheet before, AmpSheet after) {
        return before.biasSupply().isPresent()
                && after.biasSupply().isPresent()
                && !before.biasSupply().get().isWiredAs(after.biasSupply().get());
    }

    private static void add(Set<Hardware> parts, Hardware part, Object before, Object after) {
        if (!before.equals(after)) {
            parts.add(part);
        }
    }

    private static Object supply(AmpSheet sheet) {
        return List.of(
                sheet.supply().rectifier(),
                sheet.supply().secondaryVolts(),
                sheet.fittings().rectifierTube(),
                sheet.fittings().firstFarads());
    }

    private static Object resistors(AmpSheet sheet) {
        return List.of(
                sheet.current().method(),
                sheet.current().ohms(),
                sheet.screen().stopperOhms(),
                sheet.screen().connection(),
                sheet.screen().tap(),
                sheet.plate().halfPrimaryOhms(),
                sheet.fittings().gridLeakOhms());
    }

    private static Object pots(AmpSheet sheet) {
        return sheet.pots().stream()
                .map(pot -> List.of(pot.name(), pot.action() == Pot.Action.BALANCE, pot.acts()))
                .toList();
    }

    private static Object bias(AmpSheet sheet) {
        BiasKind kind = sheet.bias();
        return List.of(kind, sheet.supply().biasFeedOhms(), sheet.supply().biasShuntOhms());
    }

    /** Whether a change in this part makes a reading one of other hardware. */
    boolean voids(ReadingKind kind) {
        if (NEVER_VOID.contains(kind)) {
            return false;
        }
        return switch (kind) {
            case RESISTOR_COLD -> this == RESISTORS || this == SOCKETS;
            case PLATE_UNLOADED -> this == SUPPLY;
            case HEATER_BARE -> false;
            case NODE -> this == SUPPLY || this == TUBES;
            case HEATER -> this == TUBES || this == SOCKETS;
            case BIAS_STOP -> this == POTS || this == BIAS;
            default -> true;
        };
    }
}
