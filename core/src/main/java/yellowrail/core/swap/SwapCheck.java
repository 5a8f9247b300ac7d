package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** Asks everything that decides whether one tube type can take the place of another in an amp. */
public final class SwapCheck {

    /** The mains at its highest, over the set one. */
    public static final double HIGH_MAINS = 1.10;

    private final SwapAmp amp;
    private final TubeType in;
    private final StageInAmp stage;

    /** @param in the type that is in, with the rating it is judged by as the customary one */
    public SwapCheck(SwapAmp amp, TubeType in) {
        this.amp = amp;
        this.in = in;
        this.stage = new StageInAmp(amp);
    }

    public SwapReport of(TubeType wants) {
        SupplyQuestions supply = new SupplyQuestions(amp, in, wants);
        LimitQuestions limits = new LimitQuestions(amp, wants);
        BiasQuestions bias = new BiasQuestions(amp, in, wants);
        FitQuestions fit = new FitQuestions(amp, in, wants);
        CurrentPath path = path(wants);
        OwnFigures own = OwnFigures.of(amp, wants, path);
        List<Line> lines = new ArrayList<>(List.of(
                new StandsQuestion(amp, stage, in, wants).answer(),
                new PinQuestions(in, wants, amp.fittings()).base(),
                supply.heaterVolts(),
                supply.heaterBudget(),
                limits.plate(),
                limits.screen(),
                limits.cathodeCurrent(),
                limits.dissipation(own.areTooMuch()),
                bias.gridVolts()));
        bias.cathodeResistor(own.areTooMuch()).ifPresent(lines::add);
        lines.addAll(List.of(bias.gridLeak(), bias.drive(), fit.load(), supply.railCurrent(path, own)));
        supply.outputCurrent(path, own).ifPresent(lines::add);
        lines.add(fit.bulb());
        fit.familySwitch().ifPresent(lines::add);
        lines.add(new PowerQuestion(amp, stage, in, wants).answer());
        return new SwapReport(in.name(), wants.name(), amp.bias() == BiasKind.FIXED_ADJUSTABLE, lines, setTo(wants));
    }

    private Optional<SwapFinding> setTo(TubeType wants) {
        return amp.bias() == BiasKind.FIXED_ADJUSTABLE && amp.plateVolts().isPresent()
                ? Optional.of(amp.each(amp.aim(wants, amp.plateVolts().getAsDouble())))
                : Optional.empty();
    }

    /** Where the current goes, and what another type asks on the way. */
    public CurrentPath path(TubeType wants) {
        return CurrentPath.of(amp, in, wants, stage);
    }

    /** Every type of a catalogue: those that fit first, then those that too little is known of. */
    public List<SwapReport> all(TubeCatalogue catalogue) {
        return catalogue.types().stream()
                .filter(type -> !type.name().equals(in.name()))
                .map(this::of)
                .sorted(Comparator.comparing(SwapReport::verdict)
                        .thenComparing(report -> report.questions(Outcome.STOP).size())
                        .thenComparing(
                                report -> report.questions(Outcome.UNKNOWN).size())
                        .thenComparing(
                                report -> report.questions(Outcome.CHANGE).size()))
                .toList();
    }
}
