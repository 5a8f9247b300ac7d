package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.BulbSize;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.PublishedOperation;
import yellowrail.core.tube.model.TubeModels;

/** Room for the bulb, the load, the switch. */
final class FitQuestions {

    /** A load so far off the published ones is still a working one. */
    private static final double LOAD_SPREAD = 1.3;

    private final SwapAmp amp;
    private final TubeType in;
    private final TubeType wants;

    /** The loads a type works into, from the lightest tolerable to the heaviest, ohm. */
    private record Range(double least, double most) {}

    FitQuestions(SwapAmp amp, TubeType in, TubeType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
    }

    Line bulb() {
        Fittings room = amp.fittings();
        Optional<BulbSize> bulb = wants.bulb();
        if (bulb.isEmpty() || room.heightMm().isEmpty() && room.widthMm().isEmpty()) {
            boolean smaller =
                    bulb.isPresent() && in.bulb().filter(bulb.get()::fitsWhere).isPresent();
            return Line.of(
                            SwapQuestion.BULB,
                            smaller ? Outcome.HOLDS : Outcome.UNKNOWN,
                            smaller
                                    ? new FitFinding.NoLarger(size(bulb), in.name())
                                    : new FitFinding.MeasureRoom(size(bulb), size(in.bulb()), in.name()))
                    .from(new FitFinding.BulbSource());
        }
        List<FitFinding> small = new ArrayList<>();
        room.heightMm().ifPresent(most -> {
            double beyond = bulb.get().height() - Unit.MILLIMETRE.toSi(most);
            if (beyond > 0) {
                small.add(new FitFinding.TooHigh(beyond));
            }
        });
        room.widthMm().ifPresent(most -> {
            double beyond = bulb.get().width() - Unit.MILLIMETRE.toSi(most);
            if (beyond > 0) {
                small.add(new FitFinding.TooWide(beyond));
            }
        });
        return Line.of(
                        SwapQuestion.BULB,
                        small.isEmpty() ? Outcome.HOLDS : Outcome.STOP,
                        small.isEmpty()
                                ? new FitFinding.BulbFits(size(bulb))
                                : new FitFinding.BulbTooLarge(size(bulb), small))
                .by(new FitFinding.LeaveAir())
                .from(new FitFinding.BulbSource());
    }

    private static FitFinding size(Optional<BulbSize> bulb) {
        return bulb.<FitFinding>map(size -> new FitFinding.Size(size.height(), size.width()))
                .orElseGet(FitFinding.SizeUnknown::new);
    }

    /** By the published operations of a type; empty where none is published. */
    private Optional<Range> loads(TubeType type) {
        boolean pushPull = amp.topology() == Topology.PUSH_PULL;
        double[] loads = TubeModels.published().operations(type, pushPull).stream()
                .mapToDouble(PublishedOperation::loadOhms)
                .sorted()
                .toArray();
        int pairs = amp.tubesPerSide();
        return loads.length == 0
                ? Optional.empty()
                : Optional.of(new Range(loads[0] / LOAD_SPREAD / pairs, loads[loads.length - 1] * LOAD_SPREAD / pairs));
    }

    Line load() {
        Optional<Range> range = loads(wants);
        Optional<FitFinding> before =
                loads(in).map(found -> new FitFinding.LoadBefore(in.name(), found.least(), found.most()));
        return answer(range, before).from(new FitFinding.LoadSource());
    }

    private Line answer(Optional<Range> range, Optional<FitFinding> before) {
        if (range.isEmpty()) {
            return Line.of(SwapQuestion.LOAD, Outcome.UNKNOWN, new FitFinding.NoLoadPublished(wants.name(), before));
        }
        FitFinding loads = new FitFinding.Loads(
                wants.name(), range.get().least(), range.get().most());
        if (amp.fittings().loadOhms().isEmpty()) {
            return Line.of(SwapQuestion.LOAD, Outcome.UNKNOWN, new FitFinding.LoadNotOnSheet(loads, before));
        }
        double load = amp.fittings().loadOhms().getAsDouble();
        boolean within = load >= range.get().least() && load <= range.get().most();
        return Line.of(
                SwapQuestion.LOAD,
                within ? Outcome.HOLDS : Outcome.CHANGE,
                within
                        ? new FitFinding.LoadSuits(load, loads, before)
                        : new FitFinding.LoadSuitsNot(load, loads, before));
    }

    Optional<Line> familySwitch() {
        String positions = amp.fittings().familySwitch();
        return positions.isBlank() || in.name().equals(wants.name())
                ? Optional.empty()
                : Optional.of(Line.of(
                                SwapQuestion.FAMILY_SWITCH,
                                Outcome.CHANGE,
                                new FitFinding.SwitchTo(wants.name(), positions))
                        .from(new SwapFinding.AmpSheetSource()));
    }
}
