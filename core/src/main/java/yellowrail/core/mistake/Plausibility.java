package yellowrail.core.mistake;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.finding.Shown;
import yellowrail.core.idle.ResistorInUse;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * Questions readings before they count: a factor of ten or a thousand off, the sign wrong, out of the family of the
 * readings before. The bounds are wide on purpose: an abused amp must be loggable without an argument.
 */
final class Plausibility {

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

    private final Situation now;
    private final AmpSheet sheet;
    private final Moment before;

    Plausibility(Situation now) {
        this.now = now;
        this.sheet = now.sheet();
        this.before = now.before();
    }

    /** @return the question this reading raises, empty if it can stand as it is */
    Optional<Question> question(Entry entry) {
        return switch (entry.kind()) {
            case SENSE_VOLTS, SENSE_AMPS -> current(entry);
            case PLATE, PLATE_UNLOADED -> plate(entry);
            case MAINS -> mains(entry);
            case BIAS, BIAS_STOP -> bias(entry);
            case HEATER, HEATER_BARE -> bounds(entry, v -> v >= 1.5 && v <= 30, MistakeFinding.NoHeaterVolts::new);
            case SWING_A, SWING_B -> Optional.empty();
            case SCREEN_VOLTS -> bounds(entry, v -> v >= 30 && v <= 900, MistakeFinding.NoScreenVolts::new);
            case SCREEN_DROP -> bounds(entry, v -> v >= 0 && v <= 60, MistakeFinding.NoStopperDrop::new);
            case SCREEN_AMPS -> bounds(entry, a -> a >= 0 && a <= 0.05, MistakeFinding.NoScreenCurrent::new);
            case CATHODE_VOLTS -> bounds(entry, v -> v >= 0 && v <= 120, MistakeFinding.NoCathodeVolts::new);
            case RESISTOR_COLD -> resistor(entry);
            case NODE -> node(entry);
            case DRAINED -> bounds(entry, v -> Math.abs(v) <= MOST_PLATE_VOLTS, MistakeFinding.NoNodeVolts::new);
            case POWER_ON, POWER_OFF, NOTE, FINDING, PROOF, MARK, TURN, TUBE, SHEET, SENSE_STOP, UNDO, TICK ->
                Optional.empty();
        };
    }

    private Optional<Question> current(Entry entry) {
        if (entry.kind() == ReadingKind.SENSE_AMPS && sheet.current().shows().dimension() == Unit.Dimension.VOLTAGE) {
            return Optional.of(acrossAResistor(entry));
        }
        int tubes = Math.max(1, sheet.socketsAt(entry.target()).size());
        DoublePredicate plausible = value -> {
            double perTube = amps(entry, value) / tubes;
            return perTube >= LEAST_PER_TUBE && perTube <= mostPerTube(entry);
        };
        if (!plausible.test(entry.value())) {
            double each = amps(entry, entry.value()) / tubes;
            Shown amps = Shown.of(Math.abs(each) >= 1 ? Unit.AMP : Unit.MILLIAMP, each);
            return Optional.of(ask(
                    entry,
                    plausible,
                    tubes > 1
                            ? new MistakeFinding.ThroughEachTube(now.shown(entry), entry.target(), amps)
                            : new MistakeFinding.ThroughTheTube(now.shown(entry), entry.target(), amps)));
        }
        return outOfFamily(entry, plausible);
    }

    /**
     * Milliamps where the meter shows the volts of a resistor: most likely the unit slipped, or somebody divided
     * already.
     */
    private Question acrossAResistor(Entry entry) {
        double ohms = sheet.current().ohms().orElse(1);
        Unit shows = sheet.current().shows();
        List<List<Entry>> offers = new ArrayList<>();
        double slipped = shows.toSi(Unit.MILLIAMP.fromSi(entry.value()));
        offers.add(List.of(entry.as(ReadingKind.SENSE_VOLTS).slippedTo(slipped)));
        if (Math.abs(entry.value() * ohms / slipped - 1) > 1e-6) {
            offers.add(List.of(new Entry(ReadingKind.SENSE_VOLTS, entry.target(), entry.value() * ohms, "")));
        }
        return Situation.ask(entry, new MistakeFinding.MilliampsAcrossAResistor(now.shown(entry), ohms, shows), offers);
    }

    /** What any of the tubes at a test point may carry. */
    private double mostPerTube(Entry entry) {
        return now.stage().occupants().stream()
                .filter(each -> each.socket().testPoint().equals(entry.target()))
                .flatMap(each -> each.rating().stream())
                .mapToDouble(rating -> rating.cathodeAmps().orElse(MOST_PER_TUBE))
                .max()
                .orElse(MOST_PER_TUBE);
    }

    private double amps(Entry entry, double value) {
        if (entry.kind() == ReadingKind.SENSE_AMPS) {
            return value;
        }
        return value
                / before.last(ReadingKind.RESISTOR_COLD, entry.target())
                        .map(Reading::value)
                        .orElse(sheet.current().ohms().orElse(1));
    }

    private Optional<Question> outOfFamily(Entry entry, DoublePredicate plausible) {
        if (sheet.current().method() == CurrentMethod.SUPPLY_DROP) {
            return Optional.empty();
        }
        double[] others = sheet.testPoints().stream()
                .filter(point -> !point.equals(entry.target()))
                .flatMap(point -> before.at(entry.kind(), point).stream())
                .mapToDouble(Reading::value)
                .toArray();
        Optional<Reading> own = before.at(entry.kind(), entry.target());
        double[] family = others.length > 0
                ? others
                : own.stream().mapToDouble(Reading::value).toArray();
        if (family.length == 0) {
            return Optional.empty();
        }
        double mean = DoubleStream.of(family).average().orElseThrow();
        DoublePredicate inFamily = value -> value > mean / FAMILY && value < mean * FAMILY;
        boolean likeItsOwnLast =
                own.map(last -> within(entry.value(), last.value(), FAMILY)).orElse(false);
        if (inFamily.test(entry.value()) || likeItsOwnLast) {
            return Optional.empty();
        }
        Shown around = Shown.of(sheet.current().shows(), mean);
        return Optional.of(ask(
                entry,
                inFamily.and(plausible),
                others.length > 0
                        ? new MistakeFinding.FarFromTheOthers(now.shown(entry), entry.target(), around)
                        : new MistakeFinding.FarFromBefore(now.shown(entry), entry.target(), around)));
    }

