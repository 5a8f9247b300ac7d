package yellowrail.core.schematic;

import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;

/** What stands beside a symbol. */
public sealed interface SchematicFinding extends Finding {

    /** As the builder or the catalogue calls it. */
    record Called(String name) implements SchematicFinding {

        /** As much of a name as there is room for. */
        static Called within(int most, String name) {
            return new Called(name.length() <= most ? name : name.substring(0, most - 1) + "\u2026");
        }
    }

    record Mains(@In(value = Unit.VOLT, decimals = 0) double volts) implements SchematicFinding {}

    record Winding(@In(value = Unit.VOLT, decimals = 0) double volts) implements SchematicFinding {}

    record RatedVolts(@In(value = Unit.VOLT, decimals = 0) double volts) implements SchematicFinding {}

    record RatedAmps(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps) implements SchematicFinding {}

    record HeaterAmps(@In(decimals = 1) double amps) implements SchematicFinding {}

    record Ohms(@In(Unit.OHM) double ohms) implements SchematicFinding {}

    /** The unit alone, below figures of several. */
    record Ohm() implements SchematicFinding {}

    record Kilohms(@In(Unit.KILOHM) double ohms) implements SchematicFinding {}

    /** Of a capacitor. */
    record Farads(@In(value = Unit.MICROFARAD, given = true) double farads) implements SchematicFinding {}

    /** Of a capacitor, and what it is rated for. */
    record FaradsRated(
            @In(value = Unit.MICROFARAD, given = true) double farads,
            @In(value = Unit.VOLT, given = true) double rating)
            implements SchematicFinding {}

    record Plus() implements SchematicFinding {}

    record Grids() implements SchematicFinding {}

    record Silicon() implements SchematicFinding {}

    record RectifierNotKnown() implements SchematicFinding {}

    record Reservoir() implements SchematicFinding {}

    record Standby() implements SchematicFinding {}

    /** It stands at its full voltage while the standby switch is off. */
    record LiveInStandby() implements SchematicFinding {}

    /** What of the output stage hangs on a node. */
    record FeedsPlates() implements SchematicFinding {}

    record FeedsScreens() implements SchematicFinding {}

    record FeedsStage() implements SchematicFinding {}

    /** It holds its charge when the plug is out. */
    record StaysCharged() implements SchematicFinding {}

    record Choke() implements SchematicFinding {}

    record Dropper() implements SchematicFinding {}

    record Screens() implements SchematicFinding {}

    record Preamp() implements SchematicFinding {}

    record Bias() implements SchematicFinding {}

    record Heaters() implements SchematicFinding {}

    record Push() implements SchematicFinding {}

    record Pull() implements SchematicFinding {}

    record Single() implements SchematicFinding {}

    /** A resistance of the chart in the unit that it is read off a resistor in. */
    static SchematicFinding ofOhms(double ohms) {
        return ohms < 1000 ? new Ohms(ohms) : new OhmsOf(ohms);
    }

    record OhmsOf(@In(value = Unit.KILOHM, given = true) double ohms) implements SchematicFinding {}

    record NodeVolts(@In(Unit.VOLT) double volts) implements SchematicFinding {}

    record SmallNodeVolts(
            @In(value = Unit.VOLT, decimals = 2) double volts) implements SchematicFinding {}

    /** What a node should read, where it was not read. */
    record Wanted(@In(value = Unit.VOLT, given = true) double volts) implements SchematicFinding {}

    record AtStage(String place, ReadingKind kind) implements SchematicFinding {}

    record Hot() implements SchematicFinding {}

    record Cold() implements SchematicFinding {}

    record Over() implements SchematicFinding {}

    record Unlike() implements SchematicFinding {}

    record High() implements SchematicFinding {}

    record Low() implements SchematicFinding {}

    record Pulses() implements SchematicFinding {}

    record Old() implements SchematicFinding {}

    record NoVolts() implements SchematicFinding {}

    record OfKind(NodeKind kind) implements SchematicFinding {}

    record From(String label) implements SchematicFinding {}

    record Left() implements SchematicFinding {}

    record Right() implements SchematicFinding {}
}
