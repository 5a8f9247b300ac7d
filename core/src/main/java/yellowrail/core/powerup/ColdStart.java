package yellowrail.core.powerup;

import java.util.Optional;
import yellowrail.core.amp.Supply;
import yellowrail.core.quantity.Figures;

/**
 * B+ before the tubes conduct, with silicon diodes: {@code sqrt(2) Vac M/Mref}, held against what the capacitors are rated
 * for. A tube rectifier warms up with its load and does not get there.
 *
 * @param volts  the peak, V
 * @param rating of the capacitors, V; NaN when not on the sheet
 * @param over   whether the peak passes it
 * @param words  what it means
 */
public record ColdStart(double volts, double rating, boolean over, String words) {

    /** Below this part of the rating there is a margin worth the name. */
    private static final double MARGIN = 0.95;

    /** @return the check; empty with a tube rectifier or where the winding's volts are not on the sheet */
    public static Optional<ColdStart> of(Supply supply, double mainsRatio) {
        if (supply.peakVolts(mainsRatio).isEmpty()) {
            return Optional.empty();
        }
        double volts = supply.peakVolts(mainsRatio).getAsDouble();
        String sum = "\u221a2 \u00d7 %s \u00d7 %s = %s".formatted(Figures.volts(supply.secondaryVolts().getAsDouble()), Figures.fixed(mainsRatio, 3), Figures.volts(volts));
        if (supply.capacitorVolts().isEmpty()) {
            return Optional.of(new ColdStart(volts, Double.NaN, false, sum + " before the tubes conduct; what the capacitors are rated for is not on the sheet."));
        }
        double rating = supply.capacitorVolts().getAsDouble();
        boolean over = volts > rating;
        return Optional.of(new ColdStart(volts, rating, over, "%s before the tubes conduct, capacitors rated %s: %s.".formatted(sum, Figures.volts(rating),
                over ? "too little, do not switch on without a load or a limiter" : volts > MARGIN * rating ? "hardly a margin" : "a margin of "
                        + Figures.percent(1 - volts / rating))));
    }
}
