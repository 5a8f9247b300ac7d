package yellowrail.core.reading;

import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;

/**
 * Questions readings before they count: a factor of ten or a thousand off, the sign wrong, out of the family of the
 * readings before. The bounds are wide on purpose: an abused amp must be loggable without an argument.
 */
public final class Plausibility {

    /** No power tube of this catalogue idles beyond this, A. */
    private static final double MOST_PER_TUBE = 0.25;
    /** Below this a tube does not conduct in any useful sense, A. */
    private static final double LEAST_PER_TUBE = 0.0005;
    private static final double LEAST_PLATE_VOLTS = 60;
    private static final double MOST_PLATE_VOLTS = 1200;
    /** Of the mean of the tubes' readings, or of the plate voltage before: beyond it a reading is out of family. */
    private static final double FAMILY = 2;
    private static final double PLATE_FAMILY = 1.25;
    private static final double MAINS_FAMILY = 1.25;
    private static final double RESISTOR_FAMILY = 1.25;

    private static final double[] FACTORS = {1e-3, 1e3, 0.1, 10, 0.01, 100};

    private final AmpSheet sheet;
    private final Rating rating;
    private final Moment before;

    /**
     * @param sheet  the amp
     * @param rating the limits its tubes are judged by
     * @param before the readings that count so far
     */
    public Plausibility(AmpSheet sheet, Rating rating, Moment before) {
        this.sheet = sheet;
        this.rating = rating;
        this.before = before;
    }

    /** @return the question this reading raises, empty if it can stand as it is */
    public Optional<Question> question(Entry entry) {
        return switch (entry.kind()) {
            case SENSE_VOLTS, SENSE_AMPS -> current(entry);
            case PLATE, PLATE_UNLOADED -> plate(entry);
            case MAINS -> mains(entry);
            case BIAS, BIAS_STOP -> bias(entry);
            case HEATER, HEATER_BARE -> bounds(entry, v -> v >= 1.5 && v <= 30, "%s on a heater is not plausible.");
            case SWING_A, SWING_B -> Optional.empty();
            case SCREEN_VOLTS -> bounds(entry, v -> v >= 30 && v <= 900, "%s on a screen is not plausible.");
            case SCREEN_DROP -> bounds(entry, v -> v >= 0 && v <= 60, "%s across a screen stopper is not plausible.");
            case SCREEN_AMPS -> bounds(entry, a -> a >= 0 && a <= 0.05, "%s of screen current is not plausible at an idle.");
            case CATHODE_VOLTS -> bounds(entry, v -> v >= 0 && v <= 120, "%s on a cathode is not plausible.");
            case RESISTOR_COLD -> resistor(entry);
            case POWER_ON, POWER_OFF, NOTE, MARK, TURN, TUBE, SHEET -> Optional.empty();
        };
    }

    private Optional<Question> current(Entry entry) {
        int tubes = Math.max(1, sheet.socketsAt(entry.target()).size());
        DoublePredicate plausible = value -> {
            double perTube = amps(entry, value) / tubes;
            return perTube >= LEAST_PER_TUBE && perTube <= mostPerTube();
        };
        if (!plausible.test(entry.value())) {
            return Optional.of(ask(entry, plausible, "%s at %s would be %s%s.".formatted(shown(entry), entry.target(),
                    currentInWords(amps(entry, entry.value()) / tubes), tubes > 1 ? " through each tube" : " through the tube")));
        }
        return outOfFamily(entry, plausible);
    }

    private double mostPerTube() {
        return rating.cathodeAmps().orElse(MOST_PER_TUBE);
    }

    private double amps(Entry entry, double value) {
        CurrentSense sense = sheet.current();
        if (entry.kind() == ReadingKind.SENSE_AMPS) {
            return value;
        }
        double ohms = before.last(ReadingKind.RESISTOR_COLD, entry.target()).map(Reading::value).orElse(sense.ohms().orElse(1));
        return value / ohms;
    }

    private static String currentInWords(double amps) {
        return Math.abs(amps) >= 1 ? Figures.in(Unit.AMP, amps) : Figures.milliamps(amps);
    }

    private Optional<Question> outOfFamily(Entry entry, DoublePredicate plausible) {
        if (sheet.current().method() == CurrentMethod.SUPPLY_DROP) {
            return Optional.empty();
        }
        double[] others = sheet.testPoints().stream().filter(point -> !point.equals(entry.target()))
                .flatMap(point -> before.at(entry.kind(), point).stream())
                .mapToDouble(Reading::value).toArray();
        Optional<Reading> own = before.at(entry.kind(), entry.target());
        double[] family = others.length > 0 ? others : own.stream().mapToDouble(Reading::value).toArray();
        if (family.length == 0) {
            return Optional.empty();
        }
        double mean = DoubleStream.of(family).average().orElseThrow();
        DoublePredicate inFamily = value -> value > mean / FAMILY && value < mean * FAMILY;
        boolean likeItsOwnLast = own.map(last -> within(entry.value(), last.value(), FAMILY)).orElse(false);
        if (inFamily.test(entry.value()) || likeItsOwnLast) {
            return Optional.empty();
        }
        return Optional.of(ask(entry, inFamily.and(plausible), "%s at %s is far from %s, %s. A slipped probe or another range?"
                .formatted(shown(entry), entry.target(), Figures.in(sheet.current().shows(), mean),
                        others.length > 0 ? "which the others read" : "which it read before")));
    }

