package yellowrail.core.amp;

import java.util.OptionalDouble;

/**
 * Where plate voltage is read.
 *
 * @param point           which end of the output transformer's half primary
 * @param reference       what the black lead is on
 * @param halfPrimaryOhms resistance of half the primary (the whole, if single-ended), ohm; empty when not known
 */
public record PlateSense(Point point, Reference reference, OptionalDouble halfPrimaryOhms) {

    /** The probe's place. */
    public enum Point {
        PLATE("at the plate"), B_PLUS("at B+, before the output transformer");

        private final String inWords;

        Point(String inWords) {
            this.inWords = inWords;
        }

        public String inWords() {
            return inWords;
        }
    }

    /** The black lead's place. */
    public enum Reference {
        GROUND("to ground"), CATHODE("to the cathode");

        private final String inWords;

        Reference(String inWords) {
            this.inWords = inWords;
        }

        public String inWords() {
            return inWords;
        }
    }
}
