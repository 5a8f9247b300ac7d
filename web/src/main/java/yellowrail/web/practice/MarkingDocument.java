package yellowrail.web.practice;

import java.util.List;
import yellowrail.core.practice.BenchState;
import yellowrail.core.practice.Marking;
import yellowrail.web.words.Words;

/** A marking as it was told and is kept: in the words of that day. Turns and bench time, s, were not kept at first. */
record MarkingDocument(boolean passed, List<Line> lines, Integer turns, Double seconds) {

    /** One thing looked at. */
    record Line(String what, String result, boolean good) {}

    static MarkingDocument of(Marking marking, BenchState state, Words words) {
        return new MarkingDocument(
                marking.passed(),
                marking.lines().stream()
                        .map(line -> new Line(words.say(line.what()), words.say(line.result()), line.good()))
                        .toList(),
                state.turns(),
                state.seconds());
    }
}
