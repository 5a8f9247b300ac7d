package yellowrail.web.device;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import org.springframework.stereotype.Component;

/**
 * Eight characters, good for letting in one device. After five wrong ones within a minute it changes, and none is taken
 * until that minute is over: of 32^8 codes nobody tries more than five a minute.
 */
@Component
class OneTimeCode {

    static final int LENGTH = 8;
    static final int WRONG_ALLOWED = 5;
    static final Duration WITHIN = Duration.ofMinutes(1);

    /** Without 0, 1, I and O, which look like others. */
    private static final String LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ";

    /** What became of a code that was typed. */
    enum Answer {
        RIGHT,
        WRONG,
        /** It was the last wrong one that is taken for now. */
        CHANGED,
        /** It was not even looked at. */
        WAIT
    }

    private final Clock clock;
    private final SecureRandom random = new SecureRandom();
    private final Deque<Instant> wrong = new ArrayDeque<>();
    private String code = another();
    private Instant waitUntil = Instant.MIN;

    OneTimeCode(Clock clock) {
        this.clock = clock;
    }

    private String another() {
        StringBuilder letters = new StringBuilder();
        random.ints(LENGTH, 0, LETTERS.length()).forEach(each -> letters.append(LETTERS.charAt(each)));
        return letters.toString();
    }

    /** In two groups, as it is read and typed. */
    synchronized String shown() {
        return code.substring(0, LENGTH / 2) + "-" + code.substring(LENGTH / 2);
    }

    /** Whether wrong ones were tried so often that none is taken now. */
    synchronized boolean isWaiting() {
        return clock.instant().isBefore(waitUntil);
    }

    /** @param typed in any case, grouped or not */
    synchronized Answer tell(String typed) {
        Instant now = clock.instant();
        if (now.isBefore(waitUntil)) {
            return Answer.WAIT;
        }
        if (isCode(typed)) {
            code = another();
            wrong.clear();
            return Answer.RIGHT;
        }
        wrong.removeIf(each -> !each.plus(WITHIN).isAfter(now));
        wrong.addLast(now);
        if (wrong.size() < WRONG_ALLOWED) {
            return Answer.WRONG;
        }
        code = another();
        waitUntil = now.plus(WITHIN);
        wrong.clear();
        return Answer.CHANGED;
    }

    private boolean isCode(String typed) {
        String plain = typed.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
        return MessageDigest.isEqual(plain.getBytes(StandardCharsets.UTF_8), code.getBytes(StandardCharsets.UTF_8));
    }
}
