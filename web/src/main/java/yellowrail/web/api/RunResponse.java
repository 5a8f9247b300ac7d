package yellowrail.web.api;

import static yellowrail.web.api.JsonNumbers.round;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Code;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.move.Landing;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.replay.Replay;
import yellowrail.core.supply.SupplyLine;
import yellowrail.web.words.Words;

/** Where an amp stands at the end of its log. Plus-minus at 95 %. */
record RunResponse(
        List<Tube> tubes,

        @Schema(description = "Far over a rating, or over it and rising: there is no move but the switch")
        boolean switchOff,

        @Schema(nullable = true, description = "null while too little was read, and where no supply behaves so")
        Line supplyLine,

        @Schema(
                nullable = true,
                description = "null while too little was read, and where the amp is to be switched off")
        Move move,

        @Schema(description = "What is to be said, the most important first")
        List<Said> findings,

        @Schema(description = "Lines that are asked about; they do not count unless sent as confirmed")
        List<Asked> asked,

        @Schema(description = "Lines that cannot be read") List<Refused> refused) {

    record Tube(
            String label,

            @Schema(description = "What is in the socket: as logged, else as the sheet says")
            String type,

            @Schema(
                    allowableValues = {"cold", "in-window", "hot", "over-rating", "over-rating-by-choice", "not-judged"
                    })
            String verdict,

            @Schema(nullable = true) Double dissipationWatts,
            @Schema(nullable = true) Double plusMinusWatts,
            @Schema(nullable = true) Double percentOfRating,

            @Schema(description = "Whether its readings still belong to what is on the bench")
            boolean fresh) {}

    record Line(
            double openVolts,
            double ohms,
            @Schema(description = "Settings it rests on") int points) {}

    record Move(
            @Schema(allowableValues = {"turn", "resistor", "none", "off"})
            String kind,

            @Schema(nullable = true) String pot,

            @Schema(
                    nullable = true,
                    allowableValues = {"clockwise", "anticlockwise"},
                    description = "null where the pot's direction is not known")
            String direction,

            @Schema(nullable = true) String testPoint,

            @Schema(nullable = true, description = "What the meter at the test point is to show")
            Double reading,

            @Schema(
                    nullable = true,
                    allowableValues = {"mV", "V", "mA"})
            String unit,

            @Schema(nullable = true, description = "What the meter will show where plate voltage is read, V")
            Double expectPlateVolts,

            @Schema(nullable = true, description = "Of expectPlateVolts, V")
            Double plusMinus,

            @Schema(nullable = true) Double fromOhms,
            @Schema(nullable = true) Double toOhms) {}

    record Said(
            String code,

            @Schema(description = "A socket, or stage, supply, move")
            String place,

            String says) {}

    record Asked(
            int index,
            String code,
            String asks,

            @Schema(description = "What was probably meant, as whole lines")
            List<String> choices) {}

    record Refused(int index, String says) {}

    static RunResponse of(Replay replay, Instant now, Words words) {
        StageSummary summary = replay.summary();
        MoveFinder finder = replay.finder();
        AmpSheet sheet = summary.stage().sheet();
        Optional<SupplyLine> line = finder.line();
        Optional<NextMove> move = finder.find();
        return new RunResponse(
                summary.tubes().stream().map(RunResponse::tube).toList(),
                summary.alarm().isPresent(),
                line.filter(found -> found.refused().isEmpty())
                        .map(found -> new Line(
                                round(found.source()),
                                round(found.resistance()),
                                found.used().size()))
                        .orElse(null),
                move.map(found -> move(found, sheet)).orElse(null),
                findings(summary, clock(replay, sheet, now), line, move, words),
                replay.asked().stream().map(each -> asked(each, sheet, words)).toList(),
                replay.refused().stream()
                        .map(each -> new Refused(each.index(), words.say(each.fault())))
                        .toList());
    }

    private static Tube tube(TubeIdle tube) {
        boolean judged = tube.figures().isPresent();
        return new Tube(
                tube.socket().label(),
                tube.occupant().name(),
                tube.judgement().verdict().token(),
                judged ? (Double) round(tube.figures().get().dissipation().value()) : null,
                judged ? (Double) round(tube.figures().get().dissipation().plusMinus()) : null,
                Double.isFinite(tube.judgement().ratio())
                        ? (Double) round(100 * tube.judgement().ratio())
                        : null,
                tube.isFresh());
    }

    private static Move move(NextMove move, AmpSheet sheet) {
        String kind = switch (move.kind()) {
            case TURN -> "turn";
            case CHANGE_RESISTOR -> "resistor";
            case OFF -> "off";
            case STAY, OUT_OF_REACH, NOTHING -> "none";
        };
        Optional<NextMove.Step> step = move.steps().stream().findFirst();
        Optional<Pot> pot = step.flatMap(NextMove.Step::pot);
        Optional<Landing> landing = kind.equals("none") ? Optional.empty() : move.landing();
        Optional<NextMove.Mark> mark = step.map(NextMove.Step::mark)
                .or(() -> landing.map(then -> then.tubes().get(0))
                        .map(tube -> new NextMove.Mark(tube.socket().testPoint(), tube.reading(), tube.reading())));
        Unit shows = sheet.current().shows();
        return new Move(
                kind,
                pot.map(Pot::name).orElse(null),
                step.flatMap(found -> direction(found, pot)).orElse(null),
                mark.map(NextMove.Mark::testPoint).orElse(null),
                mark.map(found -> round(shows.fromSi(found.to()))).orElse(null),
                mark.map(found -> shows.toString()).orElse(null),
                landing.map(then -> round(then.plateReading())).orElse(null),
                landing.map(then -> round(then.plusMinus())).orElse(null),
                ohms(move, true),
                ohms(move, false));
    }

    private static Optional<String> direction(NextMove.Step step, Optional<Pot> pot) {
        return pot.map(Pot::hotter)
                .filter(turn -> turn != Pot.Turn.UNKNOWN)
                .map(turn -> Code.of(step.mark().to() > step.mark().from() ? turn : turn.opposite()));
    }

    /** A resistor of the cathodes, or of a bias that has no pot. */
    private static Double ohms(NextMove move, boolean from) {
        if (move.kind() != NextMove.Kind.CHANGE_RESISTOR && move.kind() != NextMove.Kind.OFF) {
            return null;
        }
        return move.cathode()
                .map(advice -> from ? advice.now() : advice.best().ohms())
                .or(() -> move.parts().flatMap(parts -> parts.shunt().map(shunt -> from ? shunt.from() : shunt.ohms())))
                .map(JsonNumbers::round)
                .orElse(null);
    }

    private static Finding clock(Replay replay, AmpSheet sheet, Instant now) {
        return new WarmUp(replay.log().timeline().present().moment(), sheet.settleMinutes()).clock(now);
    }

    private static List<Said> findings(
            StageSummary summary, Finding clock, Optional<SupplyLine> line, Optional<NextMove> move, Words words) {
        Set<Said> said = new LinkedHashSet<>();
        said.add(said(summary.sentence(), "stage", words));
        said.add(said(clock, "stage", words));
        for (TubeIdle tube : summary.tubes()) {
            Stream<Finding> all = Stream.of(
                            tube.judgement().limits().findings().stream(),
                            tube.judgement().notes().stream(),
                            tube.freshness().why().stream())
                    .flatMap(each -> each);
            all.forEach(finding -> said.add(said(finding, tube.socket().label(), words)));
        }
        line.ifPresent(found -> said.add(said(found.finding(), "supply", words)));
        move.ifPresent(found -> {
            said.add(said(found.says(), "move", words));
            found.notes().forEach(note -> said.add(said(note, "move", words)));
        });
        return new ArrayList<>(said);
    }

    private static Said said(Finding finding, String place, Words words) {
        return new Said(finding.code(), place, words.say(finding));
    }

    private static Asked asked(Replay.Asked each, AmpSheet sheet, Words words) {
        String asks = Stream.concat(
                        each.question().ifReal().stream(),
                        Stream.of(each.question().asks()))
                .map(words::say)
                .reduce((one, other) -> one + " " + other)
                .orElseThrow();
        return new Asked(
                each.index(),
                each.question().asks().code(),
                asks,
                each.choices().stream()
                        .map(line -> EntryWriter.line(line, sheet))
                        .toList());
    }
}
