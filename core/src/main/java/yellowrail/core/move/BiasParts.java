package yellowrail.core.move;

import java.util.Optional;
import yellowrail.core.amp.Supply;
import yellowrail.core.standard.StandardValues;

/**
 * Which resistor of a bias supply without a pot to change: with a feed resistor {@code R1} from the rectifier and
 * {@code R2} to ground the bias is {@code V = Vraw R2/(R1 + R2)}. The grid leaks draw nothing; the load of anything
 * else on the bias is not in it. Both resistors stand after the diode: what feeds it is another matter.
 *
 * @param now grid volts as read, V
 * @param wanted grid volts to bring about, V
 * @param shunt the standard value for R2 that comes nearest; empty when the parts are not on the sheet
 */
public record BiasParts(double now, double wanted, Optional<Part> shunt) {

    /**
     * One resistor exchanged.
     *
     * @param from its present value, ohm
     * @param exact what would be exactly right, ohm
     * @param ohms the nearest standard value
     * @param bias the grid volts it gives
     */
    public record Part(double from, double exact, double ohms, double bias) {

        /** Whether no standard value lies nearer to what would be right than the one that is in. */
        public boolean isTheSame() {
            return Math.abs(ohms / from - 1) < SAME;
        }
    }

    private static final double SAME = 0.01;

    static BiasParts of(Supply supply, double now, double wanted) {
        if (supply.biasFeedOhms().isEmpty() || supply.biasShuntOhms().isEmpty()) {
            return new BiasParts(now, wanted, Optional.empty());
        }
        double feed = supply.biasFeedOhms().getAsDouble();
        double shunt = supply.biasShuntOhms().getAsDouble();
        double raw = now * (feed + shunt) / shunt;
        double exactShunt = feed * wanted / (raw - wanted);
        if (!(exactShunt > 0.1 && exactShunt < 1e7)) {
            return new BiasParts(now, wanted, Optional.empty());
        }
        double ohms = StandardValues.E24.nearest(exactShunt);
        return new BiasParts(now, wanted, Optional.of(new Part(shunt, exactShunt, ohms, raw * ohms / (feed + ohms))));
    }
}
