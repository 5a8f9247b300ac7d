package yellowrail.core.swap;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.tube.RectifierType;

/**
 * A tube rectifier for silicon and back: what the plates then stand at, and the current that keeps the dissipation
 * equal, {@code I' = I Va / (Va + dV)}, with {@code dV} the difference of the typical drops.
 */
public final class RectifierSwap {

    private static final double ROUNDING = 1e-9;
    /** A smaller part of the plate voltage than anybody sets by. */
    private static final double SAME_VOLTS = 0.01;

    private final SwapAmp amp;
    private final RectifierType in;
    private final RectifierType wants;

    public RectifierSwap(SwapAmp amp, RectifierType in, RectifierType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
    }

    public SwapReport report() {
        SwapFinding source =
                in.sure() && wants.sure() ? new SwapFinding.SheetsPublished() : new SwapFinding.SheetsToVerify();
        return new SwapReport(
                in.name(),
                wants.name(),
                false,
                Stream.of(heater(), current(), capacitor(), volts())
                        .map(line -> line.from(source))
                        .toList(),
                Optional.empty());
    }

    private Line heater() {
        if (wants.isSilicon()) {
            return Line.of(SwapQuestion.RECTIFIER_HEATER, Outcome.HOLDS, new RectifierFinding.SiliconNeedsNone());
        }
        if (in.isSilicon()) {
            return Line.of(
                    SwapQuestion.RECTIFIER_HEATER,
                    Outcome.UNKNOWN,
                    new RectifierFinding.NeedsWinding(wants.name(), wants.heaterVolts(), wants.heaterAmps()));
        }
        boolean volts = in.heaterVolts() == wants.heaterVolts();
        boolean amps = wants.heaterAmps() <= in.heaterAmps();
        return Line.of(
                SwapQuestion.RECTIFIER_HEATER,
                !volts ? Outcome.STOP : amps ? Outcome.HOLDS : Outcome.UNKNOWN,
                volts && !amps
                        ? new RectifierFinding.TakesMore(
                                wants.heaterVolts(), wants.heaterAmps(), in.heaterVolts(), in.heaterAmps())
                        : new RectifierFinding.HeaterFor(
                                wants.heaterVolts(), wants.heaterAmps(), in.heaterVolts(), in.heaterAmps()));
    }

    private Line current() {
        if (amp.cathodeAmps().isEmpty()) {
            return Line.of(
                    SwapQuestion.RECTIFIER_CURRENT, Outcome.UNKNOWN, new RectifierFinding.ReadCurrents(wants.dcAmps()));
        }
        double each = amp.cathodeAmps().getAsDouble();
        double total = amp.tubes() * each + amp.otherAmps().orElse(0);
        return Line.of(
                        SwapQuestion.RECTIFIER_CURRENT,
                        total > wants.dcAmps() ? Outcome.STOP : Outcome.HOLDS,
                        new RectifierFinding.IdleOf(total, wants.dcAmps()))
                .by(new RectifierFinding.CurrentSum(amp.tubes(), each, amp.restOfRail()));
    }

    private Line capacitor() {
        OptionalDouble first = amp.fittings().firstFarads();
        if (wants.isSilicon()) {
            return Line.of(SwapQuestion.FIRST_CAPACITOR, Outcome.HOLDS, new RectifierFinding.SiliconChargesAny());
        }
        if (first.isEmpty()) {
            return Line.of(
                    SwapQuestion.FIRST_CAPACITOR,
                    Outcome.UNKNOWN,
                    new RectifierFinding.CapacitorAtMost(wants.firstFarads()));
        }
        boolean holds = first.getAsDouble() <= wants.firstFarads() * (1 + ROUNDING);
        return Line.of(
                SwapQuestion.FIRST_CAPACITOR,
                holds ? Outcome.HOLDS : Outcome.CHANGE,
                holds
                        ? new RectifierFinding.CapacitorHolds(first.getAsDouble(), wants.firstFarads())
                        : new RectifierFinding.CapacitorTooLarge(first.getAsDouble(), wants.firstFarads()));
    }

    private Line volts() {
        double rise = in.dropVolts() - wants.dropVolts();
        RectifierFinding drops = new RectifierFinding.Drops(in.name(), in.dropVolts(), wants.name(), wants.dropVolts());
        if (amp.plateVolts().isEmpty() || amp.cathodeAmps().isEmpty()) {
            return Line.of(SwapQuestion.PLATES, Outcome.UNKNOWN, new RectifierFinding.PlatesMove(rise))
                    .by(drops);
        }
        double plate = amp.plateVolts().getAsDouble();
        double now = amp.cathodeAmps().getAsDouble();
        double amps = now * plate / (plate + rise);
        boolean same = Math.abs(rise) < SAME_VOLTS * plate;
        return Line.of(
                        SwapQuestion.PLATES,
                        same ? Outcome.HOLDS : Outcome.CHANGE,
                        new RectifierFinding.PlatesMoveTo(rise, plate + rise, amps, now))
                .by(drops, new RectifierFinding.SameWatts(now, plate, plate + rise));
    }
}
