package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.Pot;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;

/**
 * What to do next to bring the tubes to their target.
 *
 * @param kind     what sort of move
 * @param line     the supply line it rests on
 * @param mains    how figures are carried to the reference mains
 * @param landing  where the stage will stand; empty where the target cannot be reached
 * @param steps    the turns, in order; none where a part is to be changed
 * @param cathode  the resistors to choose from, with cathode bias
 * @param parts    the resistors of the bias supply, with fixed bias that cannot be adjusted
 * @param check    the last prediction against what was then read
 * @param sentence the move in one sentence, in the units of the builder's meter
 * @param notes    what a careful colleague would add, most important first
 */
public record NextMove(Kind kind, SupplyLine line, Mains mains, Optional<Landing> landing, List<Step> steps, Optional<CathodeAdvice> cathode,
                       Optional<BiasParts> parts, Optional<Check> check, String sentence, List<String> notes) {

    /** What sort of move. */
    public enum Kind {
        TURN, CHANGE_RESISTOR, STAY, OUT_OF_REACH
    }

    /**
     * What a test point is to be turned to.
     *
     * @param testPoint what to watch
     * @param from      what it shows before, SI
     * @param to        what to turn it to, SI
     */
    public record Mark(String testPoint, double from, double to) {
    }

    /**
     * One turn.
     *
     * @param pot     the pot; empty where the sheet has none for these tubes
     * @param mark    what to watch
     * @param against with a balance pot, what the other side will then show
     */
    public record Step(Optional<Pot> pot, Mark mark, Optional<Mark> against) {
    }

    /**
     * A prediction after the fact.
     *
     * @param set       the setting that came of the turn
     * @param predicted what the line had said for the plates at that current, V to ground
     * @param plusMinus how sure it had been, V
     */
    public record Check(ReadingSet set, double predicted, double plusMinus) {

        public double read() {
            return set.plateVolts();
        }
    }

    public NextMove {
        steps = List.copyOf(steps);
        notes = List.copyOf(notes);
    }
}
