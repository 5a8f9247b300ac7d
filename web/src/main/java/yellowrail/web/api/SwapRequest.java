package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.media.Schema.RequiredMode;

/** An amp and two types, as the OpenAPI document tells it; {@link SwapRequestReader} reads it. */
@Schema(
        description = "The amp's data, all optional but the stage: what is left out is answered as unknown. Voltages "
                + "to the cathode.")
record SwapRequest(
        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "6L6GC",
                description = "Type that is in; a rating system may follow in brackets")
        String in,

        @Schema(requiredMode = RequiredMode.REQUIRED, example = "EL34", description = "Type that wants in")
        String wants,

        @Schema(
                requiredMode = RequiredMode.REQUIRED,
                example = "2",
                minimum = "1",
                maximum = "8",
                description = "Power tubes in all channels")
        Integer tubes,

        @Schema(
                minimum = "1",
                maximum = "2",
                defaultValue = "1",
                description = "Channels, each with an output transformer of its own")
        Integer channels,

        @Schema(
                allowableValues = {"push-pull", "single-ended"},
                defaultValue = "push-pull")
        String stage,

        @Schema(
                allowableValues = {"fixed", "cathode"},
                defaultValue = "fixed")
        String biasKind,

        @Schema(
                allowableValues = {"pentode", "ultralinear", "triode"},
                defaultValue = "pentode")
        String connection,

        @Schema(minimum = "1", maximum = "2000") Double plateVolts,
        @Schema(minimum = "1", maximum = "2000") Double screenVolts,

        @Schema(minimum = "0.01", maximum = "2000", description = "Present idle of each tube, mA")
        Double cathodeMilliamps,

        @Schema(minimum = "-300", maximum = "0", description = "Grids as read, V")
        Double biasVolts,

        @Schema(minimum = "0.01", maximum = "100000") Double cathodeResistorOhms,

        @Schema(minimum = "0.01", maximum = "100", description = "Rating of the resistor in the cathodes, W")
        Double cathodeResistorWatts,

        @Schema(minimum = "1", maximum = "8", defaultValue = "1", description = "Tubes on that resistor")
        Integer sharedBy,

        @Schema(minimum = "0", maximum = "5000", description = "Current of the rail that is not the power tubes', mA")
        Double otherMilliamps,

        @Schema(minimum = "0.1", maximum = "50", description = "Rating of the heater winding")
        Double heaterWindingAmps,

        @Schema(minimum = "0", maximum = "50", description = "What else hangs on it")
        Double otherHeaterAmps,

        @Schema(example = "GZ34", description = "Rectifier tube; none if left out")
        String rectifier,

        @Schema(minimum = "1", maximum = "5000", description = "DC the power transformer gives")
        Double transformerMilliamps,

        @Schema(minimum = "1", maximum = "5000") Double chokeMilliamps,

        @Schema(minimum = "1", maximum = "5000", description = "DC of the output transformer, single-ended")
        Double outputMilliamps,

        @Schema(minimum = "10", maximum = "1000") Double roomHeightMm,
        @Schema(minimum = "10", maximum = "1000") Double roomWidthMm,
        @Schema(minimum = "1000", maximum = "10000000") Double gridLeakOhms,

        @Schema(minimum = "100", maximum = "100000", description = "Plate to plate, or on the one plate")
        Double loadOhms,

        @Schema(minimum = "-300", maximum = "0", description = "Bias at the coldest stop, V")
        Double biasColdestVolts,

        @Schema(minimum = "-300", maximum = "0", description = "Bias at the hottest stop, V")
        Double biasHottestVolts,

        @Schema(minimum = "1", maximum = "500", description = "Peak volts the driver gives each grid")
        Double driveVolts,

        @Schema(
                allowableValues = {"unknown", "cathode", "nothing", "ground"},
                defaultValue = "unknown",
                description = "What pin 1 of an octal socket is wired to")
        String pinOne,

        @Schema(example = "1 6", description = "Socket pins used as tie points")
        String tiedPins) {}
