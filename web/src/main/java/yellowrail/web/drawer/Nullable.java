package yellowrail.web.drawer;

import java.util.OptionalDouble;

/** What is not known is null in a column. */
final class Nullable {

    private Nullable() {}

    static Double of(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    static OptionalDouble read(Double column) {
        return column == null ? OptionalDouble.empty() : OptionalDouble.of(column);
    }
}
