package yellowrail.core.idle;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;

class StageSummaryTest {

    private static Finding says(AmpSheet sheet, String line) {
        return StageSummary.of(Amps.timeline(sheet, line)).sentence();
    }

    static Stream<Arguments> lines() {
        return Stream.of(
                Arguments.of("V1 72 V2 30 plate 452", IdleFinding.StageOverRating.class, "V1"),
                Arguments.of("V1 72 plate 452", IdleFinding.StageOverRating.class, "V1"),
                Arguments.of("V1 50 plate 452", IdleFinding.NoCurrent.class, "V2"),
                Arguments.of("V1 55 V2 30 plate 452", IdleFinding.StageHot.class, "V1"),
                Arguments.of("V1 30 V2 28 plate 452", IdleFinding.StageCold.class, "V2"),
                Arguments.of("V1 42 V2 43 plate 452", IdleFinding.AllInWindow.class, "V2"),
                Arguments.of("V1 90 V2 43 plate 452", IdleFinding.SwitchOffNow.class, "V1"));
    }

    @ParameterizedTest
    @MethodSource("lines")
    void saysWhatMattersMost(String line, Class<? extends Finding> finding, String whose) {
        assertThat(says(Amps.pair(), line)).isInstanceOf(finding);
        assertThat(says(Amps.pair(), line).toString()).contains(whose);
        assertThat(StageSummary.of(Amps.timeline(Amps.pair(), line))
                        .worst()
                        .socket()
                        .label())
                .isEqualTo(whose);
    }

    @Test
    void speaksTheUnitsOfTheSchool() {
        AmpSheet byCurrent = Amps.with(Amps.pair(), new Target(School.CURRENT_WINDOW, 0.035, 0.040, 0.045));
        assertThat(says(byCurrent, "V1 36 V2 50 plate 452"))
                .isEqualTo(
                        new IdleFinding.StageHot("V2", Shown.of(Unit.MILLIAMP, 0.050), Shown.of(Unit.MILLIAMP, 0.045)));
        AmpSheet byFigure = Amps.with(Amps.pair(), new Target(School.MAKERS_FIGURE, 0.030, 0.035, 0.040));
        assertThat(says(byFigure, "V1 29 V2 35 plate 452"))
                .isEqualTo(new IdleFinding.StageCold(
                        "V1", Shown.of(Unit.MILLIVOLT, 0.029), Shown.of(Unit.MILLIVOLT, 0.030)));
    }

    /** An over rating that rises under one's hands: 102 then 105 %. */
    @Test
    void overItsRatingAndRisingIsSwitchedOff() {
        assertThat(says(Amps.pair(), "V1 71 V2 43 plate 452")).isInstanceOf(IdleFinding.StageOverRating.class);
        StageSummary summary = StageSummary.of(Amps.timeline(Amps.pair(), "V1 71 V2 43 plate 452", "V1 73 plate 452"));
        assertThat(summary.sentence()).isInstanceOf(IdleFinding.SwitchOffRising.class);
        assertThat(StageSummary.of(Amps.timeline(Amps.pair(), "V1 73 V2 43 plate 452", "V1 71 plate 452"))
                        .alarm())
                .isEmpty();
    }
}
