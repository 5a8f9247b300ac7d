package yellowrail.core.powerup;

import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What B+ does before the power tubes draw, and how the heaters stand. */
public sealed interface PowerUpFinding extends Finding {

    record PeakUnknownRating(
            @In(Unit.VOLT) double winding,
            @In(value = Unit.PERCENT, decimals = 0) double regulation,
            @In(Unit.VOLT) double peak)
            implements PowerUpFinding {}

    record PeakTooHigh(
            @In(Unit.VOLT) double winding,
            @In(value = Unit.PERCENT, decimals = 0) double regulation,
            @In(Unit.VOLT) double peak,
            @In(value = Unit.VOLT, given = true) double rating)
            implements PowerUpFinding {}

    record PeakNear(
            @In(Unit.VOLT) double winding,
            @In(value = Unit.PERCENT, decimals = 0) double regulation,
            @In(Unit.VOLT) double peak,
            @In(value = Unit.VOLT, given = true) double rating)
            implements PowerUpFinding {}

    record PeakWithin(
            @In(Unit.VOLT) double winding,
            @In(value = Unit.PERCENT, decimals = 0) double regulation,
            @In(Unit.VOLT) double peak,
            @In(value = Unit.VOLT, given = true) double rating,
            @In(Unit.PERCENT) double margin)
            implements PowerUpFinding {}

    // When that is.

    record AtOnce() implements PowerUpFinding {}

    /** A directly heated rectifier is there before the power tubes. */
    record BeforeThePowerTubes(String rectifier) implements PowerUpFinding {}

    /** The reservoir charges while standby keeps the tubes from drawing. */
    record WhileOnStandby() implements PowerUpFinding {}

    /** An indirectly heated rectifier comes up with the power tubes, unless one of them is out. */
    record WithThePowerTubes(String rectifier) implements PowerUpFinding {}

    record RectifierNotKnown() implements PowerUpFinding {}

    // Heaters

    record HeatersBare(@In(value = Unit.VOLT, given = true) double volts) implements PowerUpFinding {}

    record HeatersRead(
            @In(value = Unit.VOLT, decimals = 2) double volts,
            @In(Unit.PERCENT) double off,
            @In(value = Unit.VOLT, given = true) double nominal,
            PowerUpFinding mains,
            Optional<PowerUpFinding> bare,
            @In(value = Unit.PERCENT, decimals = 0) double preferred,
            @In(value = Unit.PERCENT, decimals = 0) double most)
            implements PowerUpFinding {}

    record HeatersAtMains(
            @In(Unit.VOLT) double mains,
            @In(Unit.VOLT) double reference,
            @In(value = Unit.VOLT, decimals = 2) double there)
            implements PowerUpFinding {}

    record MainsNotReadWithHeaters() implements PowerUpFinding {}

    record HeatersWithoutTubes(
            @In(value = Unit.VOLT, decimals = 2) double volts) implements PowerUpFinding {}
}
