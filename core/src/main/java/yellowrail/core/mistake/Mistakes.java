package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;

/**
 * The mistakes of the bench, caught as they are typed: each rule looks at a reading in its situation, says what it thinks
 * happened and offers the correction. Nothing is changed by itself, and every reading may stand as typed.
 */
public final class Mistakes {

    private static final List<BiFunction<Entry, Situation, Optional<Question>>> RULES = List.of(
            PowerMistakes::resistanceWithPowerOn, PowerMistakes::beforeWarmUp, PowerMistakes::pastTheCapacitors, PowerMistakes::pastAResistor,
            PlateMistakes::unloaded, PlateMistakes::halvesAtDifferentMains,
            BiasMistakes::cathodeForFixed, BiasMistakes::otherBiasNumbers,
            CurrentMistakes::sumForOne, CurrentMistakes::oneForSum, CurrentMistakes::wholeRating, CurrentMistakes::screenCounted, CurrentMistakes::signalPresent,
            PotMistakes::hotWayWithNewTubes, PotMistakes::creepingTube, PotMistakes::balanceForRange, PotMistakes::otherDirection,
            TubeMistakes::wrongPins);

    private Mistakes() {
    }

    /** @return the question the first matching rule raises; empty if none does */
    public static Optional<Question> question(Entry entry, Situation situation) {
        return RULES.stream().flatMap(rule -> rule.apply(entry, situation).stream()).findFirst();
    }
}
