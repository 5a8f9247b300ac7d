package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.finding.Code;
import yellowrail.core.iron.Reflection;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Netlist;
import yellowrail.core.stage.Opinion;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.StageFinding;
import yellowrail.core.stage.WorstCase;
import yellowrail.core.tube.Rating;
import yellowrail.web.form.Faults;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Load lines and reflected loads, nothing stored. */
@RestController
class JsonStageController {

    private static final String CANNOT = "page.api.load-line";

    private final TubeService tubes;
    private final Words words;
    private final JsonExchange exchange;

    JsonStageController(TubeService tubes, Words words, JsonExchange exchange) {
        this.exchange = exchange;
        this.tubes = tubes;
        this.words = words;
    }

    @Operation(summary = "Power, harmonics, currents and dissipation of an output stage at full drive")
    @Asks("LoadLineRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The stage at full drive",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = LoadLineResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/load-line", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> loadLine(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, LoadLineShape.SHAPE, CANNOT, (fields, faults) -> {
            LoadLineRequestReader.Asked asked = new LoadLineRequestReader(fields, tubes.catalogue()).read();
            return () -> performance(asked, faults)
                    .map(found -> answer(found, asked))
                    .orElse(null);
        });
    }

    private LoadLineResponse answer(Performance found, LoadLineRequestReader.Asked asked) {
        WorstCase worst = WorstCase.of(found.stage());
        Rating rating = asked.type().customaryRating();
        return LoadLineResponse.of(found, worst, words.say(Opinion.of(found, worst, asked.model(), rating)), words);
    }

    @Operation(summary = "The same stage as a SPICE netlist")
    @Asks("LoadLineRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The netlist",
            content = @Content(mediaType = MediaType.TEXT_PLAIN_VALUE, schema = @Schema(implementation = String.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/load-line.cir")
    ResponseEntity<Object> netlist(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, LoadLineShape.SHAPE, CANNOT, MediaType.TEXT_PLAIN, (fields, faults) -> {
            LoadLineRequestReader.Asked asked = new LoadLineRequestReader(fields, tubes.catalogue()).read();
            return () -> performance(asked, faults)
                    .map(found -> new Netlist(
                                    found,
                                    "%s %s"
                                            .formatted(
                                                    asked.type().name(),
                                                    Code.of(asked.stage().topology())))
                            .write())
                    .orElse(null);
        });
    }

    private Optional<Performance> performance(LoadLineRequestReader.Asked asked, Faults faults) {
        try {
            return Optional.of(new FullDrive(asked.stage(), FullDrive.STEPS, asked.drive()).compute());
        } catch (UnsettledException e) {
            faults.add(LoadLineShape.LOAD_OHMS.name(), new StageFinding.Unsettled(e.rounds()));
            return Optional.empty();
        }
    }

    @Operation(summary = "The load the tubes see of a speaker on a tap")
    @Asks("ReflectedLoadRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The load",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = ReflectedLoadResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/reflected-load", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> reflected(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, ReflectedLoadShape.SHAPE, "page.api.reflected-load", JsonStageController::reflect);
    }

    private static Supplier<Object> reflect(JsonFields fields, Faults faults) {
        double speaker = fields.required(ReflectedLoadShape.SPEAKER_OHMS);
        OptionalDouble nominal = fields.number(ReflectedLoadShape.PRIMARY_OHMS);
        if (fields.has(ReflectedLoadShape.PRIMARY_VOLTS) || fields.has(ReflectedLoadShape.SECONDARY_VOLTS)) {
            double primary = fields.required(ReflectedLoadShape.PRIMARY_VOLTS);
            double secondary = fields.required(ReflectedLoadShape.SECONDARY_VOLTS);
            return () -> ReflectedLoadResponse.of(Reflection.measured(primary, secondary, speaker, nominal));
        }
        double primary = fields.required(ReflectedLoadShape.PRIMARY_OHMS);
        double tap = fields.required(ReflectedLoadShape.TAP_OHMS);
        return () -> ReflectedLoadResponse.of(Reflection.onTap(primary, tap, speaker));
    }
}
