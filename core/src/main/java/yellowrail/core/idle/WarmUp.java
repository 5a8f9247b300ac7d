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

    /** The warm-up clock, in words. */
    public String inWords(Instant now) {
        if (off.isPresent() && !isOnSince(off.get())) {
            return "Switched off.";
        }
        if (on.isEmpty()) {
            return "Warm-up not known: type on when you switch on.";
        }
        Duration age = Duration.between(on.get().takenAt(), now);
        if (age.compareTo(FORGOTTEN) > 0) {
            return "On for %d h by the log: type off, or on when you switch on again.".formatted(age.toHours());
        }
        if (age.compareTo(CONDUCTS) < 0) {
            return "On for %d s: tubes take about %d s to conduct.".formatted(Math.max(0, age.toSeconds()), CONDUCTS.toSeconds());
        }
        return age.compareTo(settles) >= 0 ? "Warm: on for %d min.".formatted(age.toMinutes())
                : "Warming up: on for %d min of %d.".formatted(age.toMinutes(), settles.toMinutes());
    }

    /** Why this reading cannot be judged, if so. */
    Optional<String> refusal(Reading reading) {
        if (off.isPresent() && off.get().id() < reading.id() && !isOnSince(off.get())) {
            return Optional.of("The amp was logged as switched off before the %s was read. Type on when it is on again."
                    .formatted(reading.entry().kind().inWords()));
        }
        return age(reading).filter(age -> age.compareTo(CONDUCTS) < 0).map(age ->
                "The warm-up is too short: the %s was read %d s after switching on, and tubes take about %d s to conduct."
                        .formatted(reading.entry().kind().inWords(), age.toSeconds(), CONDUCTS.toSeconds()));
    }

    private boolean isOnSince(Reading switchedOff) {
        return on.isPresent() && on.get().id() > switchedOff.id();
    }

    boolean isEarly(Reading reading) {
        return age(reading).map(age -> age.compareTo(settles) < 0).orElse(false);
    }

    Optional<String> note(Reading current, Reading plate) {
        if (on.isEmpty()) {
            return Optional.of("Warm-up not known: type on when the tubes are switched on, or on 20 if that was twenty minutes ago.");
        }
        return Stream.of(current, plate).filter(this::isEarly).findFirst().map(reading ->
                "Early: %s was read %d min after switching on; it settles in about %d min. Read again then."
                        .formatted(reading.entry().kind().inWords(), age(reading).orElseThrow().toMinutes(), settles.toMinutes()));
    }

    /** Time since the switch; a reading from before the last switching on belongs to an earlier warm-up, not judged here. */
    private Optional<Duration> age(Reading reading) {
        Instant taken = reading.takenAt();
        return on.map(switched -> Duration.between(switched.takenAt(), taken)).filter(age -> !age.isNegative());
    }
}
