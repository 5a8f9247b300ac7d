package yellowrail.core.drift;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * A fitted curve as it is drawn, in the unit of the readings.
 *
 * @param places rising in time; empty where nothing could be fitted
 */
public record Trace(List<Place> places) {

    static final Trace NONE = new Trace(List.of());
    private static final int PLACES = 48;

    public Trace {
        places = List.copyOf(places);
    }

    /** A point of the curve with the half width of its 95 % band. */
    public record Place(double minutes, double value, double plusMinus) {}

    static Trace of(double from, double to, DoubleUnaryOperator value, DoubleUnaryOperator plusMinus) {
        List<Place> places = new ArrayList<>();
        for (int i = 0; i <= PLACES; i++) {
            double at = from + (to - from) * i / PLACES;
            places.add(new Place(at, value.applyAsDouble(at), plusMinus.applyAsDouble(at)));
        }
        return new Trace(places);
    }
}
