package yellowrail.core.powerup;

import java.util.Optional;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeType;

/**
 * Heater volts against the type's own: within 5 % is preferred, within 10 % allowed, at the mains that was read with
 * them.
 *
 * @param volts as read, with the tubes in
 * @param nominal the type's
 * @param verdict how they stand
 * @param says what it means
 */
public record HeaterCheck(double volts, double nominal, Verdict verdict, PowerUpFinding says) {

    public static final double PREFERRED = 0.05;
    public static final double MOST = 0.10;
    private static final double ROUNDING = 1e-9;

    /** How the heaters stand. */
    public enum Verdict {
        GOOD,
        ALLOWED,
        TOO_LOW,
        TOO_HIGH,
        NO_TUBES
    }

    /** @return the check; empty before heaters were read */
    public static Optional<HeaterCheck> of(TubeType type, double referenceMains, Moment moment) {
        double nominal = type.heaterVolts();
        Optional<Reading> loaded = moment.last(ReadingKind.HEATER);
        Optional<Reading> bare = moment.last(ReadingKind.HEATER_BARE);
        if (loaded.isEmpty()) {
            return bare.map(reading -> new HeaterCheck(
                    reading.value(), nominal, Verdict.NO_TUBES, new PowerUpFinding.HeatersBare(reading.value())));
        }
        double volts = loaded.get().value();
        double off = volts / nominal - 1;
        Verdict verdict = Math.abs(off) <= PREFERRED + ROUNDING
                ? Verdict.GOOD
                : Math.abs(off) <= MOST + ROUNDING ? Verdict.ALLOWED : off > 0 ? Verdict.TOO_HIGH : Verdict.TOO_LOW;
        PowerUpFinding mains = moment.last(ReadingKind.MAINS)
                .filter(reading -> reading.value() > 0)
                .<PowerUpFinding>map(reading -> new PowerUpFinding.HeatersAtMains(
                        reading.value(), referenceMains, volts * referenceMains / reading.value()))
                .orElseGet(PowerUpFinding.MainsNotReadWithHeaters::new);
        Optional<PowerUpFinding> sag = bare.map(reading -> new PowerUpFinding.HeatersWithoutTubes(reading.value()));
        return Optional.of(new HeaterCheck(
                volts,
                nominal,
                verdict,
                new PowerUpFinding.HeatersRead(volts, off, nominal, mains, sag, PREFERRED, MOST)));
    }
}
