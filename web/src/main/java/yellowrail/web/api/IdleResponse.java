package yellowrail.web.api;

import static yellowrail.web.api.JsonNumbers.milliamps;
import static yellowrail.web.api.JsonNumbers.round;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.Judgement;

/** The idle of one tube: currents per tube, mA; plate voltage to the cathode, V. Plus-minus at 95 %. */
record IdleResponse(
        @Schema(description = "Plate to cathode, V") double plateVolts,
        double cathodeMilliamps,

        @Schema(description = "Screen current taken off, mA; 0 when not deducted")
        double screenMilliamps,

        double plateMilliamps,
        double dissipationWatts,

        @Schema(description = "Half width of the 95 % interval, W")
        double plusMinusWatts,

        double percentOfRating,

        @Schema(allowableValues = {"cold", "in-window", "hot", "over-rating"})
        String verdict,

        List<String> notes) {

    static IdleResponse of(IdleFigures figures, Judgement judgement, List<String> notes) {
        return new IdleResponse(
                round(figures.plateVolts().value()),
                milliamps(figures.cathode().value()),
                milliamps(figures.screen().value()),
                milliamps(figures.plateCurrent().value()),
                round(figures.dissipation().value()),
                round(figures.dissipation().plusMinus()),
                round(100 * judgement.ratio()),
                judgement.verdict().token(),
                notes);
    }
}
