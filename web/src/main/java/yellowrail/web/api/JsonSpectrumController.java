package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.wav.WavException;
import yellowrail.core.wav.WavReader;
import yellowrail.web.bounds.InTurn;
import yellowrail.web.form.Faults;
import yellowrail.web.words.Words;

/** Measures a sound, nothing stored. */
@RestController
class JsonSpectrumController {

    private static final String BODY = "body";

    private final Words words;
    private final JsonExchange exchange;
    private final InTurn inTurn;

    JsonSpectrumController(Words words, JsonExchange exchange, InTurn inTurn) {
        this.words = words;
        this.exchange = exchange;
        this.inTurn = inTurn;
    }

    @Operation(summary = "Level, distortion, hum and noise of a recorded tone")
    @AsksBesideSound
    @ApiResponse(
            responseCode = "200",
            description = "What was measured in each channel",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = SpectrumResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/spectrum", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> spectrum(
            @Parameter(hidden = true) InputStream body,
            @Parameter(hidden = true) @RequestParam Map<String, String> query) {
        return exchange.answer(query, SpectrumShape.SHAPE, "page.api.spectrum", (fields, faults) -> {
            Supplier<SpectrumRequestReader.Asked> asked = new SpectrumRequestReader(fields).read();
            return () -> inTurn.take(() -> measured(body, asked.get(), faults));
        });
    }

    private SpectrumResponse measured(InputStream body, SpectrumRequestReader.Asked asked, Faults faults) {
        try {
            return SpectrumResponse.of(WavReader.read(body), asked, words);
        } catch (WavException e) {
            faults.add(BODY, e.why());
            return null;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
