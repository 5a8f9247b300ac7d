package yellowrail.core.walk;

import java.util.Optional;

/**
 * The current of a stage, computed twice: by what its plate resistors drop and by what its cathode resistor carries.
 *
 * @param stage its name
 * @param plates the sum of {@code (supply - plate) / Rp}, A; empty where not all of it was read
 * @param cathodes the sum of {@code Vk / Rk}, A; empty likewise
 */
public record StageCurrent(String stage, Optional<Amps> plates, Optional<Amps> cathodes) {

    /**
     * A current.
     *
     * @param value A
     * @param plusMinus half of its 95 % interval, A
     */
    public record Amps(double value, double plusMinus) {

        public static final Amps NONE = new Amps(0, 0);

        public Amps plus(Amps other) {
            return new Amps(value + other.value, Math.hypot(plusMinus, other.plusMinus));
        }
    }

    /** Whether both ways tell the same within their plus-minus; empty where there is only one. */
    public Optional<Boolean> agree() {
        return plates.flatMap(plate -> cathodes.map(cathode ->
                Math.abs(plate.value() - cathode.value()) <= Math.hypot(plate.plusMinus(), cathode.plusMinus())));
    }

    /** What it draws, by its plates where they were read, else by its cathodes. */
    public Optional<Amps> draws() {
        return plates.or(() -> cathodes);
    }
}
