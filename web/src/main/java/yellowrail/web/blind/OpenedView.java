package yellowrail.web.blind;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import yellowrail.core.blind.BlindPlan;
import yellowrail.core.blind.MarkedRounds;
import yellowrail.core.quantity.Figures;
import yellowrail.web.blind.BlindService.Blind;
import yellowrail.web.words.Words;

/**
 * A comparison that was opened.
 *
 * @param says what it is worth
 * @param agreement of the rounds; blank where marks were not asked for
 */
record OpenedView(String says, String agreement, List<Row> rows) {

    /**
     * A setting.
     *
     * @param marks of the rounds
     * @param heard the listener's words
     */
    record Row(
            int number,
            String label,
            String name,
            String line,
            String marks,
            String mean,
            List<String> heard,
            boolean best) {}

    static OpenedView of(Blind blind, Words words) {
        boolean guesses = blind.document().kind() == BlindPlan.Kind.GUESSES;
        MarkedRounds marks = guesses ? null : blind.marks();
        return new OpenedView(
                words.say(guesses ? blind.guesses().finding() : marks.finding()),
                guesses || blind.wholeRounds() < 2
                        ? ""
                        : words.message("page.blind.agreement", Figures.fixed(marks.agreement(), 2)),
                IntStream.range(0, blind.document().settings().size())
                        .mapToObj(setting -> row(blind, marks, setting))
                        .toList());
    }

    private static Row row(Blind blind, MarkedRounds marks, int setting) {
        List<NoteRow> own = blind.notes().stream()
                .filter(note -> blind.document().steps().get(note.position()).setting() == setting)
                .toList();
        BlindDocument.Setting what = blind.document().settings().get(setting);
        return new Row(
                setting,
                blind.document().plan().labelOf(setting),
                what.name(),
                what.line(),
                own.stream()
                        .filter(note -> note.mark() != null)
                        .map(note -> note.mark().toString())
                        .collect(Collectors.joining(" ")),
                marks == null ? "" : Figures.fixed(marks.mean(setting), 1),
                own.stream().map(NoteRow::words).filter(text -> !text.isBlank()).toList(),
                marks != null && marks.best() == setting);
    }
}
