package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PotReach;
import yellowrail.core.finding.Finding;

/**
 * The tubes that one pot moves together; without pots, or for what no pot reaches, the whole stage or the rest of it.
 *
 * @param pot the pot; empty where there is none
 * @param tubes indices in the order of the sheet
 */
record PotGroup(Optional<Pot> pot, List<Integer> tubes) {

    PotGroup {
        tubes = List.copyOf(tubes);
    }

    /** The groups of an amp, in the order of its pots. */
    static List<PotGroup> of(AmpSheet sheet) {
        List<PotGroup> groups = new ArrayList<>();
        List<Integer> free = new ArrayList<>(
                IntStream.range(0, sheet.sockets().size()).boxed().toList());
        for (Pot pot : PotReach.levels(sheet)) {
            List<Integer> moved = new ArrayList<>(PotReach.of(sheet, pot));
            moved.retainAll(free);
            if (!moved.isEmpty()) {
                free.removeAll(moved);
                groups.add(new PotGroup(Optional.of(pot), moved));
            }
        }
        if (!free.isEmpty()) {
            groups.add(new PotGroup(Optional.empty(), free));
        }
        return groups;
    }

    Finding called() {
        return called(pot);
    }

    static Finding called(Optional<Pot> pot) {
        return pot.<Finding>map(each -> new MoveFinding.PotCalled(each.name())).orElseGet(MoveFinding.PotUnnamed::new);
    }
}
