package yellowrail.core.idle;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Freshness;
import yellowrail.core.timeline.Occupant;
import yellowrail.core.timeline.Setting;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * The idle of every tube of an output stage: picks the readings that count for each socket, says what is missing,
 * computes, and judges each socket by the tube in it.
 */
public final class StageIdle {

    private final AmpSheet sheet;
    private final List<Occupant> occupants;
    private final List<Optional<Goal>> goals;
    private final int[] sharedBy;
    private final int[] beside;

    /**
     * @param sheet the amp
     * @param occupants the tubes in its sockets, in the order of the sheet
     */
    public StageIdle(AmpSheet sheet, List<Occupant> occupants) {
        this.sheet = sheet;
        this.occupants = List.copyOf(occupants);
        this.goals = occupants.stream()
                .map(each -> each.rating().map(rating -> new Goal(sheet, rating, isOfTheSheet(each))))
                .toList();
        this.sharedBy = occupants.stream()
                .mapToInt(each -> sheet.socketsAt(each.socket().testPoint()).size())
                .toArray();
        this.beside = occupants.stream()
                .mapToInt(each -> sheet.tubesBeside(each.socket()))
                .toArray();
    }

    /** The stage as a sheet alone tells it. */
    public static StageIdle of(AmpSheet sheet, TubeCatalogue catalogue) {
        Optional<TubeType> type = catalogue.find(sheet.tubeType());
        return new StageIdle(
                sheet,
                sheet.sockets().stream()
                        .map(socket -> new Occupant(
                                socket, sheet.tubeType(), type, type.map(sheet::rating), false, false, socket.label()))
                        .toList());
    }

    public static StageIdle of(Snapshot now) {
        return new StageIdle(now.sheet(), now.occupants());
    }

    private boolean isOfTheSheet(Occupant occupant) {
        return occupant.type().map(sheet::isOf).orElse(false);
    }

    public AmpSheet sheet() {
        return sheet;
    }

    public List<Occupant> occupants() {
        return occupants;
    }

    /** Where the tube in a socket should idle; empty where its type is not known. */
    public Optional<Goal> goal(int socket) {
        return goals.get(socket);
    }

    public Optional<TubeType> type(int socket) {
        return occupants.get(socket).type();
    }

    /** The goal of the tube that stands the least; empty where no type is known. */
    public Optional<Goal> weakest() {
        return goals.stream()
                .flatMap(Optional::stream)
                .min(Comparator.comparingDouble(goal -> goal.rating().plateWatts() * goal.mostRatio()));
    }

    public Optional<Rating> weakestRating() {
        return weakest().map(Goal::rating);
    }

    /** The type of the tubes where they are all of one; else of the first that is known. */
    public Optional<TubeType> mainType() {
        return occupants.stream().flatMap(each -> each.type().stream()).findFirst();
    }

    public boolean isOfOneType() {
        return occupants.stream().map(Occupant::name).distinct().count() == 1
                && occupants.stream().allMatch(each -> each.type().isPresent());
    }

    /** Every socket's idle as it stands now, with what has been overtaken since it was read. */
    public List<TubeIdle> at(Snapshot now) {
        return at(now.moment()).stream().map(tube -> judged(tube, now)).toList();
    }

