package yellowrail.core.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;

/**
 * The idle of every tube of an output stage at a moment of the log: picks the readings that count for each socket,
 * says what is missing, computes and judges.
 */
public final class StageIdle {

    private final AmpSheet sheet;
    private final TubeType type;
    private final Rating rating;
    private final Judge judge;

    /**
     * @param sheet the amp
     * @param type  the tube type in its sockets
     */
    public StageIdle(AmpSheet sheet, TubeType type) {
        this.sheet = sheet;
        this.type = type;
        this.rating = sheet.rating(type);
        this.judge = new Judge(rating, sheet.target());
    }

    public AmpSheet sheet() {
        return sheet;
    }

    public TubeType type() {
        return type;
    }

    public Rating rating() {
        return rating;
    }

    /** Every socket's idle, in the order of the sheet. */
    public List<TubeIdle> at(Moment moment) {
        return sheet.sockets().stream().map(socket -> tube(socket, moment)).toList();
    }

    /** Every socket's idle as plain numbers, in the order of the sheet; none for a tube that would not be judged. */
    public List<Optional<TubeValues>> valuesAt(Moment moment) {
        return sheet.sockets().stream().map(socket -> values(socket, moment)).toList();
    }

    private Optional<TubeValues> values(Socket socket, Moment moment) {
        Optional<Reading> current = moment.at(senseKind(), socket.testPoint());
        Optional<Reading> plate = moment.last(ReadingKind.PLATE, socket.label(), socket.testPoint());
        if (!missing(socket, moment, current, plate).isEmpty()) {
            return Optional.empty();
        }
        WarmUp warmUp = new WarmUp(moment, sheet.settleMinutes());
        if (warmUp.refusal(current.get()).or(() -> warmUp.refusal(plate.get())).isPresent()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new TubeValues(socket, new IdleCalculation(problem(socket, moment, current.get(), plate.get())).values(),
                    current.get(), plate.get()));
        } catch (ImpossibleReadingException e) {
            return Optional.empty();
        }
    }

    private TubeIdle tube(Socket socket, Moment moment) {
        Optional<Reading> current = moment.at(senseKind(), socket.testPoint());
        Optional<Reading> plate = moment.last(ReadingKind.PLATE, socket.label(), socket.testPoint());
        Optional<Reading> bias = moment.last(ReadingKind.BIAS, socket.label(), socket.testPoint());
        List<String> missing = missing(socket, moment, current, plate);
        if (!missing.isEmpty()) {
            return new TubeIdle(socket, Optional.empty(), Judgement.notJudged(missing), current, plate, bias);
        }
        try {
            IdleFigures figures = new IdleCalculation(problem(socket, moment, current.get(), plate.get())).compute();
            return new TubeIdle(socket, Optional.of(figures), judgement(socket, moment, figures, current.get(), plate.get()),
                    current, plate, bias);
        } catch (ImpossibleReadingException e) {
            return new TubeIdle(socket, Optional.empty(), Judgement.notJudged(List.of("The readings contradict one another: "
                    + e.getMessage() + ".")), current, plate, bias);
        }
    }

    private Judgement judgement(Socket socket, Moment moment, IdleFigures figures, Reading current, Reading plate) {
        WarmUp warmUp = new WarmUp(moment, sheet.settleMinutes());
        Optional<String> refusal = warmUp.refusal(current).or(() -> warmUp.refusal(plate));
        if (refusal.isPresent()) {
            return Judgement.notJudged(List.of(refusal.get()));
        }
        Judgement judged = judge.judge(figures, warmUp.isEarly(current) || warmUp.isEarly(plate));
        Caveats caveats = new Caveats(sheet, type);
        List<String> notes = new ArrayList<>(caveats.hidden(socket));
        notes.addAll(judged.notes());
        warmUp.note(current, plate).ifPresent(notes::add);
        notes.addAll(caveats.circumstances(moment, current, plate));
        return new Judgement(judged.verdict(), judged.early(), judged.ratio(), notes);
    }

    private List<String> missing(Socket socket, Moment moment, Optional<Reading> current, Optional<Reading> plate) {
        List<String> missing = new ArrayList<>();
        if (current.isEmpty()) {
            missing.add("No current read at %s yet: type %s and what the meter shows in %s.".formatted(
                    socket.testPoint(), socket.testPoint(), sheet.current().shows()));
        } else if (senseKind() == ReadingKind.SENSE_VOLTS && ohms(socket, moment).isEmpty()) {
            missing.add("The resistance at %s is not known: put it on the amp sheet.".formatted(socket.testPoint()));
        }
        if (plate.isEmpty()) {
            boolean unloaded = moment.last(ReadingKind.PLATE_UNLOADED, socket.label()).isPresent();
            missing.add(unloaded
                    ? "The plate voltage was taken unloaded, with the tubes pulled. Read it again with the tubes conducting: type plate and the volts."
                    : "No plate voltage read yet: type plate and the volts.");
        }
        if (needsCathodeVolts() && cathodeVolts(socket, moment).isEmpty()) {
            missing.add("Plate voltage is read to ground and the cathode stands above it: read the cathode, type vk and the volts.");
        }
        if (sheet.plate().point() == PlateSense.Point.B_PLUS && sheet.plate().halfPrimaryOhms().isEmpty()
                && sheet.current().method() != CurrentMethod.HALF_PRIMARY) {
            missing.add("Plate voltage is read at B+, and the half-primary resistance is not on the amp sheet.");
        }
        if (sheet.screen().way() == ScreenSense.Way.MEASURED && screenAmps(socket, moment).isEmpty()) {
            missing.add("Screen current is to be measured and has not been: type %s ig2 and the milliamps.".formatted(socket.label()));
        }
        return missing;
    }

    /** With cathode bias the cathode stands well above ground; only the cathode resistor itself tells by how much. */
    private boolean needsCathodeVolts() {
        return sheet.bias().isCathode() && sheet.current().method() != CurrentMethod.CATHODE_RESISTOR
                && sheet.plate().reference() == PlateSense.Reference.GROUND;
    }

    private IdleProblem problem(Socket socket, Moment moment, Reading current, Reading plate) {
        Optional<ScreenReading> measured = sheet.screen().way() == ScreenSense.Way.MEASURED
                ? screenAmps(socket, moment) : Optional.empty();
        OptionalDouble screenVolts = value(moment.last(ReadingKind.SCREEN_VOLTS, socket.label(), socket.testPoint()));
        if (sheet.screen().connection() == ScreenSense.Connection.TRIODE && screenVolts.isEmpty()) {
            screenVolts = OptionalDouble.of(plate.value());
        }
        return new IdleProblem(sense(socket, moment), current.value(), senseKind() == ReadingKind.SENSE_VOLTS,
                sheet.socketsAt(socket.testPoint()).size(), sheet.plate(), plate.value(), sheet.tubesBeside(socket),
                sheet.current().method() == CurrentMethod.CATHODE_RESISTOR ? OptionalDouble.empty() : cathodeVolts(socket, moment),
                sheet.screen().way(), type.screenShare(),
                measured.map(screen -> OptionalDouble.of(screen.amps())).orElse(OptionalDouble.empty()), measured.map(ScreenReading::plusMinus).orElse(0.0),
                screenVolts, sheet.meter());
    }

    private ReadingKind senseKind() {
        return sheet.current().shows().dimension() == Unit.Dimension.VOLTAGE ? ReadingKind.SENSE_VOLTS : ReadingKind.SENSE_AMPS;
    }

    /** The sheet's resistance, or the one measured with the power off, which is as good as the meter. */
    private CurrentSense sense(Socket socket, Moment moment) {
        CurrentSense onSheet = sheet.current();
        return moment.last(ReadingKind.RESISTOR_COLD, socket.testPoint(), socket.label())
                .map(measured -> new CurrentSense(onSheet.method(), OptionalDouble.of(measured.value()), sheet.meter().ofReading(),
                        onSheet.shows(), onSheet.copperCold(), onSheet.copperHot(), onSheet.otherAmps()))
                .orElse(onSheet);
    }

    private OptionalDouble ohms(Socket socket, Moment moment) {
        return sense(socket, moment).ohms();
    }

    private static OptionalDouble cathodeVolts(Socket socket, Moment moment) {
        return value(moment.last(ReadingKind.CATHODE_VOLTS, socket.label(), socket.testPoint()));
    }

    /** A screen current in A with its half width. */
    private record ScreenReading(double amps, double plusMinus) {
    }

    private Optional<ScreenReading> screenAmps(Socket socket, Moment moment) {
        MeterAccuracy meter = sheet.meter();
        Optional<Reading> direct = moment.last(ReadingKind.SCREEN_AMPS, socket.label());
        Optional<Reading> drop = sheet.screen().stopperOhms().isEmpty() ? Optional.empty()
                : moment.last(ReadingKind.SCREEN_DROP, socket.label());
        if (drop.isPresent() && (direct.isEmpty() || direct.get().id() < drop.get().id())) {
            double amps = drop.get().value() / sheet.screen().stopperOhms().getAsDouble();
            return Optional.of(new ScreenReading(amps, amps * Math.hypot(ScreenSense.STOPPER_TOLERANCE, meter.ofReading())));
        }
        return direct.map(reading -> new ScreenReading(reading.value(), reading.value() * meter.ofReading() + meter.digits() * 1e-4));
    }

    private static OptionalDouble value(Optional<Reading> reading) {
        return reading.map(found -> OptionalDouble.of(found.value())).orElse(OptionalDouble.empty());
    }
}
