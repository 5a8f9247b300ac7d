package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Occupant;
import yellowrail.core.tube.Rating;

/**
 * Volts over what is published for the type: common practice in many amps, a real risk in others. Asked once, and
 * answered on the sheet; for a tube of another type than the sheet's there is nothing to answer there.
 */
final class VoltMistakes {

    /** What is taken on lies a little above what was read, in steps of ten volts. */
    private static final double ROOM = 1.03;

    private static final double STEP = 10;

    private VoltMistakes() {}

    static Optional<Question> plate(Entry entry, Situation now) {
        if (entry.kind() != ReadingKind.PLATE || answered(ReadingKind.PLATE, entry.value(), now)) {
            return Optional.empty();
        }
        return over(entry, now, now.sheet().accepted().plateVolts(), false)
                .or(() -> now.sheet().screen().connection() == ScreenSense.Connection.PENTODE
                        ? Optional.empty()
                        : over(entry, now, now.sheet().accepted().screenVolts(), true));
    }

    static Optional<Question> screen(Entry entry, Situation now) {
        return entry.kind() != ReadingKind.SCREEN_VOLTS || answered(ReadingKind.SCREEN_VOLTS, entry.value(), now)
                ? Optional.empty()
                : over(entry, now, now.sheet().accepted().screenVolts(), true);
    }

    /** A reading as high stands in the log already: it was asked then. */
    private static boolean answered(ReadingKind kind, double volts, Situation now) {
        return now.readings().stream()
                .filter(reading -> reading.kind() == kind)
                .mapToDouble(Reading::value)
                .anyMatch(before -> before * ROOM >= volts);
    }

    private static Optional<Question> over(Entry entry, Situation now, OptionalDouble accepted, boolean screen) {
        for (int i = 0; i < now.stage().occupants().size(); i++) {
            Occupant occupant = now.stage().occupants().get(i);
            OptionalDouble limit = occupant.rating()
                    .map(screen ? Rating::screenVolts : Rating::plateVolts)
                    .orElse(OptionalDouble.empty());
            double volts = toCathode(entry, i, now);
            boolean ofTheSheet = occupant.type().map(now.sheet()::isOf).orElse(false);
            if (limit.isPresent()
                    && volts > limit.getAsDouble()
                    && !(ofTheSheet && accepted.isPresent() && volts <= accepted.getAsDouble())) {
                String upTo = "%s up to %s"
                        .formatted(screen ? "screen" : "plate", Figures.plain(STEP * Math.ceil(volts * ROOM / STEP)));
                return Optional.of(Situation.ask(
                        entry,
                        screen
                                ? new MistakeFinding.ScreenOverPublished(volts, occupant.name(), limit.getAsDouble())
                                : new MistakeFinding.PlateOverPublished(volts, occupant.name(), limit.getAsDouble()),
                        ofTheSheet ? List.of(List.of(Situation.words(ReadingKind.SHEET, upTo), entry)) : List.of()));
            }
        }
        return Optional.empty();
    }

    /** Where the tube's other readings tell how far its cathode is lifted. */
    private static double toCathode(Entry entry, int tube, Situation now) {
        Optional<TubeValues> values = IntStream.of(tube)
                .mapToObj(now.stage().valuesAt(now.with(entry))::get)
                .findFirst()
                .orElse(Optional.empty());
        return values.map(found -> entry.kind() == ReadingKind.PLATE
                        ? found.values().plateVolts()
                        : entry.value() - found.values().cathodeVolts())
                .orElse(entry.value());
    }
}
