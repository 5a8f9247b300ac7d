package yellowrail.core.amp;

/**
 * A bias potentiometer.
 *
 * @param name what is written beside it
 * @param action what it does
 * @param acts the sockets it acts on, in the builder's words; blank for all
 * @param hotter which way raises the current
 * @param verified whether that direction has been seen on the meter, not assumed
 */
public record Pot(String name, Action action, String acts, Turn hotter, boolean verified) {

    /** What a potentiometer moves. */
    public enum Action {
        ALL,
        GROUP,
        BALANCE,
        ONE
    }

    /** A direction of turning, seen from the shaft. */
    public enum Turn {
        CLOCKWISE,
        ANTICLOCKWISE,
        UNKNOWN;

        /** The other way; not known stays not known. */
        public Turn opposite() {
            return switch (this) {
                case CLOCKWISE -> ANTICLOCKWISE;
                case ANTICLOCKWISE -> CLOCKWISE;
                case UNKNOWN -> UNKNOWN;
            };
        }
    }
}
