package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.media.Schema.RequiredMode;
import java.util.List;

/** A log to be played again, as the OpenAPI document tells it; {@link RunRequestReader} reads it. */
@Schema(description = "An amp, what was typed at it, and when. Nothing of it is stored.")
record RunRequest(
        @Schema(requiredMode = RequiredMode.REQUIRED) AmpRequest amp,

        @Schema(requiredMode = RequiredMode.REQUIRED, description = "In the order of time, at most 2000")
        List<Item> log,

        @Schema(
                example = "2026-03-01T19:40:00Z",
                description = "When the answer is wanted for; the last of the log if left out")
        String now) {

    @Schema(description = "Either a line as on the entry line, or the amp with its sheet changed")
    record Item(
            @Schema(requiredMode = RequiredMode.REQUIRED, example = "2026-03-01T19:05:00Z")
            String at,

            @Schema(example = "V1 36.4 V2 33.9 plate 452") String line,

            @Schema(
                    defaultValue = "false",
                    description = "The question about the line has been answered: it counts as typed")
            Boolean confirmed,

            AmpRequest amp) {}

    record AmpRequest(
            @Schema(requiredMode = RequiredMode.REQUIRED, example = "6L6GC")
            String tubeType,

            @Schema(
                    allowableValues = {"push-pull", "single-ended"},
                    defaultValue = "push-pull")
            String topology,

            @Schema(
                    requiredMode = RequiredMode.REQUIRED,
                    example = "2",
                    minimum = "1",
                    maximum = "8",
                    description = "Power tubes in all channels")
            Integer tubes,

            @Schema(defaultValue = "false") Boolean stereo,

            @Schema(
                    allowableValues = {"fixed-adjustable", "fixed", "cathode-shared", "cathode-per-tube"},
                    defaultValue = "fixed-adjustable")
            String biasKind,

            @Schema(
                    allowableValues = {
                        "cathode-sense",
                        "sense-shared",
                        "stage",
                        "cathode-milliamps",
                        "plate-milliamps",
                        "cathode-bias",
                        "half-primary-drop",
                        "supply-drop",
                        "panel"
                    },
                    description = "As usual for the bias if left out")
            String method,

            @Schema(
                    minimum = "0.01",
                    maximum = "100000",
                    description = "At each test point; 1 for a sense resistor if left out")
            Double ohms,

            @Schema(
                    allowableValues = {"mV", "V", "mA"},
                    description = "What the meter shows at the test point; as usual for the method if left out")
            String shows,

            @Schema(description = "One for each tube; V1, V2, ... as usual if left out")
            List<SocketRequest> sockets,

            @Schema(description = "RANGE for all tubes, its direction not known, if left out with adjustable bias")
            List<PotRequest> pots,

            @Schema(
                    example = "silicon",
                    description = "silicon, tube, unknown, or the type number of a rectifier tube",
                    defaultValue = "unknown")
            String rectifier,

            @Schema(
                    minimum = "0",
                    maximum = "5000",
                    description = "Current of the rail that is not the power tubes', mA")
            Double otherMilliamps,

            @Schema(minimum = "20", maximum = "500", defaultValue = "120")
            Double mainsVolts,

            @Schema(
                    allowableValues = {"typical", "measured", "not-deducted"},
                    defaultValue = "typical")
            String screenWay,

            @Schema(
                    allowableValues = {"ground", "cathode"},
                    defaultValue = "ground")
            String plateReference,

            @Schema(
                    minimum = "1",
                    maximum = "2000",
                    description = "Built so, plate to cathode, over the published limit, up to this")
            Double acceptedPlateVolts,

            @Schema(minimum = "1", maximum = "2000") Double acceptedScreenVolts,

            @Schema(description = "As customary for the bias if left out")
            TargetRequest target,

            @Schema(minimum = "0", maximum = "120", defaultValue = "10")
            Double settleMinutes) {}

    record SocketRequest(
            @Schema(requiredMode = RequiredMode.REQUIRED, example = "V1")
            String label,

            @Schema(allowableValues = {"push", "pull", "single"})
            String side,

            @Schema(
                    allowableValues = {"mono", "left", "right"},
                    defaultValue = "mono")
            String channel,

            @Schema(description = "The same for sockets that share one; the label if left out")
            String testPoint) {}

    record PotRequest(
            @Schema(requiredMode = RequiredMode.REQUIRED, example = "RANGE")
            String name,

            @Schema(
                    allowableValues = {"range", "group", "balance", "tube"},
                    defaultValue = "range")
            String action,

            @Schema(description = "Labels of the sockets it acts on; all if left out")
            List<String> sockets,

            @Schema(
                    allowableValues = {"unknown", "clockwise", "anticlockwise"},
                    defaultValue = "unknown",
                    description = "Which way is hotter, as seen on the meter")
            String hotter) {}

    @Schema(
            description =
                    "low, aim and high in percent of the rating, mA, or what the meter shows, as the school has it")
    record TargetRequest(
            @Schema(
                    allowableValues = {"share-of-rating", "current-window", "makers-figure", "by-ear", "hot-cathode"},
                    defaultValue = "share-of-rating")
            String school,

            @Schema(requiredMode = RequiredMode.REQUIRED, example = "50")
            Double low,

            @Schema(requiredMode = RequiredMode.REQUIRED, example = "62")
            Double aim,

            @Schema(requiredMode = RequiredMode.REQUIRED, example = "70")
            Double high) {}
}
