package yellowrail.core.supply;

import java.util.List;
import yellowrail.core.reading.Reading;

/**
 * One point of the supply line.
 *
 * @param from the readings it comes from
 * @param volts at the plates to ground, V
 * @param amps drawn from the rail altogether, A
 * @param mainsRatio mains while reading over the reference
 * @param noise how far two readings of one voltage may differ, V, &gt; 0
 * @param unloaded taken with the tubes pulled
 */
public record SupplyPoint(
        List<Reading> from, double volts, double amps, double mainsRatio, double noise, boolean unloaded) {

    public SupplyPoint {
        from = List.copyOf(from);
        if (!(volts > 0 && amps >= 0 && mainsRatio > 0 && noise > 0)) {
            throw new IllegalArgumentException(
                    ("a supply point needs volts, mains and noise above 0 and amps of 0 or more, "
                                    + "was %s V, %s A, %s, %s V")
                            .formatted(volts, amps, mainsRatio, noise));
        }
    }
}
