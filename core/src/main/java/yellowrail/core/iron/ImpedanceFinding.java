package yellowrail.core.iron;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of a file of a measured impedance. */
public sealed interface ImpedanceFinding extends Finding {

    // Why it cannot be used

    record TooManyLines(int most) implements ImpedanceFinding {}

    record StoppedReading(int line) implements ImpedanceFinding {}

    record NoFigures(int lines) implements ImpedanceFinding {}

    record OneColumn(int line) implements ImpedanceFinding {}

    record CannotBe(int line, String hertz, String ohms) implements ImpedanceFinding {}

    record CannotBeWithPhase(int line, String hertz, String ohms, String degrees) implements ImpedanceFinding {}

    record NoNumbers(int line, String typed) implements ImpedanceFinding {}

    record ColumnsSwapped() implements ImpedanceFinding {}

    record FrequenciesFall(
            @In(value = Unit.HERTZ, given = true) double hertz,
            @In(value = Unit.HERTZ, given = true) double before) implements ImpedanceFinding {}

    // What to know of it

    record Gap(
            @In(value = Unit.HERTZ, given = true) double from,
            @In(value = Unit.HERTZ, given = true) double to) implements ImpedanceFinding {}

    record Reaches(
            @In(value = Unit.HERTZ, given = true) double from,
            @In(value = Unit.HERTZ, given = true) double to) implements ImpedanceFinding {}

    record NoPhase() implements ImpedanceFinding {}

    record PhaseBeyondPassive() implements ImpedanceFinding {}

    record Thinned(int points, int kept) implements ImpedanceFinding {}
}
