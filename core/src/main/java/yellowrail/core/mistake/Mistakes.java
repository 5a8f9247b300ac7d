package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.Alarm;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.ReadingKind;

/**
 * What is questioned before it counts: numbers that cannot be meant, and the mistakes of the bench as they are typed.
 * Each rule looks at a reading in its situation, says what it thinks happened and offers the correction. Nothing is
 * changed by itself, and every reading may stand as typed. A reading that would be over the rating is first told what
 * it means if it is real; one that the application asked for is not questioned at all.
 */
public final class Mistakes {

    private static final List<BiFunction<Entry, Situation, Optional<Question>>> POWER = List.of(
            PowerMistakes::resistanceWithPowerOn,
            PowerMistakes::drainedWhileOn,
            PowerMistakes::readWhileOff,
            PowerMistakes::beforeWarmUp);
    private static final List<BiFunction<Entry, Situation, Optional<Question>>> BIAS =
            List.of(BiasMistakes::cathodeForFixed);
    /** What says more of a number than that it is out of family. */
    private static final List<BiFunction<Entry, Situation, Optional<Question>>> SLIPS =
            List.of(BiasMistakes::otherBiasNumbers, CurrentMistakes::sumForOne, CurrentMistakes::wholeRating);

    private static final List<BiFunction<Entry, Situation, Optional<Question>>> RULES = List.of(
            OutputMistakes::moreThanTheStage,
            OutputMistakes::muchHum,
            PowerMistakes::pastTheCapacitors,
            PowerMistakes::pastItsCapacitor,
            PowerMistakes::pastAResistor,
            PlateMistakes::unloaded,
            PlateMistakes::halvesAtDifferentMains,
            BiasMistakes::cathodeForFixed,
            CurrentMistakes::oneForSum,
            CurrentMistakes::screenCounted,
            CurrentMistakes::signalPresent,
            CurrentMistakes::farOverRating,
            PotMistakes::hotWayWithNewTubes,
            PotMistakes::creepingTube,
            PotMistakes::balanceForRange,
            PotMistakes::otherDirection,
            TubeMistakes::notListed,
            TubeMistakes::wrongPins,
            VoltMistakes::plate,
            VoltMistakes::screen);
    /** A reading this near to what was asked for is what was asked for. */
    private static final double AS_ASKED = 0.05;

    /** What a tube that runs away may take, over its rating; beyond this nothing lasts long enough to be read. */
    private static final double CREDIBLE = 5;

    private Mistakes() {}

    /** @return the question the first matching rule raises; empty if none does */
    public static Optional<Question> question(Entry entry, Situation situation) {
        Optional<Finding> ifReal = ifReal(entry, situation);
        if (isAsked(entry, situation) && ifReal.isEmpty()) {
            return first(POWER, entry, situation);
        }
        Plausibility plausibility = new Plausibility(situation);
        Optional<Question> question = first(POWER, entry, situation)
                .or(() -> entry.kind() == ReadingKind.BIAS ? first(BIAS, entry, situation) : Optional.empty())
                .or(() -> first(SLIPS, entry, situation))
                .or(() -> plausibility.question(entry))
                .or(() -> first(RULES, entry, situation));
        return question.map(found -> found.ifReal(ifReal));
    }

    /** Only whether a number can be what it is said to be, as a row of a meter's file is asked. */
    public static Optional<Question> implausible(Entry entry, Situation situation) {
        return new Plausibility(situation).question(entry);
    }

    /** Whether what was typed may be true and terrible: then a habitual Enter must not make it harmless. */
    public static boolean mayBeReal(Question question) {
        return question.ifReal()
                .filter(finding -> !(finding instanceof MistakeFinding.IfRealSwitchOff off) || off.ratio() <= CREDIBLE)
                .isPresent();
    }

    private static Optional<Question> first(
            List<BiFunction<Entry, Situation, Optional<Question>>> rules, Entry entry, Situation situation) {
        return rules.stream()
                .flatMap(rule -> rule.apply(entry, situation).stream())
                .findFirst();
    }

    private static boolean isAsked(Entry entry, Situation now) {
        return entry.isCurrent()
                && now.asked().stream()
                        .anyMatch(mark -> mark.testPoint().equals(entry.target())
                                && Math.abs(entry.value() / mark.to() - 1) < AS_ASKED);
    }

    /** What a current or a plate voltage would mean if it is real, where that is more than the rating. */
    private static Optional<Finding> ifReal(Entry entry, Situation now) {
        if (!entry.isCurrent() && entry.kind() != ReadingKind.PLATE) {
            return Optional.empty();
        }
        OptionalDouble worst = CurrentMistakes.tubes(entry, now)
                .mapToDouble(tube -> CurrentMistakes.ratio(tube, now))
                .filter(ratio -> ratio > 1)
                .max();
        return Stream.of(worst)
                .filter(OptionalDouble::isPresent)
                .map(OptionalDouble::getAsDouble)
                .<Finding>map(ratio -> {
                    double watts = CurrentMistakes.tubes(entry, now)
                            .filter(tube -> CurrentMistakes.ratio(tube, now) == ratio)
                            .mapToDouble(CurrentMistakes::watts)
                            .findFirst()
                            .orElseThrow();
                    return ratio > Alarm.SWITCH_OFF
                            ? new MistakeFinding.IfRealSwitchOff(watts, ratio)
                            : new MistakeFinding.IfRealOver(watts, ratio);
                })
                .findFirst();
    }
}