    private TubeIdle judged(TubeIdle tube, Snapshot now) {
        String point = tube.socket().testPoint();
        if (tube.figures().isEmpty()) {
            List<IdleFinding> reasons = new ArrayList<>();
            if (tube.current().isEmpty()) {
                now.gone(point).ifPresent(why -> reasons.add(new IdleFinding.ReadAgain(point, why)));
            }
            if (tube.plate().isEmpty()) {
                now.gonePlates().ifPresent(why -> reasons.add(new IdleFinding.ReadAgain(Setting.PLATES, why)));
            }
            reasons.addAll(tube.judgement().notes());
            boolean gone = !reasons.equals(tube.judgement().notes());
            return tube.with(
                    gone
                            ? new Freshness(
                                    Freshness.Kind.OTHER_HARDWARE,
                                    now.gone(point).or(now::gonePlates))
                            : Freshness.FRESH,
                    tube.judgement().with(reasons));
        }
        Freshness current = tube.current().map(now::freshness).orElse(Freshness.FRESH);
        Freshness plate = tube.plate().map(now::freshness).orElse(Freshness.FRESH);
        Freshness worse = current.worse(plate);
        if (worse.isFresh()) {
            return tube;
        }
        List<IdleFinding> notes = new ArrayList<>();
        current.why().ifPresent(why -> notes.add(new IdleFinding.Stale(point, why)));
        if (current.isFresh()) {
            plate.why().ifPresent(why -> notes.add(new IdleFinding.Stale(Setting.PLATES, why)));
        }
        notes.addAll(tube.judgement().notes());
        return tube.with(worse, tube.judgement().with(notes));
    }

    /** Every socket's idle by the readings that count at a moment, in the order of the sheet. */
    public List<TubeIdle> at(Moment moment) {
        return IntStream.range(0, occupants.size())
                .mapToObj(i -> tube(i, moment))
                .toList();
    }

    /** Every socket's idle as plain numbers, in the order of the sheet; none for a tube that would not be judged. */
    public List<Optional<TubeValues>> valuesAt(Moment moment) {
        WarmUp warmUp = new WarmUp(moment, sheet.settleMinutes());
        return IntStream.range(0, occupants.size())
                .mapToObj(i -> values(i, moment, warmUp))
                .toList();
    }

