package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.media.Schema.RequiredMode;
import java.util.List;

/** Tubes to be matched, as the OpenAPI document tells it. */
@Schema(description = "Tubes tested at one condition. Figures of different conditions do not belong into one request.")
record MatchRequest(
        @ArraySchema(arraySchema = @Schema(requiredMode = RequiredMode.REQUIRED), minItems = 2, maxItems = 5000)
        List<MatchTube> tubes,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "2",
                minimum = "2",
                maximum = "8",
                description = "Tubes in a group")
        Integer groupSize,

        @Schema(
                description = "Greatest spread of current within a group, mA; any if left out",
                minimum = "0",
                maximum = "1000")
        Double toleranceMilliamps) {

    /** One tube. */
    record MatchTube(
            @Schema(
                    requiredMode = RequiredMode.REQUIRED,
                    example = "A12",
                    description = "Differs from every other; 1 to 40 characters")
            String label,

            @Schema(
                    requiredMode = RequiredMode.REQUIRED,
                    example = "36.4",
                    minimum = "0.01",
                    maximum = "2000",
                    description = "Current at the test, mA")
            Double milliamps,

            @Schema(description = "mA/V; counted if every tube has one", minimum = "0.01", maximum = "100")
            Double transconductance) {}
}
