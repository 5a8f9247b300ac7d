package yellowrail.core.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Accepted;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.tube.Rating;

/**
 * An idle against what its tube stands. Watts of plate and screen and the mean cathode current are hard. Volts over a
 * published limit are common practice in many amps and a real risk in others: the builder answers for them once, on the
 * sheet and for the type on the sheet.
 *
 * @param findings what is over, hardest first
 * @param overWatts whether plate or screen take more watts than they may
 * @param blocksHotter whether nothing may be made hotter while this stands
 */
public record Limits(List<IdleFinding> findings, boolean overWatts, boolean blocksHotter) {

    public Limits {
        findings = List.copyOf(findings);
    }

    /** @param accepted what was taken on for this tube; nothing for one of another type than the sheet's */
    static Limits of(IdleFigures figures, Goal goal, Accepted accepted) {
        Rating rating = goal.rating();
        List<IdleFinding> findings = new ArrayList<>();
        double watts = figures.dissipation().value();
        boolean over = watts > goal.mostRatio() * rating.plateWatts();
        if (over) {
            findings.add(new IdleFinding.OverRating(watts, rating.plateWatts()));
        }
        boolean screen = over(figures.screenWatts(), rating.screenWatts());
        if (screen) {
            findings.add(new IdleFinding.ScreenOverRating(
                    figures.screenWatts().orElseThrow().value(),
                    rating.screenWatts().getAsDouble()));
        }
        OptionalDouble together = rating.further().togetherWatts();
        boolean both = figures.screenWatts().isPresent()
                && watts + figures.screenWatts().get().value() > together.orElse(Double.POSITIVE_INFINITY);
        if (both) {
            findings.add(new IdleFinding.TogetherOverRating(
                    watts + figures.screenWatts().get().value(), together.getAsDouble()));
        }
        boolean cathode = over(Optional.of(figures.cathode()), rating.cathodeAmps());
        if (cathode) {
            findings.add(new IdleFinding.CathodeOverLimit(
                    figures.cathode().value(), rating.cathodeAmps().getAsDouble()));
        }
        boolean plate = false;
        if (over(Optional.of(figures.plateVolts()), rating.plateVolts())) {
            double volts = figures.plateVolts().value();
            double limit = rating.plateVolts().getAsDouble();
            plate = volts > accepted.plateVolts().orElse(0);
            findings.add(
                    plate
                            ? new IdleFinding.PlateOverLimit(volts, limit)
                            : new IdleFinding.PlateAccepted(
                                    volts, limit, accepted.plateVolts().getAsDouble()));
        }
        boolean screenVolts = false;
        if (over(figures.screenVolts(), rating.screenVolts())) {
            double volts = figures.screenVolts().orElseThrow().value();
            double limit = rating.screenVolts().getAsDouble();
            screenVolts = volts > accepted.screenVolts().orElse(0);
            findings.add(
                    screenVolts
                            ? new IdleFinding.ScreenOverLimit(volts, limit)
                            : new IdleFinding.ScreenAccepted(
                                    volts, limit, accepted.screenVolts().getAsDouble()));
        }
        boolean tooHot = over || screen || both;
        return new Limits(findings, tooHot, tooHot || cathode || plate || screenVolts);
    }

    private static boolean over(Optional<Estimate> figure, OptionalDouble limit) {
        return figure.isPresent() && limit.isPresent() && figure.get().value() > limit.getAsDouble();
    }
}
