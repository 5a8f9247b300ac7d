package yellowrail.core.discharge;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.DrainPoints;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.capacitor.Emptying;
import yellowrail.core.capacitor.SeriesStack;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * Every capacitor in turn, read until it is under 5 V, the amp off. What was read before it was switched on again
 * counts no more; before all are read nobody is told that hands may go in.
 */
public final class DischargeWalk {

    /** Under this nobody is hurt, V. */
    public static final double SAFE = SeriesStack.SAFE;
    /** A capacitor that was drained recovers some volts by itself: after this it is read again. */
    public static final Duration HOLDS_FOR = Duration.ofMinutes(15);

    /** A reading so many times above what its bleeders should have left is no spread of values. */
    private static final double FAR_ABOVE = 2;

    private final AmpSheet sheet;
    private final Moment moment;
    private final Instant now;
    private final Optional<Emptying> emptying;
    private final List<DischargePoint> points;

    public DischargeWalk(AmpSheet sheet, Moment moment, Instant now) {
        this.sheet = sheet;
        this.moment = moment;
        this.now = now;
        this.emptying = Charge.of(sheet, moment);
        this.points = DrainPoints.of(sheet).stream().map(this::point).toList();
    }

    private DischargePoint point(String label) {
        Optional<Reading> reading = moment.at(ReadingKind.DRAINED, label);
        Optional<ChartNode> node = sheet.chart().node(label);
        boolean known = node.flatMap(ChartNode::bank).isPresent();
        DischargePoint.State state = reading.isEmpty()
                ? DischargePoint.State.NOT_READ
                : Math.abs(reading.get().value()) < SAFE ? DischargePoint.State.DRAINED : DischargePoint.State.HOLDS;
        return new DischargePoint(
                label,
                reading,
                node.flatMap(found -> Charge.highest(found, sheet, moment)),
                known ? emptying.orElseThrow().seconds(node.get().label(), SAFE) : OptionalDouble.empty(),
                node.map(Charge::toGround).orElse(OptionalDouble.empty()),
                state);
    }

    public List<DischargePoint> points() {
        return points;
    }

    /** How the capacitors empty by themselves; empty where the chart has none. */
    public Optional<Emptying> emptying() {
        return emptying;
    }

    /** Whether the amp is off by the log. */
    public boolean isOff() {
        return new WarmUp(moment, sheet.settleMinutes()).isOff();
    }

    /** Whether every capacitor was read to be under 5 V since the amp was switched off, and not too long ago. */
    public boolean isDrained() {
        return isOff()
                && points.stream().allMatch(point -> point.state() == DischargePoint.State.DRAINED)
                && oldest().compareTo(HOLDS_FOR) <= 0;
    }

    private Duration oldest() {
        return points.stream()
                .flatMap(point -> point.reading().stream())
                .map(reading -> Duration.between(reading.takenAt(), now))
                .max(Duration::compareTo)
                .orElse(Duration.ZERO);
    }

    /** What matters most, first; each capacitor that holds is told with what it is that does not drain it. */
    public List<DischargeFinding> says() {
        List<DischargeFinding> says = new ArrayList<>();
        List<String> open = points.stream()
                .filter(point -> point.state() != DischargePoint.State.DRAINED)
                .map(DischargePoint::label)
                .toList();
        if (!isOff()) {
            says.add(new DischargeFinding.SwitchOffFirst());
        } else if (!open.isEmpty()) {
            says.add(new DischargeFinding.HandsStayOut(open));
        } else if (!isDrained()) {
            says.add(new DischargeFinding.ReadAgain(oldest().toMinutes()));
        } else {
            double most = points.stream()
                    .flatMap(point -> point.reading().stream())
                    .mapToDouble(reading -> Math.abs(reading.value()))
                    .max()
                    .orElse(0);
            says.add(new DischargeFinding.AllUnderFive(most, oldest().toMinutes()));
        }
        if (sheet.supply().standby()) {
            says.add(new DischargeFinding.StandbyJoins());
        }
        points.stream()
                .filter(point -> point.state() == DischargePoint.State.HOLDS)
                .forEach(point -> says.add(holds(point)));
        return says;
    }

    private DischargeFinding holds(DischargePoint point) {
        double volts = point.reading().orElseThrow().value();
        Optional<Instant> off = moment.at(ReadingKind.POWER_OFF, "").map(Reading::takenAt);
        if (emptying.isEmpty() || off.isEmpty() || point.from().isEmpty()) {
            return new DischargeFinding.Holds(point.label(), volts);
        }
        if (point.seconds().isEmpty()) {
            return new DischargeFinding.NothingDrainsIt(point.label(), volts);
        }
        String label = sheet.chart().node(point.label()).orElseThrow().label();
        double seconds = Math.max(
                0, Duration.between(off.get(), point.reading().get().takenAt()).toSeconds());
        double should = Math.abs(emptying.get().volts(label, seconds));
        boolean far = Math.abs(volts) > FAR_ABOVE * should + SAFE;
        return far && point.bleederOhms().isPresent()
                ? new DischargeFinding.BleederOpen(
                        point.label(), volts, should, point.bleederOhms().getAsDouble())
                : new DischargeFinding.Holds(point.label(), volts);
    }

    /** How long one has to wait for a capacitor to empty by itself. */
    public static DischargeFinding waits(DischargePoint point) {
        if (point.seconds().isEmpty()) {
            return new DischargeFinding.NothingDrains();
        }
        double seconds = point.seconds().getAsDouble();
        return seconds < 120 ? new DischargeFinding.DrainsIn(seconds) : new DischargeFinding.DrainsInMinutes(seconds);
    }
}
