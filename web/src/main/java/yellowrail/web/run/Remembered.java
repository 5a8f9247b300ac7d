package yellowrail.web.run;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import yellowrail.web.database.Recent;

/**
 * What was computed from the logs of runs, for as long as nothing it was computed from has changed.
 *
 * @param <K> all that it was computed from
 */
public final class Remembered<K, T> {

    private static final int MOST = 2000;

    private final Recent<Long, Known<K, T>> known = new Recent<>(MOST);

    private record Known<K, T>(K from, T value) {}

    /**
     * @param from what each of the runs is computed from
     * @param compute called once for all that are not known, or not from this
     */
    public Map<Run, T> of(Map<Run, K> from, Function<Collection<Run>, Map<Run, T>> compute) {
        Map<Run, T> values = new LinkedHashMap<>();
        List<Run> changed = new ArrayList<>();
        from.forEach((run, state) -> {
            Optional<Known<K, T>> same = known.get(run.id()).filter(last -> Objects.equals(last.from(), state));
            values.put(run, same.map(Known::value).orElse(null));
            if (same.isEmpty()) {
                changed.add(run);
            }
        });
        if (!changed.isEmpty()) {
            Map<Run, T> computed = compute.apply(changed);
            computed.forEach((run, value) -> known.put(run.id(), new Known<>(from.get(run), value)));
            values.putAll(computed);
        }
        return values;
    }
}
