package yellowrail.core.idle;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * How long the tubes had been on when a reading was taken. Before they conduct a reading says nothing; before they
 * settle a verdict is early; when nobody logged the switch, that is said.
 */
public final class WarmUp {

    /** An amp that has been on this long has been forgotten in the log, not on the bench. */
    private static final Duration FORGOTTEN = Duration.ofHours(12);
    /** Half a minute for a cathode to conduct. */
    public static final Duration CONDUCTS = Duration.ofSeconds(30);

    private final Optional<Reading> on;
    private final Optional<Reading> off;
    private final Duration settles;

    public WarmUp(Moment moment, double settleMinutes) {
        this.on = moment.at(ReadingKind.POWER_ON, "");
        this.off = moment.at(ReadingKind.POWER_OFF, "");
        this.settles = Duration.ofSeconds(Math.round(settleMinutes * 60));
    }

    /** Whether the amp is on by the log. */
    public boolean isOn() {
        return on.isPresent() && (off.isEmpty() || isOnSince(off.get()));
    }

    /** Whether the amp is off by the log; where nobody said, it is neither. */
    public boolean isOff() {
        return off.isPresent() && !isOnSince(off.get());
    }

    /** When it was last switched on, by the log. */
    public Optional<Instant> lastOn() {
        return on.map(Reading::takenAt);
    }

    /** The warm-up clock. */
    public IdleFinding clock(Instant now) {
        if (isOff()) {
            return new IdleFinding.SwitchedOff(Math.max(
                    0, Duration.between(off.orElseThrow().takenAt(), now).toMinutes()));
        }
        if (on.isEmpty()) {
            return new IdleFinding.ClockNotKnown();
        }
        Duration age = Duration.between(on.get().takenAt(), now);
        if (age.compareTo(FORGOTTEN) > 0) {
            return new IdleFinding.OnForHours(age.toHours());
        }
        if (age.compareTo(CONDUCTS) < 0) {
            return new IdleFinding.NotYetConducting(Math.max(0, age.toSeconds()), CONDUCTS.toSeconds());
        }
        return age.compareTo(settles) >= 0
                ? new IdleFinding.Warm(age.toMinutes())
                : new IdleFinding.WarmingUp(age.toMinutes(), settles.toMinutes());
    }

    /** Why this reading cannot be judged, if so. */
    Optional<IdleFinding> refusal(Reading reading) {
        if (off.isPresent() && off.get().id() < reading.id() && !isOnSince(off.get())) {
            return Optional.of(new IdleFinding.ReadAfterOff(reading.kind()));
        }
        return age(reading)
                .filter(age -> age.compareTo(CONDUCTS) < 0)
                .map(age -> new IdleFinding.WarmUpTooShort(reading.kind(), age.toSeconds(), CONDUCTS.toSeconds()));
    }

    private boolean isOnSince(Reading switchedOff) {
        return on.isPresent() && on.get().id() > switchedOff.id();
    }

    boolean isEarly(Reading reading) {
        return age(reading).map(age -> age.compareTo(settles) < 0).orElse(false);
    }

    Optional<IdleFinding> note(Reading current, Reading plate) {
        if (on.isEmpty()) {
            return Optional.of(new IdleFinding.WarmUpNotKnown());
        }
        return Stream.of(current, plate)
                .filter(this::isEarly)
                .findFirst()
                .map(reading -> new IdleFinding.Early(
                        reading.kind(), age(reading).orElseThrow().toMinutes(), settles.toMinutes()));
    }

    /**
     * Time since the switch; a reading from before the last switching on belongs to an earlier warm-up, not judged
     * here.
     */
    private Optional<Duration> age(Reading reading) {
        return on.filter(switched ->
                        switched.id() < reading.id() || !switched.takenAt().isAfter(reading.takenAt()))
                .map(switched -> Duration.between(switched.takenAt(), reading.takenAt()))
                .filter(age -> !age.isNegative());
    }
}
