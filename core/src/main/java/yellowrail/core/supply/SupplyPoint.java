package yellowrail.core.supply;

/**
 * One point of the supply line.
 *
 * @param name       where it comes from, in words, for instance {@code plate 462V}
 * @param volts      at the plates to ground, V
 * @param amps       drawn from the rail altogether, A
 * @param mainsRatio mains while reading over the reference
 * @param noise      how far two readings of one voltage may differ, V, &gt; 0
 * @param unloaded   taken with the tubes pulled
 */
public record SupplyPoint(String name, double volts, double amps, double mainsRatio, double noise, boolean unloaded) {

    public SupplyPoint {
        if (!(volts > 0 && amps >= 0 && mainsRatio > 0 && noise > 0)) {
            throw new IllegalArgumentException("a supply point needs volts, mains and noise above 0 and amps of 0 or more, was %s V, %s A, %s, %s V"
                    .formatted(volts, amps, mainsRatio, noise));
        }
    }
}
