package yellowrail.core.bias.wiring;

/**
 * Where the pots stand.
 *
 * @param range 0 at the coldest stop to 1 at the hottest
 * @param balance 0 to 1, 0.5 in the middle
 */
public record PotStand(double range, double balance) {

    public static final PotStand COLDEST = new PotStand(0, 0.5);
    public static final PotStand HOTTEST = new PotStand(1, 0.5);

    public PotStand {
        if (!(range >= 0 && range <= 1 && balance >= 0 && balance <= 1)) {
            throw new IllegalArgumentException("a pot stands between 0 and 1, was %s, %s".formatted(range, balance));
        }
    }

    public static PotStand at(double range) {
        return new PotStand(range, 0.5);
    }
}
