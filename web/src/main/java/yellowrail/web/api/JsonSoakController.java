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
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.drift.Drift;
import yellowrail.core.drift.DriftProblem;
import yellowrail.core.drift.Sample;
import yellowrail.core.drift.Series;
import yellowrail.web.form.Faults;

/** Judges a soak without storing anything. */
@RestController
class JsonSoakController {

    /** A hundred thousand samples, each some forty characters, of four points. */
    private static final int LONGEST_BODY = 1 << 24;

    private final JsonExchange exchange;

    JsonSoakController(JsonExchange exchange) {
        this.exchange = exchange;
    }

    @Operation(summary = "What test points do while an amp soaks: settle, stand, creep or run away")
    @Asks("SoakRequest")
    @ApiResponse(
            responseCode = "200",
            description = "A verdict on each point",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = SoakResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/soak", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> soak(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, LONGEST_BODY, SoakShape.SHAPE, "page.api.soak", JsonSoakController::judge);
    }

    private static Supplier<Object> judge(JsonFields fields, Faults faults) {
        OptionalDouble limit = fields.number(SoakShape.LIMIT);
        Set<String> labels = new HashSet<>();
        List<Series> points = new ArrayList<>();
        for (JsonFields point : fields.objects(SoakShape.POINTS)) {
            points.add(new Series(
                    JsonLabel.read(point, SoakShape.LABEL, labels),
                    samples(point, SoakShape.SAMPLES, SoakShape.VALUE),
                    limit,
                    0));
        }
        List<Sample> mains = samples(fields, SoakShape.MAINS, SoakShape.MAINS_VOLTS);
        List<Sample> plates = samples(fields, SoakShape.PLATE, SoakShape.PLATE_VOLTS);
        OptionalDouble noise = fields.number(SoakShape.NOISE);
        return () -> SoakResponse.of(
                new Drift(new DriftProblem(points, mains, DriftProblem.USUAL_EXPONENT, plates, noise)).judge());
    }

    private static List<Sample> samples(JsonFields fields, JsonField list, JsonField value) {
        return list.isNeeded() || fields.has(list)
                ? fields.objects(list).stream()
                        .map(sample -> new Sample(sample.required(SoakShape.MINUTES), sample.required(value)))
                        .toList()
                : List.of();
    }
}
