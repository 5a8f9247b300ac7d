package yellowrail.web.drawer;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Placing;
import yellowrail.core.quantity.Figures;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.StageDrawing;
import yellowrail.web.words.Words;

/**
 * The present and the proposed seating as they are shown.
 *
 * @param sentence what to do
 * @param basis what the currents are, or why there is no proposal
 * @param plans the seatings, the present one first; for tubes that are not in the amp yet only the proposed one
 * @param doable whether there is something to do
 */
record PlacingView(String sentence, String basis, List<Plan> plans, boolean doable) {

    /** A seating: drawn with what sits at each socket, and how the sides compare. */
    record Plan(String name, StageDrawing drawing, List<String> balance) {}

    static PlacingView of(Amp amp, PlacingService.Proposal proposal, Words words) {
        if (proposal.placing().isEmpty()) {
            return new PlacingView(words.message("page.placing.none"), proposal.basis(), List.of(), false);
        }
        Placing placing = proposal.placing().get();
        Placing.Seating best = placing.best();
        List<Socket> moved = proposal.isNew() ? best.sockets() : placing.moved(best);
        String moves = moved.stream()
                .map(socket -> words.message(
                        "page.placing.into",
                        best.tubes().get(best.sockets().indexOf(socket)).label(),
                        socket.label()))
                .collect(Collectors.joining(", "));
        if (proposal.isNew()) {
            return new PlacingView(
                    words.message("page.placing.put", moves),
                    proposal.basis(),
                    List.of(plan("proposed", amp, best, proposal, words)),
                    true);
        }
        return moved.isEmpty()
                ? new PlacingView(
                        words.message("page.placing.best-already"),
                        proposal.basis(),
                        List.of(plan("present-best", amp, best, proposal, words)),
                        false)
                : new PlacingView(
                        words.message("page.placing.move", moves),
                        proposal.basis(),
                        List.of(
                                plan("present", amp, placing.present(), proposal, words),
                                plan("proposed", amp, best, proposal, words)),
                        true);
    }

    private static Plan plan(
            String name, Amp amp, Placing.Seating seating, PlacingService.Proposal proposal, Words words) {
        return new Plan(
                words.message("page.placing." + name),
                StageDrawing.of(
                        amp.sheet(),
                        seating.tubes().stream()
                                .map(tube -> List.of(
                                        occupant(tube, proposal, words),
                                        TestFigure.of(proposal.current(), tube.amps())))
                                .toList(),
                        words),
                seating.imbalance().entrySet().stream()
                        .map(channel -> balance(seating, channel, proposal.current(), words))
                        .toList());
    }

    private static String occupant(Candidate tube, PlacingService.Proposal proposal, Words words) {
        String socket = proposal.unnamed().get(tube.label());
        return socket == null ? tube.label() : words.message("page.placing.of", socket);
    }

    private static String balance(
            Placing.Seating seating, Map.Entry<Channel, Double> channel, TesterReading.Current current, Words words) {
        double push = seating.side(channel.getKey(), Side.PUSH);
        double pull = seating.side(channel.getKey(), Side.PULL);
        if (push + pull == 0) {
            return words.message("page.placing.no-sides");
        }
        String sides = words.message(
                "page.placing.sides",
                TestFigure.of(current, push),
                TestFigure.of(current, pull),
                TestFigure.of(current, channel.getValue()),
                Figures.percent(2 * channel.getValue() / (push + pull)));
        return channel.getKey() == Channel.MONO ? sides : words.name(channel.getKey()) + ": " + sides;
    }
}
