package yellowrail.web.soak;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.drift.DriftState;
import yellowrail.core.drift.PointDrift;
import yellowrail.core.finding.Code;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.soak.PointSoak;
import yellowrail.core.soak.Rounds;
import yellowrail.core.soak.Soak;
import yellowrail.core.soak.SoakChart;
import yellowrail.core.soak.SoakStretch;
import yellowrail.core.soak.SoakTeller;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.words.Words;

/**
 * A soak as its station shows it.
 *
 * @param points each test point with its verdict
 * @param common what moves them all; blank for nothing
 * @param whose whose fault it is, or what would tell; empty where nothing is wrong
 * @param next what to read next; null where nothing is asked for
 * @param unit the curves in the unit of the readings
 * @param percent the curves in percent of where each began
 * @param since when the setting was left alone, in words; blank while the amp is off
 */
public record SoakView(
        List<Card> points, String common, List<String> whose, Next next, Scale unit, Scale percent, String since) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    /**
     * A test point.
     *
     * @param look of its curve
     * @param tubes what sits there
     * @param token of the verdict
     * @param rate with its unit; blank where the verdict tells it, or there are too few readings
     */
    public record Card(
            String label,
            String look,
            String tubes,
            String token,
            String verdict,
            String says,
            List<String> beside,
            String rate,
            boolean trouble) {}

    /**
     * What to read next.
     *
     * @param at when, as an ISO instant for the page's clock
     * @param says what, and when by the wall's clock
     */
    public record Next(String point, String at, String says, boolean due) {}

    /**
     * The curves in one scale.
     *
     * @param drawing null before anything was read
     * @param beyond ratings that are above the drawing, in words; blank for none
     */
    public record Scale(SoakDrawing drawing, String beyond) {

        private static Scale of(Soak soak, Timeline timeline, Unit unit, Words words) {
            SoakChart chart = SoakChart.of(soak, timeline, unit == Unit.PERCENT);
            return new Scale(
                    chart.lines().isEmpty() ? null : SoakDrawing.of(chart, unit, words),
                    SoakDrawing.beyond(chart, unit, words));
        }
    }

    /** Whether some tube is not to be trimmed. */
    public boolean trouble() {
        return points.stream().anyMatch(Card::trouble);
    }

    public Scale in(boolean inPercent) {
        return inPercent ? percent : unit;
    }

    /** @param seated what is written on the tubes, by socket */
    public static SoakView of(
            Timeline timeline, Soak soak, List<TubeIdle> tubes, Map<String, String> seated, Clock clock, Words words) {
        AmpSheet sheet = timeline.present().sheet();
        SoakTeller teller = new SoakTeller(soak, sheet, tubes);
        return new SoakView(
                soak.points().stream()
                        .map(point -> card(point, teller, sheet, seated, words))
                        .toList(),
                teller.common().map(words::say).orElse(""),
                words.say(teller.whose()),
                Rounds.next(soak).map(next -> next(next, clock, words)).orElse(null),
                Scale.of(soak, timeline, sheet.current().shows(), words),
                Scale.of(soak, timeline, Unit.PERCENT, words),
                soak.present()
                        .filter(stretch -> soak.isOn())
                        .map(stretch -> since(stretch, clock, words))
                        .orElse(""));
    }

    private static Card card(
            PointSoak point, SoakTeller teller, AmpSheet sheet, Map<String, String> seated, Words words) {
        PointDrift now = point.now();
        DriftState state = point.trouble().map(PointDrift::state).orElse(now.state());
        List<Socket> sockets = sheet.socketsAt(point.label());
        return new Card(
                point.label(),
                Stroke.of(sheet.testPoints().indexOf(point.label())),
                sockets.stream()
                        .map(socket -> seated.getOrDefault(socket.label(), ""))
                        .filter(label -> !label.isBlank())
                        .collect(Collectors.joining(", ")),
                Code.of(state),
                words.name(state),
                words.say(teller.verdict(point)),
                words.say(teller.beside(point)),
                Double.isNaN(now.rate()) || Soak.isDecided(now)
                        ? ""
                        : words.message(
                                "page.soak.rate", signed(now.rate()), signed(now.rateLow()), signed(now.rateHigh())),
                point.isTrouble());
    }

    private static String signed(double rate) {
        return (rate > 0 ? "+" : "") + Figures.fixed(rate, Math.abs(rate) < 10 ? 2 : 0);
    }

    private static Next next(Rounds.Next next, Clock clock, Words words) {
        ZoneId zone = clock.getZone();
        return new Next(
                next.point(),
                next.at().toString(),
                words.message(
                        "page.soak.next", next.point(), TIME.format(next.at().atZone(zone)), next.minutes()),
                next.isDue(clock.instant()));
    }

    private static String since(SoakStretch stretch, Clock clock, Words words) {
        Instant now = clock.instant();
        return words.message(
                "page.soak.since",
                TIME.format(stretch.begun().atZone(clock.getZone())),
                Math.max(0, Duration.between(stretch.begun(), now).toMinutes()));
    }
}
