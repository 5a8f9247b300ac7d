package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.School;
import yellowrail.core.balance.SwingTest;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.ReadingSets;
import yellowrail.core.supply.SupplyLine;

/** Tells a move in the units of the builder's own meter and pot. */
final class MoveWords {

    private static final double MATCHED = FixedBiasMove.MATCHED;

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final ReadingSet newest;
    private final SupplyLine line;
    private final Mains mains;
    private final Optional<NextMove.Check> check;

    MoveWords(StageIdle stage, ReadingSet newest, SupplyLine line, Mains mains, Optional<NextMove.Check> check) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.newest = newest;
        this.line = line;
        this.mains = mains;
        this.check = check;
    }

    String stay() {
        return newest.tubes().size() == 1 ? "Set: %s is in its window. Let it soak, then read again.".formatted(sheet.sockets().get(0).label())
                : "Set: every tube is in its window. Let it soak, then read again.";
    }

    /** {@code Turn RANGE clockwise until V1 reads 44.2 mV; expect the plates at 442.7 V.} */
    String turn(List<NextMove.Step> steps, Landing landing) {
        String turns = steps.stream().map(step -> "%s%s until %s reads %s%s".formatted(step.pot().map(Pot::name).orElse("the bias"), way(step),
                step.mark().testPoint(), shown(step.mark().to()), step.against().map(other -> " and %s %s".formatted(other.testPoint(), shown(other.to()))).orElse("")))
                .collect(Collectors.joining(", then "));
        return "Turn %s; expect %s.".formatted(turns, expect(landing));
    }

    private static String way(NextMove.Step step) {
        if (step.against().isPresent()) {
            return "";
        }
        boolean hotter = step.mark().to() > step.mark().from();
        Pot.Turn turn = step.pot().map(Pot::hotter).orElse(Pot.Turn.UNKNOWN);
        if (turn == Pot.Turn.UNKNOWN) {
            return hotter ? ", the way that makes it rise," : ", the way that makes it fall,";
        }
        return " " + (hotter ? turn : turn.opposite()).inWords();
    }

    private String expect(Landing landing) {
        String plates = "the plates at " + Figures.volts(landing.plateReading());
        return landing.bias().isPresent() && !sheet.bias().isCathode()
                ? plates + " and about " + Figures.volts(landing.bias().getAsDouble()) + " on the grids" : plates;
    }

    String resistor(CathodeAdvice advice) {
        CathodeAdvice.Choice best = advice.best();
        Landing.Tube tube = best.landing().tubes().get(0);
        return "Change the cathode resistor from about %s to %s (%s, at least %s W); expect %s, %s and %s.".formatted(
                Figures.fixed(advice.now(), advice.now() < 100 ? 1 : 0) + " ohm", Figures.ohms(best.ohms()), best.series(), Figures.plain(best.rating()),
                Figures.milliamps(tube.cathode()) + " each", Figures.volts(best.volts()) + " on the cathode", "the plates at " + Figures.volts(best.landing().plateReading()));
    }

    String parts(Landing landing, Optional<BiasParts> parts) {
        boolean hotter = landing.tubes().get(0).cathode() > newest.cathode(0);
        if (parts.isEmpty()) {
            return "%s: bring it %s until %s reads %s; type bias and the grid volts to learn which resistor does it.".formatted(
                    potless(), hotter ? "closer to zero" : "farther below zero", sheet.sockets().get(0).testPoint(), shown(landing.tubes().get(0).reading()));
        }
        BiasParts found = parts.get();
        String bias = "bring the bias from %s to %s".formatted(Figures.volts(found.now()), Figures.volts(found.wanted()));
        return found.shunt().map(part -> "%s: %s. Change its resistor to ground from %s to %s (E24), which gives %s; expect %s at %s and %s.".formatted(
                        potless(), bias, Figures.ohms(part.from()), Figures.ohms(part.ohms()), Figures.volts(part.bias()), shown(landing.tubes().get(0).reading()),
                        sheet.sockets().get(0).testPoint(), "the plates at " + Figures.volts(landing.plateReading())))
                .orElseGet(() -> "%s: %s; expect %s at %s. A %s resistor to ground in the bias supply does it; put its two resistors on the sheet for the value."
                        .formatted(potless(), bias, shown(landing.tubes().get(0).reading()), sheet.sockets().get(0).testPoint(), hotter ? "smaller" : "larger"));
    }

    private String potless() {
        return sheet.pots().isEmpty() ? "This bias has no pot" : "No pot sets the level of this bias";
    }

    /** What must be said with the move. */
    List<String> notes(Landing landing, ReadingSets readings, List<PotGroup> groups) {
        List<String> notes = new ArrayList<>();
        if (!readings.wanted().isEmpty()) {
            notes.add("Told from the setting before. To know this one, read %s.".formatted(String.join(", ", readings.wanted())));
        }
        groups.forEach(group -> mismatch(group, landing).ifPresent(notes::add));
        reach(landing, readings).ifPresent(notes::add);
        SwingTest.of(sheet, readings.present()).flatMap(Balancing::outOfReach).ifPresent(notes::add);
        ratings(landing, notes);
        if (line.isGuessed()) {
            notes.add("Rough: one setting only, and the source resistance is %s. The plates may land %s either way; read again after the turn and it will be known."
                    .formatted(line.guess(), Figures.plusMinus(landing.plusMinus(), Unit.VOLT) + " V"));
        }
        groups.stream().flatMap(group -> group.pot().stream()).filter(pot -> !pot.verified()).findFirst().ifPresent(pot -> notes.add(
                pot.hotter() == Pot.Turn.UNKNOWN ? "Which way %s turns hotter is not on the sheet: begin with a little, and watch the meter.".formatted(pot.name())
                        : "The sheet\u2019s direction of %s is not verified: if the reading goes the other way, stop.".formatted(pot.name())));
        if (!landing.bias().isEmpty() && !sheet.bias().isCathode()) {
            notes.add("The grid volts are from %s.".formatted(landing.biasFrom()));
        }
        check.ifPresent(after -> notes.add("Last turn: the line said %s \u00b1 %s for the plates at this current, read %s.".formatted(Figures.volts(after.predicted()),
                Figures.plusMinus(Math.max(after.plusMinus(), 0.05), Unit.VOLT), Figures.volts(after.read()))));
        if (!line.outliers().isEmpty()) {
            notes.add("Left out of the supply line, for the others contradict it: " + line.outliers().stream().map(point -> "\u201c" + point.name() + "\u201d")
                    .collect(Collectors.joining(", ")) + ".");
        }
        if (Math.abs(newest.mainsRatio() - 1) > Mains.SAME) {
            notes.add("Told for the mains as read, %s; at the sheet\u2019s %s it will stand on the target (%s).".formatted(
                    Figures.volts(newest.mainsRatio() * sheet.mainsVolts()), Figures.volts(sheet.mainsVolts()), mains.from()));
        }
        return notes;
    }

    private Optional<String> mismatch(PotGroup group, Landing landing) {
        List<Landing.Tube> tubes = group.tubes().stream().map(landing.tubes()::get).toList();
        Landing.Tube hot = tubes.stream().max((one, other) -> Double.compare(one.cathode(), other.cathode())).orElseThrow();
        Landing.Tube cool = tubes.stream().min((one, other) -> Double.compare(one.cathode(), other.cathode())).orElseThrow();
        double mean = tubes.stream().mapToDouble(Landing.Tube::cathode).average().orElseThrow();
        if (hot.cathode() - mean <= MATCHED * mean && mean - cool.cathode() <= MATCHED * mean) {
            return Optional.empty();
        }
        return Optional.of("%s draws more than %s and %s moves both: set by %s, at the ceiling of its window (%s); %s will be at %s, %s."
                .formatted(hot.socket().label(), cool.socket().label(), group.pot().map(Pot::name).orElse("one bias"), hot.socket().label(),
                        Figures.percent(hot.ratio()), cool.socket().label(), shown(cool.reading()), Figures.percent(cool.ratio())));
    }

    /** Whether the bias it takes lies beyond what the pot gave at its stops. */
    private Optional<String> reach(Landing landing, ReadingSets readings) {
        OptionalDouble stop = readings.present().last(ReadingKind.BIAS_STOP).map(reading -> OptionalDouble.of(reading.value()))
                .orElse(OptionalDouble.empty());
        if (stop.isEmpty() || landing.bias().isEmpty() || sheet.bias().isCathode()) {
            return Optional.empty();
        }
        double end = stop.getAsDouble();
        double now = newest.bias(0).orElse(end);
        double needed = landing.bias().getAsDouble();
        boolean beyond = end >= now ? needed > end : needed < end;
        boolean sameWay = (needed > now) == (end >= now);
        return beyond && sameWay ? Optional.of("Out of the pot\u2019s range: it takes about %s, and the stop gave %s. A resistor of the bias supply must change first."
                .formatted(Figures.volts(needed), Figures.volts(end))) : Optional.empty();
    }

    /** Parts that the new setting would run past their rating. */
    private void ratings(Landing landing, List<String> notes) {
        sheet.supply().mostAmps().ifPresent(most -> {
            if (landing.totalAmps() > most) {
                notes.add("The rail would give %s, more than the %s its transformer or choke is rated for.".formatted(
                        Figures.milliamps(landing.totalAmps()), Figures.milliamps(most)));
            }
        });
        sheet.supply().resistorWatts().ifPresent(rating -> sheet.current().ohms().ifPresent(ohms -> {
            for (String point : sheet.testPoints()) {
                double amps = landing.tubes().stream().filter(tube -> tube.socket().testPoint().equals(point)).mapToDouble(Landing.Tube::cathode).sum();
                if (amps * amps * ohms > rating) {
                    notes.add("The resistor at %s would dissipate %s, more than its %s.".formatted(point, Figures.watts(amps * amps * ohms), Figures.watts(rating)));
                }
            }
        }));
        if (sheet.target().school() != School.SHARE_OF_RATING && landing.tubes().stream().anyMatch(tube -> tube.ratio() > 0.999)) {
            notes.add("The target is capped by the rating.");
        }
        if (sheet.current().method() == CurrentMethod.STAGE_TEST_POINT) {
            notes.add("The test point shows the whole stage: the balance inside it stays unseen.");
        }
    }

    private String shown(double si) {
        return Figures.toTurnTo(sheet.current().shows(), si);
    }
}
