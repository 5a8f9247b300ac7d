package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.media.Schema.RequiredMode;

/** What one reading of one tube is made of, as the OpenAPI document tells it; {@link IdleRequestReader} reads it. */
@Schema(description = "One idle reading of one tube. Volts, milliamps, ohms, percent as the names say.")
record IdleRequest(
        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "6L6GC",
                description = "Type number from the catalogue; a rating system may follow in brackets: KT88 (absolute)")
        String tubeType,

        @Schema(
                description = "Your own plate dissipation limit, W, instead of the catalogue's",
                minimum = "0.1",
                maximum = "1000")
        Double paMaxWatts,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "452",
                minimum = "1",
                maximum = "5000",
                description = "Plate voltage as read, V")
        Double plateVolts,

        @Schema(
                allowableValues = {"cathode", "ground"},
                defaultValue = "ground",
                description = "What the black lead was on")
        String plateReference,

        @Schema(
                allowableValues = {"plate", "b-plus"},
                defaultValue = "plate",
                description = "Where the red lead was")
        String platePoint,

        @Schema(description = "Half-primary resistance, ohm; needed at b-plus", minimum = "0.01", maximum = "100000")
        Double halfPrimaryOhms,

        @Schema(
                description = "Cathode to ground, V, if read by itself; otherwise what the method tells",
                minimum = "0",
                maximum = "1000")
        Double cathodeVolts,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                allowableValues = {
                    "cathode-sense",
                    "cathode-milliamps",
                    "plate-milliamps",
                    "cathode-bias",
                    "half-primary-drop"
                },
                example = "cathode-sense")
        String method,

        @Schema(
                description = "V across the resistance; needed for the methods across one",
                example = "0.0364",
                minimum = "0.000001",
                maximum = "1000")
        Double senseVolts,

        @Schema(description = "That resistance, ohm", example = "1", minimum = "0.01", maximum = "100000")
        Double senseOhms,

        @Schema(
                description = "Current as the meter shows it, mA; needed for the milliamps methods",
                minimum = "0.001",
                maximum = "5000")
        Double milliamps,

        @Schema(description = "Tubes that share the reading", defaultValue = "1", minimum = "1", maximum = "16")
        Integer sharedBy,

        @Schema(description = "Tolerance of the resistance, percent", defaultValue = "1", minimum = "0", maximum = "50")
        Double senseTolerancePercent,

        @Schema(description = "Meter accuracy, percent of reading", defaultValue = "0.5", minimum = "0", maximum = "20")
        Double meterPercent,

        @Schema(
                allowableValues = {"typical", "measured", "not-deducted"},
                defaultValue = "typical")
        String screenWay,

        @Schema(description = "Screen current per tube, mA; needed when measured", minimum = "0", maximum = "1000")
        Double screenMilliamps,

        @Schema(
                allowableValues = {"fixed", "cathode", "single-ended"},
                defaultValue = "fixed",
                description = "Decides the window")
        String biasKind) {}
