package yellowrail.web.practice;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.finding.Code;
import yellowrail.core.practice.Exercise;
import yellowrail.core.practice.PracticeFinding;
import yellowrail.web.words.Words;

/**
 * The exercises with what came of them: what each trains is told once it was passed.
 *
 * @param roundDone whether the first round was gone to its end
 * @param next what comes next
 * @param groups the exercises by what is to be done
 */
record PracticeBook(boolean roundDone, Optional<Card> next, List<Group> groups) {

    /** Exercises of one kind. */
    record Group(String name, List<Card> cards) {}

    /**
     * An exercise.
     *
     * @param token done, next or due
     * @param best marks; blank until it was passed
     * @param trains blank until it was passed
     */
    record Card(int number, String name, String token, String state, String best, String trains) {}

    static PracticeBook of(List<PracticeRecord> records, Words words) {
        Map<String, PracticeRecord> known =
                records.stream().collect(Collectors.toMap(PracticeRecord::exercise, Function.identity()));
        Optional<Exercise> next = exercises()
                .filter(exercise -> !isPassed(known.get(exercise.name())))
                .findFirst();
        Function<Exercise, Card> card = exercise -> card(
                exercise,
                known.get(exercise.name()),
                next.filter(exercise::equals).isPresent(),
                words);
        return new PracticeBook(
                isPassed(known.get(Exercise.NOTHING_WRONG.name())),
                next.map(card),
                List.of(
                        group("faults", exercises().filter(each -> !each.isSoak() && !isPart(each)), card, words),
                        group("soaks", exercises().filter(Exercise::isSoak), card, words),
                        group("parts", exercises().filter(PracticeBook::isPart), card, words)));
    }

    private static Stream<Exercise> exercises() {
        return Stream.of(Exercise.values()).filter(exercise -> exercise != Exercise.NOTHING_WRONG);
    }

    private static boolean isPart(Exercise exercise) {
        return exercise.compareTo(Exercise.SOAK_MAINS) > 0;
    }

    private static boolean isPassed(PracticeRecord record) {
        return record != null && record.passed();
    }

    private static Group group(String name, Stream<Exercise> of, Function<Exercise, Card> card, Words words) {
        return new Group(words.message("page.practice." + name), of.map(card).toList());
    }

    private static Card card(Exercise exercise, PracticeRecord record, boolean next, Words words) {
        boolean passed = isPassed(record);
        return new Card(
                exercise.ordinal(),
                words.message("page.practice.exercise-numbered", exercise.ordinal()),
                passed ? "done" : next ? "next" : "due",
                state(record, words),
                passed && record.turns() != null ? best(record, words) : "",
                passed ? words.message("page.practice.trains." + Code.of(exercise)) : "");
    }

    private static String state(PracticeRecord record, Words words) {
        if (record == null) {
            return words.message("page.practice.not-tried");
        }
        if (record.passed()) {
            return words.message("page.practice.passed");
        }
        return record.tries() == 1
                ? words.message("page.practice.tried-once")
                : words.message("page.practice.tried-often", record.tries());
    }

    private static String best(PracticeRecord record, Words words) {
        PracticeFinding turns =
                record.turns() == 1 ? new PracticeFinding.OneTurn() : new PracticeFinding.Turns(record.turns());
        long seconds = record.seconds().longValue();
        return words.message(
                "page.practice.best",
                words.say(turns),
                words.say(new PracticeFinding.MinutesAndSeconds(seconds / 60, seconds % 60)));
    }
}
