package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.ReadingKind;

/** Mistakes that take one kind of bias for the other. */
final class BiasMistakes {

    /** A cathode does not stand this high above ground without a resistor that makes the bias, V. */
    private static final double LIFTED = 5;

    private BiasMistakes() {}

    static Optional<Question> cathodeForFixed(Entry entry, Situation now) {
        boolean cathode = now.sheet().bias().isCathode();
        if (!cathode && entry.kind() == ReadingKind.CATHODE_VOLTS && entry.value() > LIFTED) {
            return Optional.of(Situation.ask(
                    entry,
                    new MistakeFinding.CathodeOnFixedBias(entry.value()),
                    List.of(List.of(Entry.measured(ReadingKind.BIAS, entry.target(), -entry.value())))));
        }
        if (cathode && entry.kind() == ReadingKind.BIAS && Math.abs(entry.value()) > LIFTED) {
            return Optional.of(Situation.ask(
                    entry,
                    new MistakeFinding.GridOnCathodeBias(entry.value()),
                    List.of(List.of(
                            Entry.measured(ReadingKind.CATHODE_VOLTS, entry.target(), Math.abs(entry.value()))))));
        }
        return Optional.empty();
    }

    /** A cathode-bias amp judged by fixed-bias numbers, or the reverse; asked at the first current of a run. */
    static Optional<Question> otherBiasNumbers(Entry entry, Situation now) {
        Target target = now.sheet().target();
        boolean asked =
                now.everything().stream().anyMatch(reading -> reading.entry().isCurrent());
        if (asked
                || !entry.isCurrent()
                || target.school() != School.SHARE_OF_RATING
                || now.sheet().topology() == Topology.SINGLE_ENDED) {
            return Optional.empty();
        }
        Target customary = Target.customary(now.sheet().bias(), now.sheet().topology());
        boolean other = now.sheet().bias().isCathode()
                ? target.high() <= Target.FIXED_BIAS.high()
                : target.low() >= Target.CATHODE_BIAS.low();
        Shown low = Shown.of(Unit.PERCENT, target.low());
        Shown high = Shown.of(Unit.PERCENT, target.high());
        Shown usualLow = Shown.of(Unit.PERCENT, customary.low());
        Shown usualHigh = Shown.of(Unit.PERCENT, customary.high());
        MistakeFinding asks = now.sheet().bias().isCathode()
                ? new MistakeFinding.JudgedByFixedNumbers(now.sheet().bias(), low, high, usualLow, usualHigh)
                : new MistakeFinding.JudgedByCathodeNumbers(now.sheet().bias(), low, high, usualLow, usualHigh);
        return other
                ? Optional.of(Situation.ask(
                        entry, asks, List.of(List.of(Situation.words(ReadingKind.SHEET, "target customary"), entry))))
                : Optional.empty();
    }
}
