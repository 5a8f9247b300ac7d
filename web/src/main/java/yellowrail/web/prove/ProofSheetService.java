package yellowrail.web.prove;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.chart.Point;
import yellowrail.core.proof.ByHand;
import yellowrail.core.proof.ComputedPower;
import yellowrail.core.proof.HumHunt;
import yellowrail.core.proof.Measured;
import yellowrail.core.proof.ProofArithmetic;
import yellowrail.core.proof.ProofConditions;
import yellowrail.core.proof.ProofFinding;
import yellowrail.core.proof.ProofGrid;
import yellowrail.core.proof.ProofKind;
import yellowrail.core.proof.ProofSettings;
import yellowrail.core.proof.ProofSettings.Proven;
import yellowrail.core.proof.SideBySide;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.supply.KnownLine;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.tone.CardScale;
import yellowrail.web.prove.ProveService.Kept;
import yellowrail.web.prove.SheetView.Cell;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunPast;
import yellowrail.web.run.RunService;
import yellowrail.web.words.Words;

/** Puts together what of a run's amp is proven, setting beside setting. */
@Service
public class ProofSheetService {

    /** Columns that a table holds; the newest are shown. */
    private static final int MOST_SETTINGS = 6;

    private final RunService runs;
    private final Words words;
    private final ProofWords proofWords;
    private final Clock clock;

    ProofSheetService(RunService runs, Words words, Clock clock) {
        this.runs = runs;
        this.words = words;
        this.proofWords = new ProofWords(words);
        this.clock = clock;
    }

    /** A setting, and the amp while it was measured. */
    private record Then(Proven proven, ProofConditions conditions, Optional<ComputedPower> computed) {}

    /** @param kept the recordings of the run */
    @Transactional(readOnly = true)
    SheetView of(Run run, List<Kept> kept) {
        RunPast past = runs.past(run);
        List<ByHand> typed = ByHand.all(past.readings());
        Optional<CardScale> card = ProveService.scale(kept);
        ProofSettings parted = new ProofSettings(past.timeline(), past.readings());
        List<Proven> settings = parted.of(typed, HeardFigures.of(kept, card));
        double sag = KnownLine.measuredOhms(past.timeline()).orElse(0);
        List<Then> shown = settings.stream()
                .skip(Math.max(0, settings.size() - MOST_SETTINGS))
                .map(proven -> then(proven, past.after(proven.last()), sag))
                .toList();
        List<SideBySide.Row> rows = SideBySide.of(shown.stream()
                .map(each -> new SideBySide.Column(
                        each.proven().figures(), each.conditions().mains()))
                .toList());
        return new SheetView(
                shown.stream().map(this::setting).toList(),
                rows(rows, shown),
                newest(shown).flatMap(HumHunt::of).map(words::say).orElse(""),
                run.isOpen() || newest(shown).isPresent()
                        ? Optional.of(GridView.of(ProofGrid.of(here(run, parted, shown)), run, proofWords, words))
                        : Optional.empty(),
                new ProofCurves(
                                words,
                                card,
                                recording -> idle(
                                        shown, parted.numberAt(recording.at().toInstant())))
                        .of(
                                kept,
                                shown.stream().flatMap(this::curve).toList(),
                                shown.stream().flatMap(ProofSheetService::power).toList()),
                new TypedLines(words, clock).newest(typed));
    }

    /** What was measured as the amp is set now; of a closed run, as it was set last. */
    private List<Measured> here(Run run, ProofSettings parted, List<Then> shown) {
        int number = parted.numberAt(OffsetDateTime.now(run.clock(clock)).toInstant());
        return shown.stream()
                .filter(each -> !run.isOpen() || each.proven().number() == number)
                .map(each -> each.proven().figures())
                .reduce((one, later) -> later)
                .orElse(List.of());
    }

    private static Optional<List<Measured>> newest(List<Then> shown) {
        return shown.stream().map(each -> each.proven().figures()).reduce((one, later) -> later);
    }

    private static Then then(Proven proven, Snapshot then, double sag) {
        return new Then(
                proven, ProofConditions.of(then), proven.fullPower().flatMap(full -> ComputedPower.of(then, sag)));
    }

    private SheetView.Setting setting(Then each) {
        ProofConditions conditions = each.conditions();
        List<String> told = new ArrayList<>();
        conditions.plateVolts().ifPresent(volts -> told.add(words.message("page.prove.plates", Figures.volts(volts))));
        told.add(String.join(", ", conditions.tubes()));
        told.add(words.message("page.prove.rectifier", words.name(conditions.rectifier())));
        told.add(
                conditions.mains().isPresent()
                        ? words.message(
                                "page.prove.mains",
                                Figures.volts(conditions.mains().getAsDouble()))
                        : words.message("page.prove.mains-not-read"));
        return new SheetView.Setting(
                conditions
                        .idle()
                        .map(amps -> Figures.estimate(amps, Unit.MILLIAMP))
                        .orElseGet(() -> words.message("page.prove.idle-not-read")),
                String.join(" \u00b7 ", told),
                time(each.proven().from()));
    }

