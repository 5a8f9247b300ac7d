package yellowrail.core.bias.circuit;

/**
 * Where a current of one direction goes that comes through the series resistor.
 *
 * @param leads where to
 * @param diodes in series on its way
 */
public record Path(Leads leads, int diodes) {

    /** Where it ends. */
    public enum Leads {
        NOWHERE,
        RESERVOIR,
        GROUND
    }

    public static final Path BLOCKED = new Path(Leads.NOWHERE, 0);

    public static Path feeds(int diodes) {
        return new Path(Leads.RESERVOIR, diodes);
    }

    public static Path clamps(int diodes) {
        return new Path(Leads.GROUND, diodes);
    }

    public boolean isFeeding() {
        return leads == Leads.RESERVOIR;
    }
}
