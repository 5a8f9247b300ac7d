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
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.finding.Code;
import yellowrail.core.iron.Reflection;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Netlist;
import yellowrail.core.stage.Opinion;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.UnsettledException;
import yellowrail.web.form.Faults;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Load lines and reflected loads, nothing stored. */
@RestController
class JsonStageController {

    private static final String CANNOT = "The load line cannot be computed";

    private final TubeService tubes;
    private final Words words;

    JsonStageController(TubeService tubes, Words words) {
        this.tubes = tubes;
        this.words = words;
    }

    @Operation(
            summary = "Power, harmonics, currents and dissipation of an output stage at full drive",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                                            schema = @Schema(implementation = LoadLineRequest.class))))
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
        return JsonExchange.answer(body, CANNOT, (fields, faults) -> {
            LoadLineRequestReader.Asked asked = new LoadLineRequestReader(fields, tubes.catalogue()).read();
            return () -> performance(asked, faults)
                    .map(found -> LoadLineResponse.of(
                            found,
                            words.say(Opinion.of(
                                    found, asked.model(), asked.type().customaryRating())),
                            words))
                    .orElse(null);
        });
    }

    @Operation(
            summary = "The same stage as a SPICE netlist",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                                            schema = @Schema(implementation = LoadLineRequest.class))))
    @ApiResponse(
            responseCode = "200",
            description = "The netlist",
            content = @Content(mediaType = MediaType.TEXT_PLAIN_VALUE, schema = @Schema(implementation = String.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/load-line.cir")
    ResponseEntity<Object> netlist(@Parameter(hidden = true) InputStream body) throws IOException {
        return JsonExchange.answer(body, CANNOT, MediaType.TEXT_PLAIN, (fields, faults) -> {
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
            return Optional.of(new FullDrive(asked.stage()).compute());
        } catch (UnsettledException e) {
            faults.add("loadOhms", words.say(e.finding()));
            return Optional.empty();
        }
    }

    @Operation(
            summary = "The load the tubes see of a speaker on a tap",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                                            schema = @Schema(implementation = ReflectedLoadRequest.class))))
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
        return JsonExchange.answer(body, "The load cannot be computed", JsonStageController::reflect);
    }

    private static Supplier<Object> reflect(JsonFields fields, Faults faults) {
        fields.only(Set.of("primaryOhms", "tapOhms", "speakerOhms", "primaryVolts", "secondaryVolts"));
        double speaker = fields.required("speakerOhms", 0, 1e6, "what hangs on the secondary, ohm");
        OptionalDouble nominal = fields.number("primaryOhms", 50, 1e6);
        if (fields.has("primaryVolts") || fields.has("secondaryVolts")) {
            double primary = fields.required("primaryVolts", 0.001, 1000, "volts across the whole primary");
            double secondary = fields.required("secondaryVolts", 0.0001, 1000, "volts of the tap");
            return () -> ReflectedLoadResponse.of(Reflection.measured(primary, secondary, speaker, nominal));
        }
        double primary = fields.required(
                "primaryOhms",
                50,
                1e6,
                "the primary\u2019s nominal load, or primaryVolts and secondaryVolts as measured");
        double tap = fields.required("tapOhms", 0.1, 1000, "the speaker the tap is meant for");
        return () -> ReflectedLoadResponse.of(Reflection.onTap(primary, tap, speaker));
    }
}
