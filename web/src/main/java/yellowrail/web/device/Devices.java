package yellowrail.web.device;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import yellowrail.web.digest.Sha256;

/** The devices that were let in. Each shows a random token of its own, of which only the sum is stored. */
@Service
public class Devices {

    /** What a device shows its token in. */
    public static final String COOKIE = "device";

    static final Duration GOOD_FOR = Duration.ofDays(30);
    static final Duration SEEN_EVERY = Duration.ofMinutes(5);
    /** So long is what was found believed, so that a page asks once; sent away here, a device is out at once. */
    private static final Duration BELIEVED = Duration.ofSeconds(5);

    /** So long nobody is asked again who could not tell: a page is made of many files, and each would wait. */
    private static final Duration DOUBTED = Duration.ofSeconds(1);

    private static final int TOKEN_BYTES = 32;

    private final DeviceMapper mapper;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();
    private final Map<String, Found> found = new ConcurrentHashMap<>();

    /** What came of the last look, while nobody can tell; null for nothing. */
    private volatile Trouble trouble;

    private record Found(Device device, OffsetDateTime at) {}

    private record Trouble(DataAccessException met, OffsetDateTime at) {}

    Devices(DeviceMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** The name that whoever asks measures under; blank at the machine itself. */
    public static String name(HttpServletRequest request) {
        return Objects.requireNonNullElse(request.getRemoteUser(), "");
    }

    /** @return the token that it is to show from now on */
    String letIn(String name) {
        byte[] token = new byte[TOKEN_BYTES];
        random.nextBytes(token);
        String shown = Base64.getUrlEncoder().withoutPadding().encodeToString(token);
        OffsetDateTime now = OffsetDateTime.now(clock);
        mapper.dropOld(now);
        mapper.add(name, sum(shown), now, now.plus(GOOD_FOR));
        return shown;
    }

    /**
     * The device that shows a token. One that was known a moment ago stays known while the database is away.
     *
     * @throws DataAccessException if the database is away and the device was not asked for before
     */
    public Optional<Device> of(String token) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        byte[] sum = sum(token);
        String key = HexFormat.of().formatHex(sum);
        Found before = found.get(key);
        if (before != null && !before.device().goodUntil().isAfter(now)) {
            found.remove(key);
            return Optional.empty();
        }
        if (before != null && before.at().plus(BELIEVED).isAfter(now)) {
            return Optional.of(before.device());
        }
        try {
            return look(sum, key, now);
        } catch (DataAccessException away) {
            if (before == null) {
                throw away;
            }
            return Optional.of(before.device());
        }
    }

    private Optional<Device> look(byte[] sum, String key, OffsetDateTime now) {
        Trouble last = trouble;
        if (last != null && last.at().plus(DOUBTED).isAfter(now)) {
            throw last.met();
        }
        Optional<Device> device = find(sum, now);
        if (device.isEmpty()) {
            found.remove(key);
            return device;
        }
        found.put(key, new Found(device.get(), now));
        if (device.get().seenAt().plus(SEEN_EVERY).isBefore(now)) {
            mapper.seen(device.get().id(), now);
        }
        return device;
    }

    private Optional<Device> find(byte[] sum, OffsetDateTime now) {
        try {
            return mapper.find(sum, now);
        } catch (DataAccessException met) {
            trouble = new Trouble(met, now);
            throw met;
        }
    }

    List<Device> all() {
        return mapper.all(OffsetDateTime.now(clock));
    }

    /** @return false if there is no such one */
    boolean sendAway(long id) {
        boolean was = mapper.drop(id) > 0;
        found.values().removeIf(each -> each.device().id() == id);
        return was;
    }

    private static byte[] sum(String token) {
        return Sha256.of(token.getBytes(StandardCharsets.UTF_8));
    }
}
