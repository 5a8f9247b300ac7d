package yellowrail.core.powerup;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.tube.RectifierType;

/**
 * B+ before the power tubes draw, held against what the capacitors are rated for:
 *
 * <pre>peak = sqrt(2) Vac (1 + regulation) M/Mref</pre>
 *
 * The rated volts of a winding are those under its rated load; unloaded it stands higher. Neither a lamp limiter nor a
 * load on the output holds it down, for nothing flows. Silicon is there at once; a directly heated rectifier some
 * seconds before the power tubes; with an indirectly heated one the reservoir reaches it where it charges ahead of the
 * standby switch.
 *
 * @param volts the peak, V
 * @param rating of the capacitors, V; NaN when not on the sheet
 * @param over whether the peak passes it at a time when it is reached
 * @param says what it means
 * @param when it is reached
 */
public record ColdStart(double volts, double rating, boolean over, PowerUpFinding says, PowerUpFinding when) {

    /** Below this part of the rating there is a margin worth the name. */
    private static final double MARGIN = 0.95;

    /** @return the check; empty where the winding's volts are not on the sheet */
    public static Optional<ColdStart> of(AmpSheet sheet, double mainsRatio) {
        Supply supply = sheet.supply();
        if (supply.secondaryVolts().isEmpty()) {
            return Optional.empty();
        }
        double winding = supply.secondaryVolts().getAsDouble() * mainsRatio;
        double regulation = supply.regulation().orElse(Supply.USUAL_REGULATION);
        double volts = Math.sqrt(2) * winding * (1 + regulation);
        PowerUpFinding when = when(sheet);
        if (supply.capacitorVolts().isEmpty()) {
            return Optional.of(new ColdStart(
                    volts, Double.NaN, false, new PowerUpFinding.PeakUnknownRating(winding, regulation, volts), when));
        }
        double rating = supply.capacitorVolts().getAsDouble();
        PowerUpFinding says = volts > rating
                ? new PowerUpFinding.PeakTooHigh(winding, regulation, volts, rating)
                : volts > MARGIN * rating
                        ? new PowerUpFinding.PeakNear(winding, regulation, volts, rating)
                        : new PowerUpFinding.PeakWithin(winding, regulation, volts, rating, 1 - volts / rating);
        return Optional.of(new ColdStart(volts, rating, volts > rating && isReached(sheet), says, when));
    }

    /**
     * Whether there is a time at which the peak is reached: not with a rectifier that comes up with the power tubes.
     */
    public static boolean isReached(AmpSheet sheet) {
        return !(when(sheet) instanceof PowerUpFinding.WithThePowerTubes);
    }

    private static PowerUpFinding when(AmpSheet sheet) {
        Supply supply = sheet.supply();
        Optional<RectifierType> tube =
                RectifierType.find(sheet.fittings().rectifierTube()).filter(type -> !type.isSilicon());
        if (supply.rectifier() == Rectifier.SILICON) {
            return new PowerUpFinding.AtOnce();
        }
        if (tube.filter(RectifierType::direct).isPresent()) {
            return new PowerUpFinding.BeforeThePowerTubes(tube.get().name());
        }
        if (supply.isLiveInStandby()) {
            return new PowerUpFinding.WhileOnStandby();
        }
        return tube.<PowerUpFinding>map(type -> new PowerUpFinding.WithThePowerTubes(type.name()))
                .orElseGet(PowerUpFinding.RectifierNotKnown::new);
    }
}
