package yellowrail.core.part;

import yellowrail.core.finding.Finding;

/** What is wrong with parts as they were typed; what was typed comes in quotes. */
public sealed interface PartFault extends Finding {

    record NoResistor(String typed) implements PartFault {}

    record DrawerTooFull(int has, int most) implements PartFault {}
}