    private List<SheetView.Row> rows(List<SideBySide.Row> compared, List<Then> shown) {
        List<SheetView.Row> rows = new ArrayList<>();
        for (SideBySide.Row row : compared) {
            rows.add(new SheetView.Row(
                    proofWords.question(row.kind(), row.at()),
                    IntStream.range(0, shown.size())
                            .mapToObj(i -> row.cells()
                                    .get(i)
                                    .map(cell -> cell(row.kind(), cell, shown.get(i)))
                                    .orElse(Cell.NONE))
                            .toList()));
        }
        if (shown.stream().anyMatch(each -> each.computed().isPresent())) {
            rows.add(new SheetView.Row(
                    words.message("page.prove.computed"),
                    shown.stream().map(this::computed).toList()));
        }
        if (shown.stream().anyMatch(each -> ofIdleInput(each).isPresent())) {
            rows.add(new SheetView.Row(
                    words.message("page.prove.of-idle-input"),
                    shown.stream()
                            .map(ProofSheetService::ofIdleInput)
                            .map(ratio -> ratio.isPresent()
                                    ? new Cell(Figures.percent(ratio.getAsDouble()), "", "")
                                    : Cell.NONE)
                            .toList()));
        }
        return rows;
    }

    private Cell cell(ProofKind kind, SideBySide.Cell cell, Then then) {
        String value = proofWords.answer(kind, cell.mean(), cell.plusMinus());
        String repeats = cell.repeats() > 1 ? " " + words.message("page.prove.repeats", cell.repeats()) : "";
        return new Cell(
                value + repeats + below(kind, cell.mean(), then.proven()),
                cell.says().map(words::say).orElse(""),
                cell.says().map(ProofSheetService::look).orElse(""));
    }

    private static String look(ProofFinding says) {
        return says instanceof ProofFinding.Differs ? "differs" : "";
    }

    /** What disturbs below full power, where both were measured across one load. */
    private String below(ProofKind kind, double volts, Proven proven) {
        return proven.fullPower()
                .filter(full -> kind.isDisturbance() && full.at().loadOhms().isPresent())
                .map(full -> " \u00b7 " + below(volts, full))
                .orElse("");
    }

    private String below(double volts, Measured full) {
        double fullVolts = Math.sqrt(full.value().value() * full.at().loadOhms().getAsDouble());
        return words.message(
                "page.prove.below-full", Figures.fixed(ProofArithmetic.decibelsBelow(volts, fullVolts), 1));
    }

    private Cell computed(Then each) {
        return each.computed()
                .map(power -> {
                    ProofFinding says =
                            power.beside(each.proven().fullPower().orElseThrow().value());
                    List<String> told = new ArrayList<>(List.of(words.say(says)));
                    harmonics(each, power).ifPresent(told::add);
                    if (!power.assumed().isEmpty()) {
                        told.add(words.message("page.prove.assumed", String.join(", ", words.say(power.assumed()))));
                    }
                    return new Cell(
                            ProofWords.figure(
                                    power.watts().value(), power.watts().plusMinus(), Unit.WATT),
                            String.join(" ", told),
                            says instanceof ProofFinding.AsComputed ? "" : "differs");
                })
                .orElse(Cell.NONE);
    }

    /** What leads of the first harmonics against the load line, where it was recorded step by step. */
    private Optional<String> harmonics(Then each, ComputedPower power) {
        return each.proven()
                .newest(ProofKind.SECOND)
                .flatMap(second -> each.proven()
                        .newest(ProofKind.THIRD)
                        .map(third -> power.beside(
                                second.value().value(), third.value().value())))
                .map(words::say);
    }

    /** Of the setting with that number, in short; blank where it was not read. */
    private static String idle(List<Then> shown, int number) {
        return shown.stream()
                .filter(each -> each.proven().number() == number)
                .flatMap(each -> each.conditions().idle().stream())
                .map(idle -> Figures.fixed(Unit.MILLIAMP.fromSi(idle.value()), 1) + " mA")
                .findFirst()
                .orElse("");
    }

    /** What the load line has for the idle of a setting, as it is drawn. */
    private Stream<CurvesView.Drawn> curve(Then each) {
        return each.computed().stream()
                .filter(power -> !power.rising().isEmpty())
                .map(power -> new CurvesView.Drawn(
                        words.message(
                                "page.prove.computed-of",
                                idle(List.of(each), each.proven().number())),
                        true,
                        power.rising().stream()
                                .map(point -> new Point(point.level(), point.value()))
                                .toList()));
    }

    /** Full power of a setting against the tone, where it was measured at more than one. */
    private static Stream<CurvesView.Drawn> power(Then each) {
        TreeMap<Double, Double> watts = new TreeMap<>();
        each.proven().figures().stream()
                .filter(figure -> figure.kind() == ProofKind.FULL_POWER
                        && figure.at().hertz().isPresent())
                .forEach(figure -> watts.put(
                        figure.at().hertz().getAsDouble(), figure.value().value()));
        return watts.size() < 2
                ? Stream.empty()
                : Stream.of(new CurvesView.Drawn(
                        idle(List.of(each), each.proven().number()),
                        false,
                        watts.entrySet().stream()
                                .map(point -> new Point(point.getKey(), point.getValue()))
                                .toList()));
    }

    private static OptionalDouble ofIdleInput(Then each) {
        return each.proven()
                .fullPower()
                .map(full -> each.conditions().ofInput(full.value().value()))
                .orElse(OptionalDouble.empty());
    }

    private String time(Instant at) {
        return TypedLines.TIME.format(at.atZone(clock.getZone()));
    }
}
