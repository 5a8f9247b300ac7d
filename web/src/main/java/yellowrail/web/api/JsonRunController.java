package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Plays a log again without storing it. */
@RestController
class JsonRunController {

    private final TubeService tubes;
    private final Words words;
    private final JsonExchange exchange;

    JsonRunController(TubeService tubes, Words words, JsonExchange exchange) {
        this.exchange = exchange;
        this.tubes = tubes;
        this.words = words;
    }

    @Operation(
            summary = "A log played again: verdicts, supply line, next move, and the lines that were asked about "
                    + "or refused")
    @Asks("RunRequest")
    @ApiResponse(
            responseCode = "200",
            description = "Where the amp stands",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = RunResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/run", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> run(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, RunShape.SHAPE, "page.api.run", (fields, faults) -> {
            RunRequestReader reader = new RunRequestReader(fields, tubes.catalogue());
            return () -> RunResponse.of(reader.play(), reader.now(), words);
        });
    }
}
