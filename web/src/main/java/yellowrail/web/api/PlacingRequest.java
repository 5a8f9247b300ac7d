package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.media.Schema.RequiredMode;
import java.util.List;

/** Tubes and the sockets they are for, as the OpenAPI document tells it. */
@Schema(description = "As many tubes as sockets, 1 to 8; where nothing is better they stay in the order given.")
record PlacingRequest(
        @ArraySchema(arraySchema = @Schema(requiredMode = RequiredMode.REQUIRED), minItems = 1, maxItems = 8)
        List<PlacingTube> tubes,

        @ArraySchema(arraySchema = @Schema(requiredMode = RequiredMode.REQUIRED), minItems = 1, maxItems = 8)
        List<PlacingSocket> sockets) {

    /** One tube. */
    record PlacingTube(
            @Schema(requiredMode = RequiredMode.REQUIRED, example = "A12")
            String label,

            @Schema(requiredMode = RequiredMode.REQUIRED, example = "36.4", minimum = "0.01", maximum = "2000")
            Double milliamps) {}

    /** One socket. */
    record PlacingSocket(
            @Schema(requiredMode = RequiredMode.REQUIRED, example = "V1")
            String label,

            @Schema(
                    requiredMode = RequiredMode.REQUIRED,
                    allowableValues = {"push", "pull", "single"})
            String side,

            @Schema(
                    defaultValue = "mono",
                    example = "left",
                    description = "What the channel is called; at most three different ones")
            String channel) {}
}
