package yellowrail.core.bias.design;

import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.PartKind;

/**
 * A part that is soldered out or in.
 *
 * @param part which
 * @param from its value before, ohm, of a capacitor its rating, V; empty where there was none
 * @param to its value after; empty where it goes
 */
public record Change(PartKind part, OptionalDouble from, OptionalDouble to) {}
