package yellowrail.core.idle;

import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Timeline;

/**
 * A tube for which there is no move but the switch: far over its rating, or over it and rising. A reading that was
 * overtaken counts too until it is taken again: nobody has seen it come down.
 *
 * @param tube which
 * @param rising what it read before, where it rises
 * @param off whether it was switched off since, by the log: then it stays off until the cause is found
 */
public record Alarm(TubeIdle tube, Optional<Reading> rising, boolean off) {

    /** So far over the rating, as a ratio, nothing is turned any more. */
    public static final double SWITCH_OFF = 1.20;
    /** A reading this much above the one before it rises, beyond what a meter's last digits do. */
    private static final double RISEN = 0.005;

    /** @return the worst of them */
    public static Optional<Alarm> of(Timeline timeline, List<TubeIdle> tubes) {
        return tubes.stream()
                .filter(tube ->
                        tube.figures().isPresent() && tube.judgement().limits().overWatts())
                .map(tube -> of(timeline, tube))
                .flatMap(Optional::stream)
                .max((one, other) -> Double.compare(
                        one.tube.judgement().ratio(), other.tube.judgement().ratio()));
    }

    private static Optional<Alarm> of(Timeline timeline, TubeIdle tube) {
        if (tube.judgement().ratio() > SWITCH_OFF) {
            return Optional.of(new Alarm(tube, Optional.empty(), isOff(timeline)));
        }
        Optional<Reading> before = before(timeline, tube.current().orElseThrow());
        return before.isPresent() && tube.judgement().ratio() > 1 && rises(before.get(), tube)
                ? Optional.of(new Alarm(tube, before, isOff(timeline)))
                : Optional.empty();
    }

    private static boolean isOff(Timeline timeline) {
        return new WarmUp(
                        timeline.present().moment(), timeline.present().sheet().settleMinutes())
                .isOff();
    }

    private static boolean rises(Reading before, TubeIdle tube) {
        Reading now = tube.current().orElseThrow();
        double digits = tube.figures()
                .orElseThrow()
                .problem()
                .meter()
                .ofSense(0, now.entry().lastDigit());
        return now.value() > before.value() * (1 + RISEN) + digits;
    }

    /** The reading of the same test point before, if no pot was turned between, by the log. */
    private static Optional<Reading> before(Timeline timeline, Reading now) {
        Optional<Reading> found = Optional.empty();
        for (Reading reading : timeline.presentReadings()) {
            if (reading.id() >= now.id()) {
                break;
            }
            switch (reading.kind()) {
                case TURN -> found = Optional.empty();
                case SENSE_VOLTS, SENSE_AMPS -> {
                    if (reading.kind() == now.kind()
                            && reading.entry().target().equals(now.entry().target())) {
                        found = Optional.of(reading);
                    }
                }
                default -> {}
            }
        }
        return found;
    }

    public IdleFinding finding(Unit shows) {
        String label = tube.socket().label();
        double watts = tube.figures().orElseThrow().dissipation().value();
        if (off) {
            return new IdleFinding.TookTooMuch(label, watts, tube.judgement().ratio());
        }
        return rising.<IdleFinding>map(before -> new IdleFinding.SwitchOffRising(
                        label,
                        watts,
                        tube.judgement().ratio(),
                        Shown.toTurnTo(shows, before.value()),
                        Shown.toTurnTo(shows, tube.current().orElseThrow().value())))
                .orElseGet(() -> new IdleFinding.SwitchOffNow(
                        label, watts, tube.judgement().ratio()));
    }
}
