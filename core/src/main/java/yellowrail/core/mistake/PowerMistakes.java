package yellowrail.core.mistake;

import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** Mistakes about what is switched on and what it is rated for. */
final class PowerMistakes {

    private static final Set<ReadingKind> WARM = EnumSet.of(ReadingKind.SENSE_VOLTS, ReadingKind.SENSE_AMPS, ReadingKind.PLATE);

    private PowerMistakes() {
    }

    static Optional<Question> resistanceWithPowerOn(Entry entry, Situation now) {
        WarmUp warmUp = new WarmUp(now.before(), now.sheet().settleMinutes());
        if (entry.kind() != ReadingKind.RESISTOR_COLD || !warmUp.isOn()) {
            return Optional.empty();
        }
        return Optional.of(now.ask(entry, "By the log the amp is on: a resistance measured with the power on is nonsense, and the meter may die of it. Switch off, unplug, bleed, measure.",
                List.of(List.of(Situation.words(ReadingKind.POWER_OFF, ""), entry))));
    }

    static Optional<Question> beforeWarmUp(Entry entry, Situation now) {
        Optional<Reading> on = now.before().at(ReadingKind.POWER_ON, "");
        if (!WARM.contains(entry.kind()) || on.isEmpty() || !new WarmUp(now.before(), now.sheet().settleMinutes()).isOn()) {
            return Optional.empty();
        }
        Duration age = Duration.between(on.get().takenAt(), now.now());
        if (age.isNegative() || age.compareTo(WarmUp.CONDUCTS) >= 0) {
            return Optional.empty();
        }
        return Optional.of(now.ask(entry, "That is %d s after switching on; tubes take about %d s to conduct, so it would not be judged. Read again then, or was it on for longer?"
                .formatted(age.toSeconds(), WarmUp.CONDUCTS.toSeconds()), List.of(List.of(new Entry(ReadingKind.POWER_ON, "", 10, ""), entry))));
    }

    static Optional<Question> pastTheCapacitors(Entry entry, Situation now) {
        boolean plate = entry.kind() == ReadingKind.PLATE || entry.kind() == ReadingKind.PLATE_UNLOADED;
        if (!plate || now.sheet().supply().capacitorVolts().isEmpty() || entry.value() <= now.sheet().supply().capacitorVolts().getAsDouble()) {
            return Optional.empty();
        }
        return Optional.of(now.ask(entry, "%s is more than the capacitors\u2019 %s. Off, before one lets go.".formatted(now.volts(entry.value()),
                now.volts(now.sheet().supply().capacitorVolts().getAsDouble())), List.of(List.of(entry, Situation.words(ReadingKind.POWER_OFF, "")))));
    }

    static Optional<Question> pastAResistor(Entry entry, Situation now) {
        if (!Situation.isCurrent(entry) || now.sheet().supply().resistorWatts().isEmpty() || now.sheet().current().ohms().isEmpty()) {
            return Optional.empty();
        }
        double ohms = now.before().last(ReadingKind.RESISTOR_COLD, entry.target()).map(Reading::value).orElse(now.sheet().current().ohms().getAsDouble());
        double watts = entry.kind() == ReadingKind.SENSE_VOLTS ? entry.value() * entry.value() / ohms : entry.value() * entry.value() * ohms;
        double rating = now.sheet().supply().resistorWatts().getAsDouble();
        if (watts <= rating) {
            return Optional.empty();
        }
        return Optional.of(now.ask(entry, "The resistor at %s would dissipate %s, more than its %s: this setting runs it past its rating.".formatted(entry.target(),
                Figures.watts(watts), Figures.watts(rating)), List.of(List.of(entry, Situation.words(ReadingKind.NOTE, "resistor at " + entry.target() + " past its rating: turning down")))));
    }
}
