package yellowrail.web.bias;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.design.Change;
import yellowrail.core.bias.design.Proposal;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/**
 * A proposed supply as a line of the list.
 *
 * @param kind how it is wired
 * @param changes what is to be soldered
 * @param query its address on the bench
 */
record ProposalView(
        String kind, List<String> changes, String coldest, String hottest, String open, String watts, String query) {

    static ProposalView of(Proposal proposal, BiasForm form, Words words) {
        BiasNetwork network = proposal.range().supply().network();
        return new ProposalView(
                words.name(network.kind()),
                Stream.concat(
                                proposal.rewired() ? Stream.of(words.message("page.bias.rewire")) : Stream.of(),
                                proposal.changes().stream().map(change -> told(change, words)))
                        .toList(),
                Figures.volts(proposal.range().coldestVolts()),
                Figures.volts(proposal.range().hottestVolts()),
                Figures.volts(proposal.range().wiperOpenVolts().orElse(0)),
                Figures.watts(proposal.watts()),
                form.with(proposal.range().supply()).query());
    }

    private static String told(Change change, Words words) {
        String name = words.name(change.part() == PartKind.WIPER ? PartKind.POT : change.part());
        Unit unit = change.part() == PartKind.RESERVOIR ? Unit.VOLT : Unit.KILOHM;
        if (change.to().isEmpty()) {
            return words.message("page.bias.take-out", name, value(change.from(), unit));
        }
        return change.from().isEmpty()
                ? words.message("page.bias.put-in", name, value(change.to(), unit))
                : words.message("page.bias.exchange", name, value(change.from(), unit), value(change.to(), unit));
    }

    private static String value(OptionalDouble value, Unit unit) {
        return Figures.in(unit, value.orElse(0));
    }
}
