package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.finding.Finding;
import yellowrail.core.rectifier.Exchange;
import yellowrail.core.tube.RectifierType;

/**
 * A tube rectifier for silicon and back: whether the windings carry it, what it must hold off and is charged with,
 * where the plates then stand by {@link Exchange}, and the current that keeps the dissipation equal, {@code I' = I Va /
 * (Va + dV)}.
 */
public final class RectifierSwap {

    private static final double ROUNDING = 1e-9;
    /** A smaller part of the plate voltage than anybody sets by. */
    private static final double SAME_VOLTS = 0.01;
    /** Beside its own ±, what nobody sets by either, V. */
    private static final double SMALL_VOLTS = 3;
    /** Copper before each plate is hardly ever more. */
    private static final double MOST_COPPER = 2 * Exchange.USUAL_OHMS;

    private final SwapAmp amp;
    private final RectifierType in;
    private final RectifierType wants;
    private final RectifierSurroundings around;
    private final Optional<Exchange> exchange;

    public RectifierSwap(SwapAmp amp, RectifierType in, RectifierType wants, RectifierSurroundings around) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
        this.around = around;
        this.exchange = drawn().isPresent() && amp.plateVolts().isPresent()
                ? Exchange.of(in, wants, amp.plateVolts().getAsDouble(), drawn().getAsDouble())
                : Optional.empty();
    }

    /** Of the winding with nothing drawn at high mains, V: by what was read, or by the sheet where that tells more. */
    private double peak() {
        return SwapCheck.HIGH_MAINS * Math.max(exchange.orElseThrow().before().peakVolts(), around.peakVolts());
    }

    /** At rest, A. */
    private OptionalDouble drawn() {
        return amp.cathodeAmps().isPresent()
                ? OptionalDouble.of(amp.railWith(amp.cathodeAmps().getAsDouble()))
                : OptionalDouble.empty();
    }

    /** Both on the same winding; empty while plates or currents were not read. */
    public Optional<Exchange> exchange() {
        return exchange;
    }

    public SwapReport report() {
        SwapFinding source =
                in.sure() && wants.sure() ? new SwapFinding.SheetsPublished() : new SwapFinding.SheetsToVerify();
        List<Line> lines = Stream.of(
                        around.centreTap(in, wants),
                        Optional.of(around.heater(in, wants)),
                        Optional.of(current()),
                        Optional.of(inverse()),
                        Optional.of(surge()),
                        Optional.of(capacitor()),
                        Optional.of(beforeTheTubes()),
                        Optional.of(volts()),
                        power())
                .flatMap(Optional::stream)
                .map(line -> line.from(source))
                .toList();
        return new SwapReport(in.name(), wants.name(), false, lines, Optional.empty());
    }

    private Line current() {
        if (drawn().isEmpty()) {
            return Line.of(
                    SwapQuestion.RECTIFIER_CURRENT, Outcome.UNKNOWN, new RectifierFinding.ReadCurrents(wants.dcAmps()));
        }
        double total = drawn().getAsDouble();
        List<Finding> says = new ArrayList<>(List.of(new RectifierFinding.IdleOf(total, wants.dcAmps())));
        OptionalDouble driven = around.driven(amp);
        driven.ifPresent(amps -> says.add(new RectifierFinding.DrivenOf(amps)));
        return Line.of(
                        SwapQuestion.RECTIFIER_CURRENT,
                        total > wants.dcAmps()
                                ? Outcome.STOP
                                : driven.orElse(0) > wants.dcAmps() ? Outcome.CHANGE : Outcome.HOLDS,
                        says.toArray(Finding[]::new))
                .by(new RectifierFinding.CurrentSum(
                        amp.tubes(), amp.cathodeAmps().getAsDouble(), amp.restOfRail()));
    }

    /** Unloaded, at high mains: that is when a plate that does not conduct has most to hold off. */
    private Line inverse() {
        if (exchange.isEmpty()) {
            return Line.of(
                    SwapQuestion.INVERSE_VOLTS,
                    Outcome.UNKNOWN,
                    new RectifierFinding.InverseAtMost(wants.inverseVolts()));
        }
        double most = 2 * peak();
        boolean holds = most <= wants.inverseVolts();
        if (wants.isSilicon()) {
            return Line.of(
                            SwapQuestion.INVERSE_VOLTS,
                            holds ? Outcome.HOLDS : Outcome.CHANGE,
                            holds
                                    ? new RectifierFinding.DiodeHoldsOff(most, wants.inverseVolts())
                                    : new RectifierFinding.DiodesInSeries(
                                            most, (int) Math.ceil(most / wants.inverseVolts()), wants.inverseVolts()))
                    .by(inverseBy());
        }
        return Line.of(
                        SwapQuestion.INVERSE_VOLTS,
                        holds ? Outcome.HOLDS : Outcome.STOP,
                        new RectifierFinding.InverseOf(most, wants.inverseVolts()),
                        new RectifierFinding.SeriesDiodes())
                .by(inverseBy());
    }

    private Finding inverseBy() {
        return new RectifierFinding.TwicePeak(peak() / SwapCheck.HIGH_MAINS, SwapCheck.HIGH_MAINS - 1);
    }

    /** The pulses of every cycle, and the first ones into an empty capacitor through a hot cathode. */
    private Line surge() {
        if (exchange.isEmpty()) {
            return Line.of(SwapQuestion.SURGE, Outcome.UNKNOWN, new RectifierFinding.ReadCurrents(wants.dcAmps()));
        }
        double peak = exchange.get().after().peakAmps(exchange.get().amps());
        List<Finding> says = new ArrayList<>(List.of(new RectifierFinding.PulsesOf(peak, wants.peakAmps())));
        boolean tooMuch = peak > wants.peakAmps();
        double least = wants.transientAmps().isPresent()
                ? peak() / wants.transientAmps().getAsDouble()
                : 0;
        says.add(firstCycles(least));
        Outcome outcome = tooMuch
                ? Outcome.STOP
                : least > MOST_COPPER
                        ? Outcome.CHANGE
                        : wants.transientAmps().isEmpty() || least > Exchange.USUAL_OHMS
                                ? Outcome.UNKNOWN
                                : Outcome.HOLDS;
        return Line.of(SwapQuestion.SURGE, outcome, says.toArray(Finding[]::new))
                .by(new RectifierFinding.PulsesBy(exchange.get().amps(), Exchange.USUAL_OHMS));
    }

    private RectifierFinding firstCycles(double leastOhms) {
        if (wants.transientAmps().isEmpty()) {
            return new RectifierFinding.NoTransient();
        }
        double most = wants.transientAmps().getAsDouble();
        return leastOhms > Exchange.USUAL_OHMS
                ? new RectifierFinding.AddOhms(leastOhms, most)
                : new RectifierFinding.NeedsOhms(leastOhms, most);
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

    /** Silicon and a filament are there before any power tube draws: the capacitors see the winding’s peak. */
    private Line beforeTheTubes() {
        if (!wants.isSilicon() && !wants.direct()) {
            return Line.of(
                    SwapQuestion.BEFORE_THE_TUBES, Outcome.HOLDS, new RectifierFinding.ComesUpWithThem(wants.name()));
        }
        OptionalDouble rated = around.supply().capacitorVolts();
        if (exchange.isEmpty() || rated.isEmpty()) {
            return Line.of(
                    SwapQuestion.BEFORE_THE_TUBES,
                    Outcome.UNKNOWN,
                    exchange.<Finding>map(found -> new RectifierFinding.ThereBefore(wants.name(), peak()))
                            .orElseGet(() -> new RectifierFinding.ThereBeforeUnknown(wants.name())));
        }
        double most = peak();
        return Line.of(
                SwapQuestion.BEFORE_THE_TUBES,
                most > rated.getAsDouble() ? Outcome.STOP : Outcome.HOLDS,
                new RectifierFinding.ThereBeforeOf(wants.name(), most, rated.getAsDouble()));
    }

    private Line volts() {
        RectifierFinding drops = new RectifierFinding.Drops(
                in.name(), in.dropVolts(), in.dropAmps(), wants.name(), wants.dropVolts(), wants.dropAmps());
        if (exchange.isEmpty()) {
            return Line.of(SwapQuestion.PLATES, Outcome.UNKNOWN, new SwapFinding.ReadPlatesFirst())
                    .by(drops);
        }
        double rise = exchange.get().rise();
        double plate = amp.plateVolts().getAsDouble();
        double now = amp.cathodeAmps().getAsDouble();
        double amps = now * plate / (plate + rise);
        boolean same = Math.abs(rise) < SAME_VOLTS * plate;
        return Line.of(
                        SwapQuestion.PLATES,
                        same ? Outcome.HOLDS : Outcome.CHANGE,
                        new RectifierFinding.PlatesMoveTo(
                                rise, Math.max(SMALL_VOLTS, exchange.get().plusMinus()), plate + rise, amps, now))
                .by(
                        drops,
                        new RectifierFinding.ByPulses(
                                exchange.get().amps(), exchange.get().before().peakVolts(), Exchange.USUAL_OHMS),
                        new RectifierFinding.SameWatts(now, plate, plate + rise));
    }

    /** Both on the winding’s own give, idling at the same dissipation. */
    private Optional<Line> power() {
        return exchange.flatMap(found -> around.power(amp, found)
                .map(both -> Line.of(
                                SwapQuestion.POWER,
                                Outcome.HOLDS,
                                new RectifierFinding.PowerOfBoth(both.before(), in.name(), both.after(), wants.name()))
                        .by(new RectifierFinding.Gives(
                                in.name(),
                                found.before().slopeOhms(found.amps()),
                                wants.name(),
                                found.after().slopeOhms(found.amps())))));
    }
}
