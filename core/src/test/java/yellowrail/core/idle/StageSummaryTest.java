package yellowrail.core.idle;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;

class StageSummaryTest {

    private static StageSummary summary(AmpSheet sheet, String line) {
        return new StageSummary(Amps.stage(sheet), Amps.idle(sheet, line));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "V1 72 V2 30 plate 452 | V1 is over its rating: 30.91 W of 30.00 W. Bring it down before anything else. | V1 over rating, 103.0 % of the rating",
            "V1 72 plate 452 | V1 is over its rating: 30.91 W of 30.00 W. Bring it down before anything else. | V1 over rating, 103.0 % of the rating",
            "V1 50 plate 452 | No current read at V2 yet: type V2 and what the meter shows in mV. | not judged yet",
            "V1 55 V2 30 plate 452 | V1 is hot: 78.7 %, and the window ends at 70.0 %. | V1 hot, 78.7 % of the rating",
            "V1 30 V2 28 plate 452 | V2 is cold: 40.1 %, and the window begins at 50.0 %. | V2 cold, 40.1 % of the rating",
            "V1 42 V2 43 plate 452 | Every tube is in its window; the hottest is V2 at 61.5 %. | V2 in window, 61.5 % of the rating"})
    void saysWhatMattersMost(String readings, String sentence, String inWords) {
        assertThat(summary(Amps.pair(), readings).sentence()).isEqualTo(sentence);
        assertThat(summary(Amps.pair(), readings).inWords()).isEqualTo(inWords);
    }

    @Test
    void speaksTheUnitsOfTheSchool() {
        AmpSheet byCurrent = Amps.with(Amps.pair(), new Target(School.CURRENT_WINDOW, 0.035, 0.040, 0.045));
        assertThat(summary(byCurrent, "V1 36 V2 50 plate 452").sentence()).isEqualTo("V2 is hot: 50.00 mA, and the window ends at 45.00 mA.");
        AmpSheet byFigure = Amps.with(Amps.pair(), new Target(School.MAKERS_FIGURE, 0.030, 0.035, 0.040));
        assertThat(summary(byFigure, "V1 29 V2 35 plate 452").sentence()).isEqualTo("V1 is cold: 29 mV, and the window begins at 30 mV.");
    }
}
