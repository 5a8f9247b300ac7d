package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Finding;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;

/**
 * What to do next to bring the tubes to their target.
 *
 * @param kind what sort of move
 * @param line the supply line it rests on
 * @param mains how figures are carried to the reference mains
 * @param landing where the stage will stand; empty where the target cannot be reached
 * @param steps the turns, in order; none where a part is to be changed
 * @param cathode the resistors to choose from, with cathode bias
 * @param parts the resistors of the bias supply, with fixed bias that cannot be adjusted
 * @param check the last prediction against what was then read
 * @param says the move, in the units of the builder's meter
 * @param notes what a careful colleague would add, most important first
 * @param from the setting it starts from
 */
public record NextMove(
        Kind kind,
        SupplyLine line,
        Mains mains,
        Optional<Landing> landing,
        List<Step> steps,
        Optional<CathodeAdvice> cathode,
        Optional<BiasParts> parts,
        Optional<Check> check,
        Finding says,
        List<Finding> notes,
        ReadingSet from) {

    /** What sort of move; off is to switch off and change a part, nothing that it would be hotter and must not be. */
    public enum Kind {
        TURN,
        CHANGE_RESISTOR,
        STAY,
        OUT_OF_REACH,
        OFF,
        NOTHING
    }

    /**
     * What a test point is to be turned to.
     *
     * @param testPoint what to watch
     * @param from what it shows before, SI
     * @param to what to turn it to, SI
     */
    public record Mark(String testPoint, double from, double to) {}

    /**
     * One turn.
     *
     * @param pot the pot; empty where the sheet has none for these tubes
     * @param mark what to watch
     * @param against with a balance pot, what the other side will then show
     * @param others what the points of other pots will then show, as far as they move
     */
    public record Step(Optional<Pot> pot, Mark mark, Optional<Mark> against, List<Mark> others) {

        public Step {
            others = List.copyOf(others);
        }

        /** Whether it makes a tube draw more. */
        public boolean isHotter() {
            return mark.to() > mark.from()
                    || against.map(mark -> mark.to() > mark.from()).orElse(false);
        }
    }

    /**
     * A prediction after the fact.
     *
     * @param set the setting that came of the turn
     * @param predicted what the line had said for the plates at that current, V to ground
     * @param plusMinus how sure it had been, V
     */
    public record Check(ReadingSet set, double predicted, double plusMinus) {

        public double read() {
            return set.plateVolts();
        }
    }

    /** What every move begins with: where it starts from and what it rests on. */
    record Start(SupplyLine line, Mains mains, Optional<Check> check, ReadingSet from) {

        /** A move that lands nowhere. */
        NextMove to(Kind kind, Finding says) {
            return move(kind, Optional.empty(), List.of(), Optional.empty(), Optional.empty(), says, List.of());
        }

        NextMove to(Kind kind, Landing landing, Finding says, List<Finding> notes) {
            return move(kind, Optional.of(landing), List.of(), Optional.empty(), Optional.empty(), says, notes);
        }

        NextMove turning(List<Step> steps, Landing landing, Finding says, List<Finding> notes) {
            return move(Kind.TURN, Optional.of(landing), steps, Optional.empty(), Optional.empty(), says, notes);
        }

        /** Among the resistors of cathode bias. */
        NextMove choosing(Kind kind, CathodeAdvice advice, Finding says, List<Finding> notes) {
            Optional<Landing> landing = Optional.of(advice.best().landing());
            return move(kind, landing, List.of(), Optional.of(advice), Optional.empty(), says, notes);
        }

        /** By the parts of the bias supply, as far as they are known. */
        NextMove changing(Optional<BiasParts> parts, Landing landing, Finding says, List<Finding> notes) {
            return move(Kind.CHANGE_RESISTOR, Optional.of(landing), List.of(), Optional.empty(), parts, says, notes);
        }

        private NextMove move(
                Kind kind,
                Optional<Landing> landing,
                List<Step> steps,
                Optional<CathodeAdvice> cathode,
                Optional<BiasParts> parts,
                Finding says,
                List<Finding> notes) {
            return new NextMove(kind, line, mains, landing, steps, cathode, parts, check, says, notes, from);
        }
    }

    /** The same move made otherwise. */
    NextMove with(Kind other, List<Step> otherSteps, Finding otherwise) {
        return new NextMove(other, line, mains, landing, otherSteps, cathode, parts, check, otherwise, notes, from);
    }

    /** Every reading it asks for. */
    public List<Mark> marks() {
        return steps.stream()
                .flatMap(step -> Stream.concat(Stream.of(step.mark()), step.against().stream()))
                .toList();
    }

    public NextMove {
        steps = List.copyOf(steps);
        notes = List.copyOf(notes);
    }
}
