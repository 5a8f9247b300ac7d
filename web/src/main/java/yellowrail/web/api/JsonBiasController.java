package yellowrail.web.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import yellowrail.core.bias.circuit.BiasNetlist;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.review.BiasRemark;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.root.UnsettledException;
import yellowrail.web.form.Faults;
import yellowrail.web.words.Words;

/** Bias supplies, nothing stored. */
@RestController
class JsonBiasController {

    private static final String CANNOT = "page.api.bias-supply";

    private final Words words;
    private final JsonExchange exchange;

    JsonBiasController(Words words, JsonExchange exchange) {
        this.words = words;
        this.exchange = exchange;
    }

    @Operation(summary = "What a bias supply gives at both stops of its pot, what its parts bear, and what fails")
    @Asks("BiasSupplyRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The supply, solved",
            content =
                    @Content(
                            mediaType = MediaType.APPLICATION_JSON_VALUE,
                            schema = @Schema(implementation = BiasSupplyResponse.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/bias-supply", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> supply(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(
                body,
                BiasSupplyShape.SHAPE,
                CANNOT,
                (fields, faults) -> solved(fields, faults, asked -> BiasSupplyResponse.of(asked, words)));
    }

    @Operation(summary = "The same supply as a SPICE netlist, its pot at the coldest stop")
    @Asks("BiasSupplyRequest")
    @ApiResponse(
            responseCode = "200",
            description = "The netlist",
            content = @Content(mediaType = MediaType.TEXT_PLAIN_VALUE, schema = @Schema(implementation = String.class)))
    @RefusedWithFaults
    @PostMapping(path = "/api/bias-supply.cir")
    ResponseEntity<Object> netlist(@Parameter(hidden = true) InputStream body) throws IOException {
        return exchange.answer(
                body,
                BiasSupplyShape.SHAPE,
                CANNOT,
                MediaType.TEXT_PLAIN,
                (fields, faults) -> solved(
                        fields,
                        faults,
                        asked -> new BiasNetlist(
                                        SteadyStateSolver.solve(asked.supply().circuit(PotStand.COLDEST, 1)),
                                        "bias supply, pot at its coldest stop")
                                .write()));
    }

    private Supplier<Object> solved(
            JsonFields fields, Faults faults, Function<BiasSupplyRequestReader.Asked, Object> answer) {
        Supplier<BiasSupplyRequestReader.Asked> asked = new BiasSupplyRequestReader(fields).read();
        return () -> {
            try {
                return answer.apply(asked.get());
            } catch (UnsettledException e) {
                faults.add(BiasSupplyShape.SOURCE_VOLTS.name(), new BiasRemark.Unsettled(e.rounds()));
                return null;
            }
        };
    }
}
