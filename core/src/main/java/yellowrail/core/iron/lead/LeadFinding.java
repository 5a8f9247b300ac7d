package yellowrail.core.iron.lead;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of leads and of what was read between them. */
public sealed interface LeadFinding extends Finding {

    // What was typed

    record NoPair(String typed) implements LeadFinding {}

    record OneLeadTwice(String lead) implements LeadFinding {}

    record NoReading(String typed) implements LeadFinding {}

    record VoltsOutOfRange(
            String typed,
            @In(value = Unit.VOLT, decimals = 0) double most) implements LeadFinding {}

    record OhmsOutOfRange(
            String typed,
            @In(value = Unit.KILOHM, decimals = 0) double most) implements LeadFinding {}

    record TooManyReadings(int most) implements LeadFinding {}

    // What is still to be read

    record NothingRead() implements LeadFinding {}

    /** Resistances never yield a ratio. */
    record OnlyOhms() implements LeadFinding {}

    record OneWindingOnly(List<String> leads) implements LeadFinding {}

    /** Of a push-pull primary only from the centre to an end was read. */
    record HalfOnly() implements LeadFinding {}

    /** Two leads of which nobody knows whether one is the centre. */
    record PerhapsHalf() implements LeadFinding {}

    record ReadBetween(String lead, String other) implements LeadFinding {}

    // What does not look right

    record DoesNotAddUp(
            String one,
            String other,
            @In(value = Unit.VOLT, decimals = 2) double read,
            @In(value = Unit.VOLT, decimals = 2) double expected)
            implements LeadFinding {}

    record NoCentreTap() implements LeadFinding {}

    /** A lead that is not what it was taken for. */
    record NotAsNamed(String lead, LeadMap.Role role) implements LeadFinding {}

    /** Before the source is switched on: what stands at the far side, on this amp's transformer. */
    record FarSide(
            @In(value = Unit.VOLT, decimals = 1) double source,
            @In(value = Unit.VOLT, decimals = 0) double far) implements LeadFinding {}

    record FarSideDangerous(
            @In(value = Unit.VOLT, decimals = 0) double far,
            @In(value = Unit.VOLT, decimals = 2) double feed,
            @In(value = Unit.VOLT, decimals = 0) double touch)
            implements LeadFinding {}
}
