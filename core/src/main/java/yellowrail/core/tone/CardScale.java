package yellowrail.core.tone;

import java.util.List;

/**
 * What full scale of a sound card is at the amp, behind its divider: from readings of a meter beside what the card
 * heard of the same tone, by least squares through nothing. One reading tells it, a second one tells whether it holds.
 *
 * @param volts peak, at full scale
 * @param apart by how much the readings differ from it at most, of themselves; 0 with one of them
 */
public record CardScale(double volts, double apart) {

    /** More than meters differ by: the card's input was moved, or it is not straight. */
    public static final double MUCH = 0.02;

    /**
     * @param volts RMS, by the meter, &gt; 0
     * @param heard RMS, of full scale, &gt; 0
     */
    public record Reading(double volts, double heard) {

        public Reading {
            if (!(volts > 0 && heard > 0)) {
                throw new IllegalArgumentException("%s V heard as %s of full scale".formatted(volts, heard));
            }
        }
    }

    /** @param readings one or more */
    public static CardScale of(List<Reading> readings) {
        double products = 0;
        double squares = 0;
        for (Reading reading : readings) {
            products += reading.volts() * reading.heard();
            squares += reading.heard() * reading.heard();
        }
        double scale = products / squares;
        double apart = readings.stream()
                .mapToDouble(reading -> Math.abs(reading.volts() / (scale * reading.heard()) - 1))
                .max()
                .orElseThrow();
        return new CardScale(scale, readings.size() > 1 ? apart : 0);
    }

    public boolean holds() {
        return apart <= MUCH;
    }
}
