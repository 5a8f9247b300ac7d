package yellowrail.core.schematic;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

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

    record Kilohms(@In(Unit.KILOHM) double ohms) implements SchematicFinding {}

    record Silicon() implements SchematicFinding {}

    record RectifierNotKnown() implements SchematicFinding {}

    record Reservoir() implements SchematicFinding {}

    record Standby() implements SchematicFinding {}

    /** It stands at its full voltage while the standby switch is off. */
    record LiveInStandby() implements SchematicFinding {}

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

    record Left() implements SchematicFinding {}

    record Right() implements SchematicFinding {}
}
