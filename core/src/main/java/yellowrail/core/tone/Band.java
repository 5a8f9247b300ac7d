package yellowrail.core.tone;

/**
 * What is heard or measured of a spectrum, Hz.
 *
 * @param low &ge; 0
 * @param high more than low
 */
public record Band(double low, double high) {

    public Band {
        if (!(low >= 0 && high > low)) {
            throw new IllegalArgumentException("a band from %s to %s Hz".formatted(low, high));
        }
    }

    public boolean has(double hertz) {
        return hertz >= low && hertz <= high;
    }
}
