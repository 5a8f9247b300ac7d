package yellowrail.web.api;

import static yellowrail.web.api.JsonNumbers.milliamps;
import static yellowrail.web.api.JsonNumbers.round;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.Energy;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.WorstCase;
import yellowrail.web.words.Words;

/** A stage at full drive: a sine to the edge of grid current. */
record LoadLineResponse(
        @Schema(description = "Of the fundamental, in the load")
        double powerWatts,

        @Schema(description = "Second to ninth harmonic; an estimate")
        double thdPercent,

        @Schema(description = "2nd to 9th, percent of the fundamental")
        List<Double> harmonicsPercent,

        @Schema(description = "Whole stage") double idlePlateMilliamps,
        @Schema(description = "Whole stage, mean") double fullPlateMilliamps,
        @Schema(description = "Whole stage") double idleScreenMilliamps,
        @Schema(description = "Whole stage, mean") double fullScreenMilliamps,

        @Schema(description = "DC left in the core at rest, counted in half the primary; single-ended in all of it")
        double idleCoreMilliamps,

        @Schema(description = "The same, driven, mean") double fullCoreMilliamps,

        @Schema(description = "Of the tube that takes most, at full drive")
        double plateDissipationWatts,

        @Schema(description = "Of the tube that takes most, at full drive")
        double screenDissipationWatts,

        @Schema(description = "The most from rest to full drive, sine or square")
        Worst worstPlates,

        @Schema(description = "The most from rest to full drive, sine or square")
        Worst worstScreens,

        double peakPlateVolts,
        @Schema(description = "Of one tube") double peakPlateMilliamps,
        @Schema(description = "Grid to cathode at idle, V") double biasVolts,
        @Schema(description = "At each grid") double peakDriveVolts,
        double efficiencyPercent,

        @Schema(description = "Where what the supplies give ends, of the whole stage")
        EnergyWatts energy,

        @Schema(
                description =
                        "Power up to which both sides carry current; null single-ended, and where they do to the end")
        Double classAWatts,

        @Schema(description = "What clips first, and at which power")
        String clipping,

        List<String> notes) {

    /** A dissipation of one tube and where it lies. */
    record Worst(
            double watts,

            @Schema(description = "Of full drive; 0 at rest")
            double drivePercent,

            @Schema(allowableValues = {"sine", "square"}) String wave) {

        static Worst of(WorstCase.Worst worst) {
            return new Worst(round(worst.watts()), round(100 * worst.part()), Code.of(worst.wave()));
        }
    }

    /** Means over the cycle; supplied is the sum of the others. */
    record EnergyWatts(double supplied, double load, double copper, double plates, double screens, double stoppers) {

        static EnergyWatts of(Energy energy) {
            return new EnergyWatts(
                    round(energy.supplied()),
                    round(energy.load()),
                    round(energy.copper()),
                    round(energy.plates()),
                    round(energy.screens()),
                    round(energy.stoppers()));
        }
    }

    static LoadLineResponse of(Performance found, WorstCase worst, List<String> notes, Words words) {
        Performance.Clipping clipping = found.clipping();
        return new LoadLineResponse(
                round(found.powerWatts()),
                round(100 * found.distortion()),
                found.harmonics().stream().map(ratio -> round(100 * ratio)).toList(),
                milliamps(found.idle().allPlateAmps()),
                milliamps(found.plateAmps()),
                milliamps(found.idle().allScreenAmps()),
                milliamps(found.screenAmps()),
                milliamps(found.idle().coreAmps(found.stage())),
                milliamps(found.coreAmps()),
                round(found.plateWatts()),
                round(found.screenWatts()),
                Worst.of(worst.plates()),
                Worst.of(worst.screens()),
                round(found.peakPlateVolts()),
                milliamps(found.peakPlateAmps()),
                round(found.idle().gridVolts()),
                round(found.peakDrive()),
                round(100 * found.efficiency()),
                EnergyWatts.of(found.energy()),
                found.classAWatts().isPresent() ? round(found.classAWatts().getAsDouble()) : null,
                words.message(
                        "page.load-line.api-clips", words.name(clipping.limit()), Figures.fixed(clipping.watts(), 1)),
                notes);
    }
}
