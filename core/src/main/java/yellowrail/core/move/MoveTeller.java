package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.supply.ReadingSet;

/** Tells a move in the units of the builder's own meter and pot. */
final class MoveTeller {

    private final AmpSheet sheet;
    private final ReadingSet newest;
    private final PotLearned learned;

    MoveTeller(AmpSheet sheet, ReadingSet newest, PotLearned learned) {
        this.sheet = sheet;
        this.newest = newest;
        this.learned = learned;
    }

    MoveFinding stay() {
        return newest.tubes().size() == 1
                ? new MoveFinding.SetOne(sheet.sockets().get(0).label())
                : new MoveFinding.SetAll();
    }

    /** Balance and level on one line; of several pots that set a level the first alone. */
    MoveFinding turn(List<NextMove.Step> steps, Landing landing, boolean oneByOne) {
        List<NextMove.Step> told = oneByOne ? steps.subList(0, 1) : steps;
        return new MoveFinding.Turn(told.stream().map(this::step).toList(), expect(landing));
    }

    private Finding step(NextMove.Step step) {
        Finding pot = PotGroup.called(step.pot());
        String point = step.mark().testPoint();
        Shown reading = shown(step.mark().to());
        if (step.against().isPresent()) {
            return new MoveFinding.Balance(
                    pot,
                    point,
                    reading,
                    step.against().get().testPoint(),
                    shown(step.against().get().to()));
        }
        boolean hotter = step.mark().to() > step.mark().from();
        Pot.Turn turn = step.pot().map(learned::hotter).orElse(Pot.Turn.UNKNOWN);
        return switch (hotter ? turn : turn.opposite()) {
            case CLOCKWISE -> new MoveFinding.Clockwise(pot, point, reading);
            case ANTICLOCKWISE -> new MoveFinding.Anticlockwise(pot, point, reading);
            case UNKNOWN ->
                hotter
                        ? new MoveFinding.TheWayItRises(pot, point, reading)
                        : new MoveFinding.TheWayItFalls(pot, point, reading);
        };
    }

    private Finding expect(Landing landing) {
        return landing.bias().isPresent() && !sheet.bias().isCathode()
                ? new MoveFinding.ExpectPlatesAndGrids(
                        landing.plateReading(), landing.bias().getAsDouble())
                : new MoveFinding.ExpectPlates(landing.plateReading());
    }

    MoveFinding resistor(CathodeAdvice advice) {
        CathodeAdvice.Choice best = advice.best();
        Landing.Tube tube = best.landing().tubes().get(0);
        double plates = best.landing().plateReading();
        Shown rating = Shown.of(Unit.WATT, best.rating());
        return advice.points().size() == 1
                ? new MoveFinding.ChangeCathodeResistor(
                        advice.now(), best.ohms(), best.series().name(), rating, tube.cathode(), best.volts(), plates)
                : new MoveFinding.ChangeEachCathodeResistor(
                        advice.points(),
                        advice.now(),
                        best.ohms(),
                        best.series().name(),
                        rating,
                        tube.cathode(),
                        best.volts(),
                        plates);
    }

    MoveFinding parts(Landing landing, Optional<BiasParts> parts) {
        boolean hotter = landing.tubes().get(0).cathode() > newest.cathode(0);
        Finding why = sheet.pots().isEmpty() ? new MoveFinding.NoPot() : new MoveFinding.NoPotOfLevel();
        String point = sheet.sockets().get(0).testPoint();
        Shown reading = shown(landing.tubes().get(0).reading());
        if (parts.isEmpty()) {
            return hotter
                    ? new MoveFinding.BiasCloser(why, point, reading)
                    : new MoveFinding.BiasFarther(why, point, reading);
        }
        BiasParts found = parts.get();
        if (found.shunt().isEmpty()) {
            return hotter
                    ? new MoveFinding.SmallerShunt(why, found.now(), found.wanted(), point, reading)
                    : new MoveFinding.LargerShunt(why, found.now(), found.wanted(), point, reading);
        }
        BiasParts.Part part = found.shunt().get();
        return part.isTheSame()
                ? new MoveFinding.ShuntBetween(why, found.now(), found.wanted(), part.from(), part.exact())
                : new MoveFinding.ChangeShunt(
                        why,
                        found.now(),
                        found.wanted(),
                        part.from(),
                        part.ohms(),
                        part.bias(),
                        point,
                        reading,
                        landing.plateReading());
    }

    Shown shown(double si) {
        return Shown.toTurnTo(sheet.current().shows(), si);
    }
}
