package yellowrail.core.swap;

import java.util.List;
import yellowrail.core.amp.Fittings.PinOne;
import yellowrail.core.finding.Finding;
import yellowrail.core.tube.Base;
import yellowrail.core.tube.Element;
import yellowrail.core.tube.PinOut;

/** What is to be said of bases and pins. */
public sealed interface PinFinding extends Finding {

    record AnotherBase(String wants, Base itsBase, Base socketBase) implements PinFinding {}

    record SameType() implements PinFinding {}

    /** Its pin-out is not one of the common ones of its base. */
    record PinOutOfItsOwn(String whose) implements PinFinding {}

    record PinsCarryTheSame(String wants) implements PinFinding {}

    record PinCarriesAnother(String pin, List<Element> before, String wants, List<Element> after)
            implements PinFinding {}

    record PinIsTiePoint(String pin, String wants, List<Element> after) implements PinFinding {}

    record PinWouldBeShorted(PinOne wiredTo, String wants, List<Element> after) implements PinFinding {}

    record PinIsSecond(String pin, String wants, List<Element> after) implements PinFinding {}

    record SuppressorOnGround(String pin) implements PinFinding {}

    record SuppressorToTie(String pin, String wants, String in) implements PinFinding {}

    /** As {@link SuppressorToTie}, where nobody said what the pin is wired to. */
    record SuppressorToTieUnlessDone(String pin, String wants, String in) implements PinFinding {}

    /** Both pin-outs as the catalogue has them. */
    record BothPinOuts(String in, Base itsBase, PinOut itsPins, String wants, Base wantsBase, PinOut wantsPins)
            implements PinFinding {}

    record PinSource() implements PinFinding {}
}
