package yellowrail.core.part.stress;

/**
 * The copper of an output transformer's half primary under a current it was not wound for. Wound for {@value #DENSITY}
 * A/m&sup2; at full drive, which is usual, and given no time to hand heat on, it warms by {@code rho j^2 / (c d) =
 * 6.7e-15 j^2} kelvin a second (copper at 100 &deg;C: rho 2.3e-8 ohm m, c 385 J/kgK, d 8960 kg/m&sup3;). A rise of
 * {@value #RISE} K over full drive ends its enamel.
 *
 * @param driveAmps RMS current of the half primary at full drive, A, &gt; 0
 */
public record OutputCopper(double driveAmps) {

    static final double DENSITY = 2.5e6;
    static final double RISE = 100;
    private static final double KELVIN_A_SECOND = 2.3e-8 / (385 * 8960);

    public OutputCopper {
        if (!(driveAmps > 0)) {
            throw new IllegalArgumentException("a stage that is driven draws current, was %s A".formatted(driveAmps));
        }
    }

    /** How long it bears a current, s; what it bears at full drive it bears for good. */
    public double seconds(double amps) {
        if (amps <= driveAmps) {
            return Double.POSITIVE_INFINITY;
        }
        double density = DENSITY * amps / driveAmps;
        return RISE / (KELVIN_A_SECOND * density * density);
    }

    /** The current it bears for so long, A. */
    public double ampsFor(double seconds) {
        return driveAmps * Math.max(1, Math.sqrt(RISE / (KELVIN_A_SECOND * seconds)) / DENSITY);
    }
}
