package yellowrail.web.run;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/**
 * What was computed from the logs of runs, for as long as nothing it was computed from has changed.
 *
 * @param <K> all that it was computed from
 */
public final class Remembered<K, T> {

    private static final int MOST = 2000;

    private final Map<Long, Known<K, T>> known = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Known<K, T>> eldest) {
            return size() > MOST;
        }
    };

    private record Known<K, T>(K from, T value) {}

    /**
     * @param from what each of the runs is computed from
     * @param compute called once for all that are not known, or not from this
     */
    public Map<Run, T> of(Map<Run, K> from, Function<Collection<Run>, Map<Run, T>> compute) {
        Map<Run, T> values = new LinkedHashMap<>();
        List<Run> changed = new ArrayList<>();
        synchronized (known) {
            from.forEach((run, state) -> {
                Known<K, T> last = known.get(run.id());
                boolean same = last != null && Objects.equals(last.from(), state);
                values.put(run, same ? last.value() : null);
                if (!same) {
                    changed.add(run);
                }
            });
        }
        if (!changed.isEmpty()) {
            Map<Run, T> computed = compute.apply(changed);
            synchronized (known) {
                computed.forEach((run, value) -> known.put(run.id(), new Known<>(from.get(run), value)));
            }
            values.putAll(computed);
        }
        return values;
    }
}
