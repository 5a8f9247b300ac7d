package yellowrail.web.amp.document;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;

/** Where the idle should land, as it is stored. */
record TargetPart(School school, double low, double aim, double high, List<BandPart> bands) {

    /** A line of a table by plate voltage. */
    record BandPart(double volts, double low, double aim, double high) {}

    static TargetPart of(Target target) {
        return new TargetPart(
                target.school(),
                target.low(),
                target.aim(),
                target.high(),
                target.bands().stream()
                        .map(band -> new BandPart(band.volts(), band.low(), band.aim(), band.high()))
                        .toList());
    }

    Target target() {
        List<BandPart> lines = Optional.ofNullable(bands).orElse(List.of());
        return new Target(
                school,
                low,
                aim,
                high,
                lines.stream()
                        .map(band -> new Target.Band(band.volts(), band.low(), band.aim(), band.high()))
                        .toList());
    }
}
