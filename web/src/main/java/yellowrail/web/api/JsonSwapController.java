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
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.swap.SwapCheck;
import yellowrail.core.tube.TubeType;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Checks a swap without storing anything. */
@RestController
class JsonSwapController {

    private final TubeService tubes;
    private final Words words;
    private final JsonExchange exchange;

    JsonSwapController(TubeService tubes, Words words, JsonExchange exchange) {
        this.exchange = exchange;
        this.tubes = tubes;
        this.words = words;
    }

    @Operation(summary = "Whether one tube type can take the place of another, question by question")
    @Asks("SwapRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The verdict and the lines",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = SwapResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/swap-check", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> check(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(body, SwapShape.SHAPE, "page.api.swap", (fields, faults) -> {
            TubeType in = fields.tubeType(SwapShape.IN, tubes.catalogue());
            TubeType wants = fields.tubeType(SwapShape.WANTS, tubes.catalogue());
            SwapAmp amp = new SwapRequestReader(fields).read();
            return () -> SwapResponse.of(new SwapCheck(amp, in).of(wants), words);
        });
    }
}
