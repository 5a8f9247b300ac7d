package yellowrail.core.powerup;

import java.util.Optional;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeType;

/**
 * Heater volts against the type's own: within 5 % is preferred, within 10 % allowed, at the mains that was read with them.
 *
 * @param volts   as read, with the tubes in
 * @param nominal the type's
 * @param verdict the word
 * @param words   what it means, in a sentence
 */
public record HeaterCheck(double volts, double nominal, Verdict verdict, String words) {

    public static final double PREFERRED = 0.05;
    public static final double MOST = 0.10;

    /** How the heaters stand. */
    public enum Verdict {
        GOOD("good"), ALLOWED("allowed"), TOO_LOW("too low"), TOO_HIGH("too high"), NO_TUBES("no tubes in");

        private final String inWords;

        Verdict(String inWords) {
            this.inWords = inWords;
        }

        public String inWords() {
            return inWords;
        }
    }

    /** @return the check; empty before heaters were read */
    public static Optional<HeaterCheck> of(TubeType type, double referenceMains, Moment moment) {
        double nominal = type.heaterVolts();
        Optional<Reading> loaded = moment.last(ReadingKind.HEATER);
        Optional<Reading> bare = moment.last(ReadingKind.HEATER_BARE);
        if (loaded.isEmpty()) {
            return bare.map(reading -> new HeaterCheck(reading.value(), nominal, Verdict.NO_TUBES,
                    "%s without tubes, which always reads high; read again with the tubes in.".formatted(Figures.in(ReadingKind.HEATER.unit(), reading.value()))));
        }
        double volts = loaded.get().value();
        double off = volts / nominal - 1;
        Verdict verdict = Math.abs(off) <= PREFERRED + 1e-9 ? Verdict.GOOD : Math.abs(off) <= MOST + 1e-9 ? Verdict.ALLOWED : off > 0 ? Verdict.TOO_HIGH : Verdict.TOO_LOW;
        String mains = moment.last(ReadingKind.MAINS).filter(reading -> reading.value() > 0).map(reading -> ", at %s of mains; at %s it would be %s V".formatted(Figures.volts(reading.value()),
                Figures.volts(referenceMains), Figures.fixed(volts * referenceMains / reading.value(), 2))).orElse("; the mains was not read with it");
        String sag = bare.map(reading -> "; %s V without tubes".formatted(Figures.fixed(reading.value(), 2))).orElse("");
        return Optional.of(new HeaterCheck(volts, nominal, verdict, "%s V, %s %% off the type\u2019s %s V%s%s. Preferred within 5 %%, at most 10 %%.".formatted(
                Figures.fixed(volts, 2), Figures.fixed(100 * off, 1), Figures.plain(nominal), mains, sag)));
    }
}