    private Optional<TubeValues> values(int at, Moment moment, WarmUp warmUp) {
        Socket socket = occupants.get(at).socket();
        Optional<Reading> current = moment.current(socket.testPoint());
        Optional<Reading> plate = moment.last(ReadingKind.PLATE, socket.label(), socket.testPoint());
        if (current.isEmpty()
                || plate.isEmpty()
                || !missing(at, moment, current, plate).isEmpty()
                || warmUp.refusal(current.get())
                        .or(() -> warmUp.refusal(plate.get()))
                        .isPresent()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new TubeValues(
                    socket,
                    new IdleCalculation(problem(at, moment, current.get(), plate.get())).values(),
                    current.get(),
                    plate.get(),
                    false));
        } catch (ImpossibleReadingException e) {
            return Optional.empty();
        }
    }

    private TubeIdle tube(int at, Moment moment) {
        Occupant occupant = occupants.get(at);
        Socket socket = occupant.socket();
        Optional<Reading> current = moment.current(socket.testPoint());
        Optional<Reading> plate = moment.last(ReadingKind.PLATE, socket.label(), socket.testPoint());
        Optional<Reading> bias = moment.last(ReadingKind.BIAS, socket.label(), socket.testPoint());
        List<IdleFinding> missing = missing(at, moment, current, plate);
        if (!missing.isEmpty()) {
            return new TubeIdle(
                    occupant, Optional.empty(), Judgement.notJudged(missing), current, plate, bias, Freshness.FRESH);
        }
        try {
            IdleFigures figures = new IdleCalculation(problem(at, moment, current.get(), plate.get())).compute();
            return new TubeIdle(
                    occupant,
                    Optional.of(figures),
                    judgement(at, moment, figures, current.get(), plate.get()),
                    current,
                    plate,
                    bias,
                    Freshness.FRESH);
        } catch (ImpossibleReadingException e) {
            return new TubeIdle(
                    occupant,
                    Optional.empty(),
                    Judgement.notJudged(List.of(new IdleFinding.Contradiction(e.finding()))),
                    current,
                    plate,
                    bias,
                    Freshness.FRESH);
        }
    }

    private Judgement judgement(int at, Moment moment, IdleFigures figures, Reading current, Reading plate) {
        WarmUp warmUp = new WarmUp(moment, sheet.settleMinutes());
        Optional<IdleFinding> refusal = warmUp.refusal(current).or(() -> warmUp.refusal(plate));
        if (refusal.isPresent()) {
            return Judgement.notJudged(List.of(refusal.get()));
        }
        Goal goal = goals.get(at).orElseThrow();
        Socket socket = occupants.get(at).socket();
        Judgement judged =
                new Judge(goal, accepted(at)).judge(figures, warmUp.isEarly(current) || warmUp.isEarly(plate));
        Caveats caveats = new Caveats(sheet, type(at).orElseThrow());
        boolean byShare = goal.window().school().basis() == School.Basis.PERCENT;
        List<IdleFinding> notes = new ArrayList<>(judged.limits().findings());
        notes.addAll(caveats.hidden(
                socket,
                Optional.of(judged.ratio()),
                judged.verdict() == Verdict.IN_WINDOW
                        ? Optional.of(byShare ? goal.window().high() : 1.0)
                        : Optional.empty()));
        judged.notes().stream().filter(note -> !notes.contains(note)).forEach(notes::add);
        screenUnusable(socket, moment).ifPresent(notes::add);
        bias(socket, moment).ifPresent(notes::add);
        warmUp.note(current, plate).ifPresent(notes::add);
        notes.addAll(caveats.circumstances(moment, current, plate));
        return judged.with(notes);
    }

    /** What the sheet takes on is taken on for its own type. */
    private Accepted accepted(int at) {
        return isOfTheSheet(occupants.get(at)) ? sheet.accepted() : Accepted.NONE;
    }

    private List<IdleFinding> missing(int at, Moment moment, Optional<Reading> current, Optional<Reading> plate) {
        Occupant occupant = occupants.get(at);
        Socket socket = occupant.socket();
        List<IdleFinding> missing = new ArrayList<>();
        if (occupant.type().isEmpty()) {
            missing.add(new IdleFinding.UnknownType(socket.label(), occupant.name()));
        }
        if (current.isEmpty()) {
            missing.add(new IdleFinding.NoCurrent(
                    socket.testPoint(), sheet.current().shows()));
        } else if (current.get().kind() == ReadingKind.SENSE_VOLTS
                && ResistorInUse.with(sheet, moment.last(ReadingKind.RESISTOR_COLD, socket.testPoint(), socket.label()))
                        .ohms()
                        .isEmpty()) {
            missing.add(new IdleFinding.NoOhms(socket.testPoint()));
        }
        if (plate.isEmpty()) {
            missing.add(
                    moment.last(ReadingKind.PLATE_UNLOADED, socket.label()).isPresent()
                            ? new IdleFinding.PlatesUnloaded()
                            : new IdleFinding.NoPlates());
        }
        if (needsCathodeVolts(current) && cathodeVolts(socket, moment).isEmpty()) {
            missing.add(new IdleFinding.NoCathodeVolts());
        }
        if (sheet.plate().point() == PlateSense.Point.B_PLUS
                && sheet.plate().halfPrimaryOhms().isEmpty()
                && sheet.current().method() != CurrentMethod.HALF_PRIMARY) {
            missing.add(new IdleFinding.NoHalfPrimary());
        }
        if (sheet.screen().way() == ScreenSense.Way.MEASURED
                && screenAmps(socket, moment).isEmpty()) {
            missing.add(new IdleFinding.NoScreenCurrent(socket.label()));
        }
        return missing;
    }

    /** With cathode bias the cathode stands well above ground; only the volts across its resistor tell by how much. */
    private boolean needsCathodeVolts(Optional<Reading> current) {
        boolean told = sheet.current().method() == CurrentMethod.CATHODE_RESISTOR
                && current.map(reading -> reading.kind() == ReadingKind.SENSE_VOLTS)
                        .orElse(true);
        return sheet.bias().isCathode() && !told && sheet.plate().reference() == PlateSense.Reference.GROUND;
    }

    private IdleProblem problem(int at, Moment moment, Reading current, Reading plate) {
        Socket socket = occupants.get(at).socket();
        boolean volts = current.kind() == ReadingKind.SENSE_VOLTS;
        Optional<ScreenReading> measured =
                sheet.screen().way() == ScreenSense.Way.MEASURED ? screenAmps(socket, moment) : Optional.empty();
        boolean read = sheet.current().method() == CurrentMethod.CATHODE_RESISTOR && volts;
        return new IdleProblem(
                ResistorInUse.with(sheet, moment.last(ReadingKind.RESISTOR_COLD, socket.testPoint(), socket.label())),
                current.value(),
                volts,
                sharedBy[at],
                sheet.plate(),
                plate.value(),
                beside[at],
                read ? OptionalDouble.empty() : cathodeVolts(socket, moment),
                sheet.screen().way(),
                type(at).orElseThrow().screenShare(),
                type(at).orElseThrow().screenSpread(),
                measured.map(screen -> OptionalDouble.of(screen.amps())).orElse(OptionalDouble.empty()),
                measured.map(ScreenReading::plusMinus).orElse(0.0),
                screenVolts(socket, moment, plate),
                sheet.meter(),
                plate.entry().lastDigit(),
                current.entry().lastDigit());
    }

    /** As read; ultralinear and triode-connected screens idle at the plate's voltage. */
    private OptionalDouble screenVolts(Socket socket, Moment moment, Reading plate) {
        OptionalDouble read = value(moment.last(ReadingKind.SCREEN_VOLTS, socket.label(), socket.testPoint())
                .filter(LastRead::isScreen));
        return read.isEmpty() && sheet.screen().connection() != ScreenSense.Connection.PENTODE
                ? OptionalDouble.of(plate.value())
                : read;
    }

    private static Optional<IdleFinding> screenUnusable(Socket socket, Moment moment) {
        return LastRead.unusable(moment.last(ReadingKind.SCREEN_VOLTS, socket.label(), socket.testPoint()));
    }

    private Optional<IdleFinding> bias(Socket socket, Moment moment) {
        Optional<Reading> atTheGrid = moment.at(ReadingKind.BIAS, socket.label());
        if (atTheGrid.isEmpty() || sheet.bias().isCathode()) {
            return Optional.empty();
        }
        OptionalDouble leak = sheet.fittings().gridLeakOhms();
        return Optional.of(
                leak.isPresent()
                        ? new IdleFinding.BiasReadsLow(
                                atTheGrid.get().value(),
                                GridRead.behind(atTheGrid.get().value(), leak.getAsDouble()),
                                leak.getAsDouble())
                        : new IdleFinding.BiasMayReadLow());
    }

    private static OptionalDouble cathodeVolts(Socket socket, Moment moment) {
        return value(moment.last(ReadingKind.CATHODE_VOLTS, socket.label(), socket.testPoint()));
    }

    /** A screen current in A with its half width. */
    private record ScreenReading(double amps, double plusMinus) {}

    private Optional<ScreenReading> screenAmps(Socket socket, Moment moment) {
        var meter = sheet.meter();
        Optional<Reading> direct = moment.last(ReadingKind.SCREEN_AMPS, socket.label());
        Optional<Reading> drop = sheet.screen().stopperOhms().isEmpty()
                ? Optional.empty()
                : moment.last(ReadingKind.SCREEN_DROP, socket.label());
        Optional<Reading> newest =
                Stream.concat(direct.stream(), drop.stream()).max(Comparator.comparingLong(Reading::id));
        return newest.map(reading -> {
            if (reading.kind() == ReadingKind.SCREEN_AMPS) {
                return new ScreenReading(reading.value(), reading.value() * meter.ofReading() + meter.digits() * 1e-4);
            }
            double amps = reading.value() / sheet.screen().stopperOhms().getAsDouble();
            return new ScreenReading(
                    amps, Math.abs(amps) * Math.hypot(ScreenSense.STOPPER_TOLERANCE, meter.ofReading()));
        });
    }

    private static OptionalDouble value(Optional<Reading> reading) {
        return reading.map(found -> OptionalDouble.of(found.value())).orElse(OptionalDouble.empty());
    }
}
