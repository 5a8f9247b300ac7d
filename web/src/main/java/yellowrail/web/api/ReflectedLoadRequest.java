package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.media.Schema.RequiredMode;

/** A speaker on a tap, as the OpenAPI document tells it. */
@Schema(
        description = "Either the tap (primaryOhms, tapOhms) or a measured pair of volts (primaryVolts, "
                + "secondaryVolts; primaryOhms then only to judge by).")
record ReflectedLoadRequest(
        @Schema(example = "6600", minimum = "50", maximum = "1000000", description = "Nominal load of the primary")
        Double primaryOhms,

        @Schema(example = "8", minimum = "0.1", maximum = "1000", description = "Speaker the tap is meant for")
        Double tapOhms,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "16",
                minimum = "0",
                maximum = "1000000",
                description = "What hangs on it; 0 shorted, 1000000 open")
        Double speakerOhms,

        @Schema(example = "67.2", minimum = "0.001", maximum = "1000")
        Double primaryVolts,

        @Schema(example = "2.4", minimum = "0.0001", maximum = "1000")
        Double secondaryVolts) {}
