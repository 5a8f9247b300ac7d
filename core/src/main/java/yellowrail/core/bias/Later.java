package yellowrail.core.bias;

import java.util.function.Supplier;

/** What is computed when it is first asked for, and then known. Not for several threads at once. */
final class Later<T> {

    private final Supplier<T> how;
    private T value;

    Later(Supplier<T> how) {
        this.how = how;
    }

    T get() {
        if (value == null) {
            value = how.get();
        }
        return value;
    }
}