    private Optional<Question> plate(Entry entry) {
        DoublePredicate plausible = volts -> volts >= LEAST_PLATE_VOLTS && volts <= MOST_PLATE_VOLTS;
        if (!plausible.test(entry.value())) {
            return Optional.of(ask(entry, plausible, new MistakeFinding.NoPlateVolts(now.shown(entry))));
        }
        Optional<Reading> last =
                entry.kind() == ReadingKind.PLATE ? before.last(ReadingKind.PLATE, entry.target()) : Optional.empty();
        if (last.isPresent() && !within(entry.value(), last.get().value(), PLATE_FAMILY)) {
            return Optional.of(ask(
                    entry,
                    volts -> within(volts, last.get().value(), PLATE_FAMILY),
                    new MistakeFinding.PlatesFarFromBefore(
                            now.shown(entry), last.get().value())));
        }
        return Optional.empty();
    }

    private Optional<Question> mains(Entry entry) {
        double reference = sheet.mainsVolts();
        DoublePredicate plausible = volts -> within(volts, reference, MAINS_FAMILY);
        return plausible.test(entry.value())
                ? Optional.empty()
                : Optional.of(ask(entry, plausible, new MistakeFinding.MainsFarFromSheet(now.shown(entry), reference)));
    }

    private Optional<Question> bias(Entry entry) {
        DoublePredicate plausible =
                volts -> sheet.bias().isCathode() ? Math.abs(volts) <= 5 : volts <= -1 && volts >= -150;
        if (plausible.test(entry.value())) {
            return Optional.empty();
        }
        String shown = now.shown(entry);
        return Optional.of(ask(
                entry,
                plausible,
                sheet.bias().isCathode()
                        ? new MistakeFinding.NoGridWithCathodeBias(shown)
                        : entry.value() > 0
                                ? new MistakeFinding.PositiveGrid(shown)
                                : new MistakeFinding.NoGridVolts(shown)));
    }

    private Optional<Question> resistor(Entry entry) {
        double onSheet = sheet.current().ohms().orElse(Double.NaN);
        DoublePredicate plausible = ohms -> !Double.isFinite(onSheet) || within(ohms, onSheet, RESISTOR_FAMILY);
        if (!plausible.test(entry.value())) {
            return Optional.of(
                    ask(entry, plausible, new MistakeFinding.ResistorFarFromSheet(now.shown(entry), onSheet)));
        }
        return ResistorInUse.contradicts(sheet, new Reading(0, entry, now.now()))
                ? Optional.of(Situation.ask(
                        entry, new MistakeFinding.SenseResistorIsAnother(now.shown(entry), onSheet), List.of()))
                : Optional.empty();
    }

    /** Higher than anything of the chart, or off by a factor of ten to what is expected, or of the other sign. */
    private Optional<Question> node(Entry entry) {
        double most = 1.6
                * sheet.chart().nodes().stream()
                        .flatMap(node -> node.expected().stream())
                        .mapToDouble(expected -> Math.max(Math.abs(expected.low()), Math.abs(expected.high())))
                        .max()
                        .orElse(MOST_PLATE_VOLTS / 2);
        double bound = Math.min(MOST_PLATE_VOLTS, Math.max(most, LEAST_PLATE_VOLTS));
        Optional<Expected.Window> window =
                sheet.chart().node(entry.target()).flatMap(ChartNode::expected).map(expected -> expected.at(1, 1));
        if (!(Math.abs(entry.value()) <= bound)) {
            DoublePredicate plausible = volts -> Math.abs(volts) <= bound
                    && window.map(each -> each.holds(volts)).orElse(true);
            return Optional.of(ask(entry, plausible, new MistakeFinding.NoNodeVolts(now.shown(entry))));
        }
        boolean slipped = window.filter(each -> !each.holds(entry.value()))
                .filter(each -> DoubleStream.concat(DoubleStream.of(-1), DoubleStream.of(FACTORS))
                        .anyMatch(factor -> entry.value() != 0 && each.holds(factor * entry.value())))
                .isPresent();
        return slipped
                ? Optional.of(ask(
                        entry,
                        window.get()::holds,
                        new MistakeFinding.NodeSlipped(
                                now.shown(entry), entry.target(), window.get().middle())))
                : Optional.empty();
    }

    private Optional<Question> bounds(Entry entry, DoublePredicate plausible, Function<String, MistakeFinding> asks) {
        return plausible.test(entry.value())
                ? Optional.empty()
                : Optional.of(ask(entry, plausible, asks.apply(now.shown(entry))));
    }

    private static boolean within(double value, double other, double factor) {
        return value > other / factor && value < other * factor;
    }

    private static Question ask(Entry entry, DoublePredicate plausible, MistakeFinding asks) {
        return new Question(
                entry,
                asks,
                Stream.concat(
                                Stream.of(-entry.value()),
                                DoubleStream.of(FACTORS).mapToObj(factor -> factor * entry.value()))
                        .filter(plausible::test)
                        .limit(2)
                        .map(value -> List.of(entry.slippedTo(value)))
                        .toList());
    }
}
