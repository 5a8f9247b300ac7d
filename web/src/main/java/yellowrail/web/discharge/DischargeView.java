package yellowrail.web.discharge;

import java.util.List;
import yellowrail.core.discharge.DischargeFinding;
import yellowrail.core.discharge.DischargePoint;
import yellowrail.core.discharge.DischargeWalk;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/**
 * A discharge walk as its page shows it.
 *
 * @param at the capacitor to read next; blank where all are read
 * @param says what matters most, first
 * @param drained whether hands may go in
 * @param drawing null where the chart has no capacitors
 */
record DischargeView(
        String at, List<String> says, boolean drained, boolean off, List<Row> rows, EmptyingDrawing drawing) {

    /** A capacitor. */
    record Row(String label, String from, String waits, String read, String state, String verdict) {}

    static DischargeView of(DischargeWalk walk, String wanted, Words words) {
        List<DischargePoint> points = walk.points();
        String at = points.stream()
                .map(DischargePoint::label)
                .filter(label -> label.equalsIgnoreCase(wanted))
                .findFirst()
                .or(() -> points.stream()
                        .filter(point -> point.state() != DischargePoint.State.DRAINED)
                        .map(DischargePoint::label)
                        .findFirst())
                .orElse("");
        List<DischargeFinding> says = walk.says();
        return new DischargeView(
                at,
                words.say(says),
                walk.isDrained(),
                walk.isOff(),
                points.stream().map(point -> row(point, words)).toList(),
                walk.emptying().map(EmptyingDrawing::of).orElse(null));
    }

    private static Row row(DischargePoint point, Words words) {
        return new Row(
                point.label(),
                point.from()
                        .map(from -> from.isMost()
                                ? Figures.volts(from.volts())
                                : words.message("page.discharge.or-more", Figures.volts(from.volts())))
                        .orElse(""),
                words.say(DischargeWalk.waits(point)),
                point.reading()
                        .map(reading -> Figures.in(Unit.VOLT, reading.value()))
                        .orElse(""),
                Code.of(point.state()),
                words.name(point.state()));
    }
}
