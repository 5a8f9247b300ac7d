package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.media.Schema.RequiredMode;

/** An output stage, as the OpenAPI document tells it; {@link LoadLineRequestReader} reads it. */
@Schema(
        description = "One output stage at idle and its load. Voltages to the cathode. One of biasVolts and "
                + "cathodeResistorOhms.")
record LoadLineRequest(
        @Schema(requiredMode = RequiredMode.REQUIRED, example = "6L6GC", description = "A type with a model")
        String tubeType,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                allowableValues = {"push-pull", "single-ended"})
        String stage,

        @Schema(minimum = "1", maximum = "4", defaultValue = "1")
        Integer tubesPerSide,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "450",
                minimum = "20",
                maximum = "2000",
                description = "Plate at idle, V")
        Double plateVolts,

        @Schema(
                example = "400",
                minimum = "20",
                maximum = "2000",
                description = "Screen at idle, V; needed for pentode, the plates' otherwise")
        Double screenVolts,

        @Schema(
                allowableValues = {"pentode", "ultralinear", "triode"},
                defaultValue = "pentode")
        String connection,

        @Schema(
                minimum = "1",
                maximum = "99",
                defaultValue = "43",
                description = "Screens' tap, percent of the half primary")
        Double ultralinearPercent,

        @Schema(example = "-37", minimum = "-300", maximum = "0", description = "Grid to cathode, V, fixed bias")
        Double biasVolts,

        @Schema(
                minimum = "0.1",
                maximum = "100000",
                description = "By-passed resistor common to all cathodes of the stage")
        Double cathodeResistorOhms,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "5600",
                minimum = "50",
                maximum = "1000000",
                description = "Plate to plate, or on the one plate")
        Double loadOhms,

        @Schema(
                minimum = "0",
                maximum = "5000",
                defaultValue = "0",
                description = "Copper of the half primary, single-ended of the primary")
        Double primaryOhms,

        @Schema(minimum = "0", maximum = "10000", defaultValue = "0", description = "Resistance of the plate supply")
        Double supplyOhms,

        @Schema(
                minimum = "0",
                maximum = "100000",
                defaultValue = "0",
                description = "Resistance of the screens' supply")
        Double screenSupplyOhms) {}
