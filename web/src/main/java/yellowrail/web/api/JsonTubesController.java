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
import yellowrail.core.amp.AmpSheet;
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

    private static final int LONGEST_LABEL = 40;

    private final Words words;

    JsonTubesController(Words words) {
        this.words = words;
    }

    @Operation(
            summary = "The best pairs, quads or sextets of a drawer",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                                            schema = @Schema(implementation = MatchRequest.class))))
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
        return JsonExchange.answer(body, "The tubes cannot be matched", this::match);
    }

    @Operation(
            summary = "Which tube goes into which socket",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                                            schema = @Schema(implementation = PlacingRequest.class))))
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
        return JsonExchange.answer(body, "The tubes cannot be placed", JsonTubesController::place);
    }

    private Supplier<Object> match(JsonFields fields, Faults faults) {
        fields.only(Set.of("tubes", "groupSize", "toleranceMilliamps"));
        List<Candidate> tubes = candidates(fields, true, Matching.LEAST_GROUP, Matching.MOST_TUBES);
        int size = fields.whole("groupSize", Matching.LEAST_GROUP, Matching.MOST_GROUP, "tubes in a group");
        OptionalDouble tolerance = fields.number("toleranceMilliamps", 0, 1000);
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
        fields.only(Set.of("tubes", "sockets"));
        List<Candidate> tubes = candidates(fields, false, 1, AmpSheet.MOST_SOCKETS);
        Map<String, Channel> channels = new LinkedHashMap<>();
        List<Socket> sockets = sockets(fields, channels);
        if (!faults.any() && tubes.size() != sockets.size()) {
            faults.add(
                    "sockets",
                    "As many sockets as tubes are needed, got %d tubes for %d sockets."
                            .formatted(tubes.size(), sockets.size()));
        }
        return () -> PlacingResponse.of(new Placing(tubes, sockets).best(), channels);
    }

    private static List<Candidate> candidates(JsonFields fields, boolean steepness, int least, int most) {
        List<Candidate> tubes = new ArrayList<>();
        Set<String> labels = new HashSet<>();
        for (JsonFields tube : fields.objects("tubes", least, most)) {
            tube.only(steepness ? Set.of("label", "milliamps", "transconductance") : Set.of("label", "milliamps"));
            OptionalDouble slope = steepness ? tube.number("transconductance", 0.01, 100) : OptionalDouble.empty();
            tubes.add(new Candidate(
                    label(tube, labels),
                    Unit.MILLIAMP.toSi(tube.required("milliamps", 0.01, 2000, "the current at the test")),
                    slope.isPresent() ? OptionalDouble.of(slope.getAsDouble() / 1e3) : slope));
        }
        return tubes;
    }

    /** @param channels as they are called in the request, filled here */
    private static List<Socket> sockets(JsonFields fields, Map<String, Channel> channels) {
        List<Socket> sockets = new ArrayList<>();
        Set<String> labels = new HashSet<>();
        for (JsonFields socket : fields.objects("sockets", 1, AmpSheet.MOST_SOCKETS)) {
            socket.only(Set.of("label", "side", "channel"));
            String label = label(socket, labels);
            sockets.add(new Socket(
                    label,
                    Side.valueOf(socket.choice("side", List.of("push", "pull", "single"), false)
                            .toUpperCase(Locale.ROOT)),
                    channel(socket, channels),
                    label));
        }
        return sockets;
    }

    /**
     * Channels are told apart by what they are called; the placing only needs to know which sockets belong together.
     */
    private static Channel channel(JsonFields socket, Map<String, Channel> channels) {
        String name = socket.has("channel") ? socket.words("channel").strip() : Code.of(Channel.MONO);
        if (!channels.containsKey(name) && channels.size() == Channel.values().length) {
            socket.fault(
                    "channel",
                    "At most %d channels, got %s besides.".formatted(Channel.values().length, Quantity.quote(name)));
            return Channel.MONO;
        }
        return channels.computeIfAbsent(name, added -> Channel.values()[channels.size()]);
    }

    private static String label(JsonFields object, Set<String> labels) {
        String label = object.words("label").strip();
        if (label.isEmpty() || label.length() > LONGEST_LABEL) {
            object.fault("label", "Expected 1 to %d characters, got %d.".formatted(LONGEST_LABEL, label.length()));
        } else if (!labels.add(label)) {
            object.fault("label", "%s stands twice; every label differs.".formatted(Quantity.quote(label)));
        }
        return label;
    }
}
