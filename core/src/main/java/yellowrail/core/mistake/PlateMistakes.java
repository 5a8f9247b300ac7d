package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.supply.SupplyReadings;

/** Mistakes about plate voltage and mains. */
final class PlateMistakes {

    /** This near to the unloaded voltage the tubes were not drawing. */
    private static final double UNLOADED = 0.985;

    private static final double OTHER_MAINS = 0.02;

    private PlateMistakes() {}

    /** A plate voltage that only stands there while no tube draws. */
    static Optional<Question> unloaded(Entry entry, Situation now) {
        OptionalDouble peak = peak(now);
        if (entry.kind() != ReadingKind.PLATE || peak.isEmpty() || entry.value() < UNLOADED * peak.getAsDouble()) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.UnloadedVoltage(entry.value(), peak.getAsDouble()),
                List.of(List.of(Entry.measured(ReadingKind.PLATE_UNLOADED, entry.target(), entry.value())))));
    }

    private static OptionalDouble peak(Situation now) {
        Optional<Reading> unloaded = now.last(ReadingKind.PLATE_UNLOADED);
        if (unloaded.isPresent()) {
            return OptionalDouble.of(unloaded.get().value());
        }
        return now.sheet().supply().rectifier() == Rectifier.SILICON
                ? now.sheet().supply().peakVolts(SupplyReadings.mainsRatio(now.before(), now.sheet()))
                : OptionalDouble.empty();
    }

    /** The mains moved while only some of the tubes had been read. */
    static Optional<Question> halvesAtDifferentMains(Entry entry, Situation now) {
        Optional<Reading> before = now.last(ReadingKind.MAINS);
        if (entry.kind() != ReadingKind.MAINS
                || before.isEmpty()
                || Math.abs(entry.value() / before.get().value() - 1) <= OTHER_MAINS) {
            return Optional.empty();
        }
        List<String> read = now.readings().stream()
                .filter(reading ->
                        reading.id() > before.get().id() && reading.entry().isCurrent())
                .map(reading -> reading.entry().target())
                .distinct()
                .toList();
        if (read.isEmpty() || read.size() == now.sheet().testPoints().size()) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.HalvesAtDifferentMains(read, before.get().value(), entry.value()),
                List.of(List.of(entry, Situation.words(ReadingKind.MARK, "other mains")))));
    }
}
