package yellowrail.core.bias.circuit;

/**
 * A resistance between two nodes.
 *
 * @param part what it is
 * @param from a node
 * @param to another
 * @param ohms at least {@link #LEAST}, ohm; an end of a track that is turned home still has a contact
 */
public record Leg(Part part, String from, String to, double ohms) {

    /** A contact, a short, a piece of wire, ohm. */
    public static final double LEAST = 0.1;

    public Leg {
        if (!(ohms >= 0) || Double.isInfinite(ohms)) {
            throw new IllegalArgumentException("a resistance is 0 or more, was %s ohm".formatted(ohms));
        }
        ohms = Math.max(ohms, LEAST);
    }
}
