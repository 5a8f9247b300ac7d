package yellowrail.web.drawer;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Side;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Placing;
import yellowrail.core.quantity.Figures;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.StageDrawing;

/**
 * The present and the proposed seating as they are shown.
 *
 * @param sentence what to do
 * @param basis    what the currents are, or why there is no proposal
 * @param plans    the seatings, the present one first; for tubes that are not in the amp yet only the proposed one
 * @param doable   whether there is something to do
 */
record PlacingView(String sentence, String basis, StageDrawing drawing, List<Plan> plans, boolean doable) {

    /** A seating: what stands at each socket, and how the sides compare. */
    record Plan(String name, List<String> occupants, List<String> balance) {
    }

    static PlacingView of(Amp amp, PlacingService.Proposal proposal) {
        StageDrawing drawing = StageDrawing.of(amp.sheet());
        if (proposal.placing().isEmpty()) {
            return new PlacingView("No placing can be told.", proposal.basis(), drawing, List.of(), false);
        }
        Placing placing = proposal.placing().get();
        Placing.Seating best = placing.best();
        List<String> moves = placing.moved(best).stream().map(socket -> "%s into %s".formatted(best.tubes().get(best.sockets().indexOf(socket)).label(), socket.label())).toList();
        if (proposal.isNew()) {
            String all = best.sockets().stream().map(socket -> "%s into %s".formatted(best.tubes().get(best.sockets().indexOf(socket)).label(), socket.label())).collect(Collectors.joining(", "));
            return new PlacingView("Put %s.".formatted(all), proposal.basis(), drawing, List.of(plan("Proposed", best)), true);
        }
        String sentence = moves.isEmpty() ? "They sit as well as they can." : "Move %s.".formatted(String.join(", ", moves));
        return new PlacingView(sentence, proposal.basis(), drawing, moves.isEmpty() ? List.of(plan("Present, and best", best)) : List.of(plan("Present", placing.present()), plan("Proposed", best)), !moves.isEmpty());
    }

    private static Plan plan(String name, Placing.Seating seating) {
        return new Plan(name, seating.tubes().stream().map(PlacingView::occupant).toList(), seating.imbalance().entrySet().stream().map(channel -> balance(seating, channel)).toList());
    }

    private static String occupant(Candidate tube) {
        return tube.label().replace("the tube of ", "of ").replace('|', '/') + "|" + Figures.milliamps(tube.amps());
    }

    private static String balance(Placing.Seating seating, Map.Entry<Channel, Double> channel) {
        double push = seating.side(channel.getKey(), Side.PUSH);
        double pull = seating.side(channel.getKey(), Side.PULL);
        return push + pull == 0 ? "single-ended: no sides to balance" : "%spush %s, pull %s, apart by %s (%s of the mean)".formatted(channel.getKey() == Channel.MONO ? "" : channel.getKey().inWords() + ": ",
                Figures.milliamps(push), Figures.milliamps(pull), Figures.milliamps(channel.getValue()), Figures.percent(2 * channel.getValue() / (push + pull)));
    }
}
