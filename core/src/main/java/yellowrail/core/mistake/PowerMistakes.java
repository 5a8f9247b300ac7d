package yellowrail.core.mistake;

import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** Mistakes about what is switched on and what it is rated for. */
final class PowerMistakes {

    private static final Set<ReadingKind> LIVE = EnumSet.of(
            ReadingKind.SENSE_VOLTS,
            ReadingKind.SENSE_AMPS,
            ReadingKind.PLATE,
            ReadingKind.PLATE_UNLOADED,
            ReadingKind.SCREEN_VOLTS,
            ReadingKind.SCREEN_AMPS,
            ReadingKind.SCREEN_DROP,
            ReadingKind.CATHODE_VOLTS,
            ReadingKind.BIAS,
            ReadingKind.HEATER,
            ReadingKind.NODE,
            ReadingKind.SWING_A,
            ReadingKind.SWING_B);
    /** Long enough to be judged: what is offered where the switch was forgotten. */
    private static final double MINUTES_AGO = 10;

    private static final Set<ReadingKind> WARM =
            EnumSet.of(ReadingKind.SENSE_VOLTS, ReadingKind.SENSE_AMPS, ReadingKind.PLATE);

    private PowerMistakes() {}

    static Optional<Question> resistanceWithPowerOn(Entry entry, Situation now) {
        WarmUp warmUp = new WarmUp(now.before(), now.sheet().settleMinutes());
        if (entry.kind() != ReadingKind.RESISTOR_COLD || !warmUp.isOn()) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.ResistanceWhileOn(),
                List.of(List.of(Situation.words(ReadingKind.POWER_OFF, ""), entry))));
    }

    /** A live reading while the amp is off by the log. */
    static Optional<Question> readWhileOff(Entry entry, Situation now) {
        return LIVE.contains(entry.kind())
                        && new WarmUp(now.before(), now.sheet().settleMinutes()).isOff()
                        && entry.value() != 0
                ? Optional.of(Situation.ask(
                        entry,
                        new MistakeFinding.ReadWhileOff(),
                        List.of(List.of(new Entry(ReadingKind.POWER_ON, "", MINUTES_AGO, ""), entry))))
                : Optional.empty();
    }

    /** What a capacitor still holds, read while the amp is on by the log. */
    static Optional<Question> drainedWhileOn(Entry entry, Situation now) {
        return entry.kind() == ReadingKind.DRAINED
                        && new WarmUp(now.before(), now.sheet().settleMinutes()).isOn()
                ? Optional.of(Situation.ask(
                        entry,
                        new MistakeFinding.DrainedWhileOn(),
                        List.of(List.of(Situation.words(ReadingKind.POWER_OFF, ""), entry))))
                : Optional.empty();
    }

    static Optional<Question> beforeWarmUp(Entry entry, Situation now) {
        WarmUp warmUp = new WarmUp(now.before(), now.sheet().settleMinutes());
        if (!WARM.contains(entry.kind()) || warmUp.lastOn().isEmpty() || !warmUp.isOn()) {
            return Optional.empty();
        }
        Duration age = Duration.between(warmUp.lastOn().get(), now.now());
        if (age.isNegative() || age.compareTo(WarmUp.CONDUCTS) >= 0) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.BeforeTheTubesConduct(age.toSeconds(), WarmUp.CONDUCTS.toSeconds()),
                List.of(List.of(new Entry(ReadingKind.POWER_ON, "", MINUTES_AGO, ""), entry))));
    }

    static Optional<Question> pastTheCapacitors(Entry entry, Situation now) {
        boolean plate = entry.kind() == ReadingKind.PLATE || entry.kind() == ReadingKind.PLATE_UNLOADED;
        if (!plate
                || now.sheet().supply().capacitorVolts().isEmpty()
                || entry.value() <= now.sheet().supply().capacitorVolts().getAsDouble()) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.PastTheCapacitors(
                        entry.value(), now.sheet().supply().capacitorVolts().getAsDouble()),
                List.of(List.of(entry, Situation.words(ReadingKind.POWER_OFF, "")))));
    }

    static Optional<Question> pastItsCapacitor(Entry entry, Situation now) {
        return now.sheet()
                .chart()
                .node(entry.target())
                .filter(node -> entry.kind() == ReadingKind.NODE)
                .flatMap(ChartNode::bank)
                .filter(bank -> Math.abs(entry.value()) > bank.ratedVolts())
                .map(bank -> Situation.ask(
                        entry,
                        new MistakeFinding.PastTheCapacitors(entry.value(), bank.ratedVolts()),
                        List.of(List.of(entry, Situation.words(ReadingKind.POWER_OFF, "")))));
    }

    static Optional<Question> pastAResistor(Entry entry, Situation now) {
        if (!entry.isCurrent()
                || now.sheet().supply().resistorWatts().isEmpty()
                || now.sheet().current().ohms().isEmpty()) {
            return Optional.empty();
        }
        double ohms = now.before()
                .last(ReadingKind.RESISTOR_COLD, entry.target())
                .map(Reading::value)
                .orElse(now.sheet().current().ohms().getAsDouble());
        double watts = entry.kind() == ReadingKind.SENSE_VOLTS
                ? entry.value() * entry.value() / ohms
                : entry.value() * entry.value() * ohms;
        double rating = now.sheet().supply().resistorWatts().getAsDouble();
        if (watts <= rating) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.PastAResistor(entry.target(), watts, rating),
                List.of(List.of(
                        entry,
                        Situation.words(ReadingKind.NOTE, "resistor at " + entry.target() + " past its rating")))));
    }
}