    private Optional<Question> plate(Entry entry) {
        DoublePredicate plausible = volts -> volts >= LEAST_PLATE_VOLTS && volts <= MOST_PLATE_VOLTS;
        if (!plausible.test(entry.value())) {
            return Optional.of(ask(entry, plausible, "%s is not plausible on a plate.".formatted(shown(entry))));
        }
        Optional<Reading> last = entry.kind() == ReadingKind.PLATE ? before.last(ReadingKind.PLATE, entry.target()) : Optional.empty();
        if (last.isPresent() && !within(entry.value(), last.get().value(), PLATE_FAMILY)) {
            return Optional.of(ask(entry, volts -> within(volts, last.get().value(), PLATE_FAMILY),
                    "%s is far from the %s read before. A slipped probe, or the tubes pulled (then add the word unloaded)?"
                            .formatted(shown(entry), Figures.volts(last.get().value()))));
        }
        return Optional.empty();
    }

    private Optional<Question> mains(Entry entry) {
        double reference = sheet.mainsVolts();
        DoublePredicate plausible = volts -> within(volts, reference, MAINS_FAMILY);
        return plausible.test(entry.value()) ? Optional.empty() : Optional.of(ask(entry, plausible,
                "%s of mains is far from the %s on the sheet.".formatted(shown(entry), Figures.volts(reference))));
    }

    private Optional<Question> bias(Entry entry) {
        DoublePredicate plausible = volts -> sheet.bias().isCathode() ? Math.abs(volts) <= 5 : volts <= -1 && volts >= -150;
        if (plausible.test(entry.value())) {
            return Optional.empty();
        }
        String asks = sheet.bias().isCathode() ? "%s on a grid is not plausible with cathode bias, where the grid sits near ground."
                : entry.value() > 0 ? "%s on a grid is positive; fixed bias is negative."
                : "%s on a grid is not plausible.";
        return Optional.of(ask(entry, plausible, asks.formatted(shown(entry))));
    }

    private Optional<Question> resistor(Entry entry) {
        double onSheet = sheet.current().ohms().orElse(Double.NaN);
        DoublePredicate plausible = ohms -> !Double.isFinite(onSheet) || within(ohms, onSheet, RESISTOR_FAMILY);
        return plausible.test(entry.value()) ? Optional.empty() : Optional.of(ask(entry, plausible,
                "%s is far from the %s on the sheet. Capacitors not drained, or another resistor?"
                        .formatted(shown(entry), Figures.ohms(onSheet))));
    }

    private Optional<Question> bounds(Entry entry, DoublePredicate plausible, String asks) {
        return plausible.test(entry.value()) ? Optional.empty() : Optional.of(ask(entry, plausible, asks.formatted(shown(entry))));
    }

    private static boolean within(double value, double other, double factor) {
        return value > other / factor && value < other * factor;
    }

    private Question ask(Entry entry, DoublePredicate plausible, String asks) {
        List<Question.Suggestion> suggestions = Stream.concat(Stream.of(-entry.value()),
                        DoubleStream.of(FACTORS).mapToObj(factor -> factor * entry.value()))
                .filter(plausible::test).limit(2)
                .map(value -> suggestion(entry.withValue(value))).toList();
        return new Question(entry, asks, suggestions);
    }

    private Question.Suggestion suggestion(Entry entry) {
        return new Question.Suggestion(List.of(entry), line(entry, sheet));
    }

    private String shown(Entry entry) {
        Unit unit = unit(entry, sheet);
        return Figures.in(unit == Unit.MILLIVOLT && Math.abs(entry.value()) >= 1 ? Unit.VOLT : unit, entry.value());
    }

    private static Unit unit(Entry entry, AmpSheet sheet) {
        Unit shows = sheet.current().shows();
        if (entry.kind() == ReadingKind.SWING_A || entry.kind() == ReadingKind.SWING_B) {
            return shows;
        }
        boolean sense = entry.kind() == ReadingKind.SENSE_VOLTS || entry.kind() == ReadingKind.SENSE_AMPS;
        return sense && shows.dimension() == entry.kind().unit().dimension() ? shows : entry.kind().unit();
    }

    /** How a reading is typed, in the unit of the builder's own meter. */
    public static String line(Entry entry, AmpSheet sheet) {
        String place = entry.target().isEmpty() ? "" : entry.target() + " ";
        String word = word(entry.kind());
        if (entry.kind() == ReadingKind.POWER_ON && entry.value() > 0) {
            return word + " " + Figures.plain(entry.value());
        }
        if (!entry.kind().isMeasured()) {
            return (word + " " + place + entry.words()).strip();
        }
        Unit unit = unit(entry, sheet);
        String value = Figures.plain(unit.fromSi(entry.value())) + unit;
        return switch (entry.kind()) {
            case SWING_A, SWING_B -> word + " " + place + value;
            case PLATE_UNLOADED -> place + word + " " + value + " unloaded";
            case HEATER_BARE -> place + word + " " + value + " bare";
            case BIAS_STOP -> place + word + " " + value + " stop";
            default -> place + (word.isEmpty() ? "" : word + " ") + value;
        };
    }

    private static String word(ReadingKind kind) {
        return switch (kind) {
            case SENSE_VOLTS, SENSE_AMPS -> "";
            case PLATE, PLATE_UNLOADED -> "plate";
            case MAINS -> "mains";
            case BIAS, BIAS_STOP -> "bias";
            case HEATER, HEATER_BARE -> "heater";
            case SWING_A -> "swing a";
            case SWING_B -> "swing b";
            case TURN -> "turn";
            case TUBE -> "tube";
            case SHEET -> "sheet";
            case SCREEN_VOLTS, SCREEN_AMPS -> "screen";
            case SCREEN_DROP -> "ig2";
            case CATHODE_VOLTS -> "vk";
            case RESISTOR_COLD -> "rk off";
            case POWER_ON -> "on";
            case POWER_OFF -> "off";
            case NOTE -> "note";
            case MARK -> "mark";
        };
    }
}
