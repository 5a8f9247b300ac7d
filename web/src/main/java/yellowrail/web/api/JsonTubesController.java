package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.finding.Code;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Matching;
import yellowrail.core.match.Placing;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.Quantity;
import yellowrail.web.bounds.Deadline;
import yellowrail.web.form.Faults;
import yellowrail.web.words.Words;

/** Matches and places tubes without storing anything. */
@RestController
class JsonTubesController {

    private final Words words;
    private final JsonExchange exchange;

    JsonTubesController(Words words, JsonExchange exchange) {
        this.exchange = exchange;
        this.words = words;
    }

    @Operation(summary = "The best pairs, quads or sextets of a drawer")
    @Asks("MatchRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The groups and the leftovers",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = MatchResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/match", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> match(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, TubesShapes.MATCH, "page.api.match", this::match);
    }

    @Operation(summary = "Which tube goes into which socket")
    @Asks("PlacingRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The seating",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = PlacingResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/placing", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> placing(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, TubesShapes.PLACING, "page.api.placing", JsonTubesController::place);
    }

    private Supplier<Object> match(JsonFields fields, Faults faults) {
        List<Candidate> tubes = candidates(fields, TubesShapes.TUBES);
        int size = fields.whole(TubesShapes.GROUP_SIZE);
        OptionalDouble tolerance = fields.number(TubesShapes.TOLERANCE_MILLIAMPS);
        return () -> MatchResponse.of(
                new Matching(
                                tubes,
                                size,
                                tolerance.isPresent()
                                        ? OptionalDouble.of(Unit.MILLIAMP.toSi(tolerance.getAsDouble()))
                                        : tolerance)
                        .find(Deadline.fromNow()),
                words);
    }

    private static Supplier<Object> place(JsonFields fields, Faults faults) {
        List<Candidate> tubes = candidates(fields, TubesShapes.PLACING_TUBES);
        Map<String, Channel> channels = new LinkedHashMap<>();
        List<Socket> sockets = sockets(fields, channels);
        if (!faults.any() && tubes.size() != sockets.size()) {
            fields.fault(
                    TubesShapes.PLACING_SOCKETS, new RequestFault.OtherNumberOfSockets(tubes.size(), sockets.size()));
        }
        return () -> PlacingResponse.of(new Placing(tubes, sockets).best(), channels);
    }

    private static List<Candidate> candidates(JsonFields fields, JsonField list) {
        List<Candidate> tubes = new ArrayList<>();
        Set<String> labels = new HashSet<>();
        for (JsonFields tube : fields.objects(list)) {
            OptionalDouble slope = list.of() == TubesShapes.MATCH_TUBE
                    ? tube.number(TubesShapes.TRANSCONDUCTANCE)
                    : OptionalDouble.empty();
            tubes.add(new Candidate(
                    JsonLabel.read(tube, TubesShapes.LABEL, labels),
                    Unit.MILLIAMP.toSi(tube.required(TubesShapes.MILLIAMPS)),
                    slope.isPresent() ? OptionalDouble.of(slope.getAsDouble() / 1e3) : slope));
        }
        return tubes;
    }

    /** @param channels as they are called in the request, filled here */
    private static List<Socket> sockets(JsonFields fields, Map<String, Channel> channels) {
        List<Socket> sockets = new ArrayList<>();
        Set<String> labels = new HashSet<>();
        for (JsonFields socket : fields.objects(TubesShapes.PLACING_SOCKETS)) {
            String label = JsonLabel.read(socket, TubesShapes.LABEL, labels);
            sockets.add(new Socket(
                    label,
                    Side.valueOf(socket.choice(TubesShapes.SIDE).toUpperCase(Locale.ROOT)),
                    channel(socket, channels),
                    label));
        }
        return sockets;
    }

    /**
     * Channels are told apart by what they are called; the placing only needs to know which sockets belong together.
     */
    private static Channel channel(JsonFields socket, Map<String, Channel> channels) {
        String name = socket.has(TubesShapes.CHANNEL)
                ? socket.words(TubesShapes.CHANNEL).strip()
                : Code.of(Channel.MONO);
        if (!channels.containsKey(name) && channels.size() == Channel.values().length) {
            socket.fault(
                    TubesShapes.CHANNEL,
                    new RequestFault.TooManyChannels(Channel.values().length, Quantity.quote(name)));
            return Channel.MONO;
        }
        return channels.computeIfAbsent(name, added -> Channel.values()[channels.size()]);
    }
}
