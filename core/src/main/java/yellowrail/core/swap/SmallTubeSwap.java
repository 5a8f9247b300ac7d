package yellowrail.core.swap;

import java.util.List;
import java.util.Optional;
import yellowrail.core.heater.HeaterExchange;
import yellowrail.core.tube.SmallTube;

/**
 * A driver or splitter tube for another, as far as its heater goes: of pins and amplification nothing is in the
 * catalogue, and that is said.
 *
 * @param heaters of the winding it hangs on; empty where no winding on the sheet has it
 */
public record SmallTubeSwap(SmallTube in, SmallTube wants, Optional<HeaterExchange> heaters) {

    private static final double SAME_VOLTS = 0.05;

    public SwapReport report() {
        return new SwapReport(in.name(), wants.name(), false, List.of(volts(), winding(), circuit()), Optional.empty());
    }

    private Line volts() {
        boolean fits = heaters.map(HeaterExchange::fits)
                .orElse(Math.abs(in.heaterVolts() / wants.heaterVolts() - 1) <= SAME_VOLTS
                        && in.centreTap() == wants.centreTap());
        return Line.of(
                        SwapQuestion.HEATER_VOLTS,
                        fits ? Outcome.HOLDS : Outcome.STOP,
                        fits
                                ? new SmallTubeFinding.VoltsFit(wants.name())
                                : new SmallTubeFinding.VoltsApart(
                                        wants.name(), wants.heaterVolts(), in.name(), in.heaterVolts()))
                .by(new CurrentFinding.BothHeaterVolts(in.name(), in.heaterVolts(), wants.name(), wants.heaterVolts()))
                .from(source());
    }

    private Line winding() {
        if (heaters.isEmpty()) {
            boolean less = wants.heaterVolts() * wants.heaterAmps() <= in.heaterVolts() * in.heaterAmps();
            return Line.of(
                            SwapQuestion.HEATER_WINDING,
                            less ? Outcome.HOLDS : Outcome.UNKNOWN,
                            less
                                    ? new SmallTubeFinding.TakesNoMore(wants.name(), in.name())
                                    : new SmallTubeFinding.PutWindingDown(in.name()))
                    .from(source());
        }
        HeaterExchange winding = heaters.get();
        if (winding.ratedAmps().isEmpty()) {
            boolean less = winding.after() <= winding.before();
            return Line.of(
                            SwapQuestion.HEATER_WINDING,
                            less ? Outcome.HOLDS : Outcome.UNKNOWN,
                            new SmallTubeFinding.WindingUnrated(winding.label(), winding.before(), winding.after()))
                    .from(source());
        }
        double rated = winding.ratedAmps().getAsDouble();
        boolean over = winding.after() > rated;
        return Line.of(
                        SwapQuestion.HEATER_WINDING,
                        over ? Outcome.STOP : winding.allKnown() ? Outcome.HOLDS : Outcome.UNKNOWN,
                        new RectifierFinding.WindingTakes(winding.label(), winding.after(), rated, winding.before()))
                .from(source());
    }

    private Line circuit() {
        return Line.of(SwapQuestion.CIRCUIT, Outcome.UNKNOWN, new SmallTubeFinding.CircuitNotChecked(in.name()))
                .from(source());
    }

    private SwapFinding source() {
        return in.sure() && wants.sure() ? new SwapFinding.SheetsPublished() : new SwapFinding.SheetsToVerify();
    }
}
