package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.idle.IdleCalculation;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.ImpossibleReadingException;
import yellowrail.core.idle.Judge;
import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.Slot;
import yellowrail.web.form.Faults;
import yellowrail.web.tubes.TubeService;

/** Computes one idle reading without storing it. */
@RestController
class IdleController {

    private static final int LONGEST_BODY = 65_536;
    private static final Map<Slot, String> FIELDS = Map.of(Slot.SCREEN_AMPS, "screenMilliamps", Slot.PLATE_READING, "plateVolts",
            Slot.SENSE_READING, "senseVolts");

    private final TubeService tubes;

    IdleController(TubeService tubes) {
        this.tubes = tubes;
    }

    @Operation(summary = "Idle dissipation of one tube from its meter readings, with verdict",
            requestBody = @io.swagger.v3.oas.annotations.parameters.RequestBody(required = true, content = @Content(
                    mediaType = MediaType.APPLICATION_JSON_VALUE, schema = @Schema(implementation = IdleRequest.class))))
    @ApiResponse(responseCode = "200", description = "The idle", content = @Content(
            mediaType = MediaType.APPLICATION_JSON_VALUE, schema = @Schema(implementation = IdleResponse.class)))
    @ApiResponse(responseCode = "400", description = "Every fault with its field, in one problem document (RFC 9457): errors is a list of field and message",
            content = @Content(mediaType = MediaType.APPLICATION_PROBLEM_JSON_VALUE, schema = @Schema(implementation = ProblemDetail.class)))
    @PostMapping(path = "/api/idle", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> idle(@Parameter(hidden = true) InputStream body) throws IOException {
        Faults faults = new Faults();
        try {
            IdleRequestReader.Asked asked = new IdleRequestReader(JsonFields.parse(text(body), faults), tubes.catalogue(), faults).read();
            if (asked == null) {
                return problem(faults, "%d field(s) cannot be used; each is listed with what to send.".formatted(faults.byField().size()));
            }
            IdleFigures figures = new IdleCalculation(asked.problem()).compute();
            Judgement judgement = new Judge(asked.rating(), asked.target()).judge(figures, false);
            List<String> notes = new ArrayList<>(judgement.notes());
            notes.addAll(asked.assumptions());
            return ResponseEntity.ok(IdleResponse.of(figures, judgement, notes));
        } catch (JsonFields.NotAnObjectException e) {
            return problem(faults, e.getMessage());
        } catch (ImpossibleReadingException e) {
            faults.add(FIELDS.getOrDefault(e.slot(), "plateVolts"), "The readings contradict one another: " + e.getMessage() + ".");
            return problem(faults, "The readings contradict one another.");
        }
    }

    /** The body as sent, whatever it is called: a form-encoding client sends good JSON too. */
    private static String text(InputStream body) throws IOException {
        byte[] bytes = body.readNBytes(LONGEST_BODY + 1);
        if (bytes.length > LONGEST_BODY) {
            throw new JsonFields.NotAnObjectException("The body is longer than %d bytes; a reading is far shorter.".formatted(LONGEST_BODY));
        }
        return new String(bytes, StandardCharsets.UTF_8);
    }

    private static ResponseEntity<Object> problem(Faults faults, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, detail);
        problem.setTitle("The reading cannot be computed");
        problem.setProperty("errors", faults.byField().entrySet().stream()
                .map(fault -> Map.of("field", fault.getKey(), "message", fault.getValue())).toList());
        return ResponseEntity.badRequest().contentType(MediaType.APPLICATION_PROBLEM_JSON).body(problem);
    }
}
