package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.amp.Accepted;
import yellowrail.core.idle.IdleCalculation;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.IdleFinding;
import yellowrail.core.idle.ImpossibleReadingException;
import yellowrail.core.idle.Judge;
import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.Slot;
import yellowrail.web.form.Faults;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Computes one idle reading without storing it. */
@RestController
class IdleController {

    private static final Map<Slot, JsonField> FIELDS = Map.of(
            Slot.SCREEN_AMPS,
            IdleShape.SCREEN_MILLIAMPS,
            Slot.PLATE_READING,
            IdleShape.PLATE_VOLTS,
            Slot.SENSE_READING,
            IdleShape.SENSE_VOLTS);

    private final TubeService tubes;
    private final Words words;
    private final JsonExchange exchange;

    IdleController(TubeService tubes, Words words, JsonExchange exchange) {
        this.exchange = exchange;
        this.tubes = tubes;
        this.words = words;
    }

    @Operation(summary = "Idle dissipation of one tube from its meter readings, with verdict")
    @Asks("IdleRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The idle",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = IdleResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/idle", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> idle(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, IdleShape.SHAPE, "page.api.idle", (fields, faults) -> {
            IdleRequestReader.Asked asked = new IdleRequestReader(fields, tubes.catalogue(), faults).read();
            return () -> compute(asked, faults);
        });
    }

    private Object compute(IdleRequestReader.Asked asked, Faults faults) {
        try {
            IdleFigures figures = new IdleCalculation(asked.problem()).compute();
            Judgement judgement = new Judge(asked.goal(), Accepted.NONE).judge(figures, false);
            List<String> notes = new ArrayList<>(words.say(judgement.notes()));
            notes.addAll(words.say(asked.assumptions()));
            return IdleResponse.of(figures, judgement, notes);
        } catch (ImpossibleReadingException e) {
            faults.add(
                    FIELDS.getOrDefault(e.slot(), IdleShape.PLATE_VOLTS).name(),
                    new IdleFinding.Contradiction(e.finding()));
            return null;
        }
    }
}
