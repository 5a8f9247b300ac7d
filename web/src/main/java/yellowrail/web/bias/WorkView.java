package yellowrail.web.bias;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yellowrail.core.csv.CsvText;
import yellowrail.core.quantity.Figures;
import yellowrail.core.station.Station;
import yellowrail.core.work.Amount;
import yellowrail.core.work.PartLine;
import yellowrail.core.work.WorkPlan;
import yellowrail.web.words.Words;

/**
 * A change at an amp's bias as a parts list and an order of work.
 *
 * @param outcome what it makes of the amp
 * @param stations in their order
 */
record WorkView(List<Line> parts, List<String> outcome, List<At> stations) {

    /** A line of the parts list; {@code look} is what is done with it, as a class. */
    record Line(String deed, String look, String part, int count, String value, String rating) {}

    /** What is done at a station. */
    record At(String station, int number, List<String> steps) {}

    static WorkView of(WorkPlan plan, Words words) {
        Map<Station, List<String>> steps = new LinkedHashMap<>();
        plan.steps()
                .forEach(step -> steps.computeIfAbsent(step.station(), station -> new ArrayList<>())
                        .add(words.say(step.says())));
        return new WorkView(
                plan.parts().stream().map(line -> line(line, words)).toList(),
                words.say(plan.outcome()),
                steps.entrySet().stream()
                        .map(at -> new At(words.name(at.getKey()), at.getKey().ordinal() + 1, at.getValue()))
                        .toList());
    }

    /** The parts as a file. */
    String csv() {
        return CsvText.write(
                List.of("what", "count", "part", "value", "rating"),
                parts.stream()
                        .map(line -> List.of(
                                line.deed(), String.valueOf(line.count()), line.part(), line.value(), line.rating()))
                        .toList());
    }

    private static Line line(PartLine line, Words words) {
        return new Line(
                words.name(line.deed()),
                switch (line.deed()) {
                    case FIT -> "deed-fit";
                    case TAKE_OUT -> "deed-out";
                    case STAYS -> "";
                },
                words.name(line.what()),
                line.count(),
                line.value().map(WorkView::told).orElse(""),
                line.rating().map(WorkView::told).orElse(""));
    }

    private static String told(Amount amount) {
        return Figures.in(amount.unit(), amount.si());
    }
}
