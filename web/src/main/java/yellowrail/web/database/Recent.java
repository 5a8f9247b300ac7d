package yellowrail.web.database;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Keeps what was used last, as much of it as is allowed; what was not used for longest goes. */
public final class Recent<K, V> {

    private final Map<K, V> values;

    public Recent(int most) {
        values = new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    public synchronized Optional<V> get(K key) {
        return Optional.ofNullable(values.get(key));
    }

    public synchronized void put(K key, V value) {
        values.put(key, value);
    }
}
