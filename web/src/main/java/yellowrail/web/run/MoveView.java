package yellowrail.web.run;

import java.util.List;
import java.util.Locale;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.move.CathodeAdvice;
import yellowrail.core.move.Landing;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.supply.MainsRange;
import yellowrail.web.words.Words;

/**
 * The next move as it is shown.
 *
 * @param watch the figure to watch while turning, blank where nothing is to be turned
 * @param point where it is read
 * @param now what it shows now
 * @param choices the standard resistors, with cathode bias
 * @param mains the hottest tube over a range of mains
 */
record MoveView(
        String kind,
        String sentence,
        List<String> notes,
        String line,
        String watch,
        String point,
        String now,
        List<Choice> choices,
        List<Landed> landed,
        List<MainsRow> mains,
        String mainsFrom) {

    private static final int NOTES_SHOWN = 3;

    /** What a careful colleague would add, the most important shown. */
    public Notes shortly() {
        return Notes.of(notes, NOTES_SHOWN);
    }

    /** A standard resistor and what it would give. */
    record Choice(
            String ohms,
            String series,
            String milliamps,
            String plates,
            String watts,
            String cathode,
            String resistor,
            String bypass,
            boolean best) {}

    /** A tube after the move. */
    record Landed(String label, String reading, String milliamps, String watts, String percent) {}

    /** A mains voltage. */
    record MainsRow(String mains, String watts, String percent, boolean over) {}

    static MoveView of(
            NextMove move, StageIdle stage, List<TubeIdle> tubes, double mainsRatio, double span, Words words) {
        AmpSheet sheet = stage.sheet();
        boolean turns = !move.steps().isEmpty();
        NextMove.Step step = turns ? move.steps().get(0) : null;
        MainsRange range = MainsRange.of(stage, tubes, mainsRatio, move.mains(), span);
        return new MoveView(
                move.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                words.say(move.says()),
                words.say(move.notes()),
                words.say(move.line().finding()),
                turns ? Figures.toTurnTo(sheet.current().shows(), step.mark().to()) : "",
                turns ? step.mark().testPoint() : "",
                turns ? Figures.toTurnTo(sheet.current().shows(), step.mark().from()) : "",
                move.cathode().map(advice -> choices(advice, words)).orElse(List.of()),
                move.landing()
                        .map(landing -> landing.tubes().stream()
                                .map(tube -> landed(tube, sheet))
                                .toList())
                        .orElse(List.of()),
                range.rows().stream()
                        .map(row -> new MainsRow(
                                Figures.volts(row.mains()),
                                Figures.watts(row.watts()),
                                Figures.percent(row.ratio()),
                                row.ratio() > 1))
                        .toList(),
                (range.rows().isEmpty()
                        ? ""
                        : words.message(
                                "page.move.mains-by", range.rows().get(0).label(), words.say(range.from()))));
    }

    private static Landed landed(Landing.Tube tube, AmpSheet sheet) {
        Unit shows = sheet.current().shows();
        String reading = Figures.toTurnTo(shows, tube.reading(), tube.plusMinus());
        return new Landed(
                tube.socket().label(),
                reading,
                Figures.milliamps(tube.cathode()),
                Figures.watts(tube.watts()),
                Figures.percent(tube.ratio()));
    }

    private static List<Choice> choices(CathodeAdvice advice, Words words) {
        return advice.choices().stream()
                .map(choice -> {
                    Landing.Tube tube = choice.landing().tubes().get(0);
                    return new Choice(
                            Figures.ohms(choice.ohms()),
                            choice.series().name(),
                            Figures.milliamps(tube.cathode()),
                            Figures.volts(tube.plateVolts()),
                            Figures.percent(tube.ratio()),
                            Figures.volts(choice.volts()),
                            words.message(
                                    "page.move.watts-of",
                                    Figures.fixed(choice.watts(), 2),
                                    Figures.plain(choice.rating())),
                            "\u2265 " + Figures.volts(choice.bypassVolts()),
                            choice == advice.best());
                })
                .toList();
    }
}
