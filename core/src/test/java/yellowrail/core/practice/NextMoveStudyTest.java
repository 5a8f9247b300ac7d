package yellowrail.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import yellowrail.core.Thorough;
import yellowrail.core.practice.NextMoveStudy.Builder;
import yellowrail.core.practice.NextMoveStudy.Conditions;
import yellowrail.core.practice.NextMoveStudy.Second;
import yellowrail.core.practice.NextMoveStudy.Turning;

/** The study in small: the predicted setting, simulated, lands on the target. */
class NextMoveStudyTest {

    private static final int AMPS = Thorough.of(60, 20);

    @Test
    void perfectReadingsLandOnTheTarget() {
        double[] errors = NextMoveStudy.errors(Conditions.PERFECT, Second.FIRST_MOVE, AMPS);
        assertThat(NextMoveStudy.percentile(errors, 0.95)).isLessThan(0.001);
    }

    @Test
    void ordinaryMetersAndWanderingMainsStayWithinTheAim() {
        assertThat(NextMoveStudy.percentile(NextMoveStudy.errors(Conditions.MEASURED, Second.BY_CHANCE, AMPS), 0.95))
                .isLessThan(0.025);
        assertThat(NextMoveStudy.percentile(NextMoveStudy.errors(Conditions.TYPICAL, Second.BY_CHANCE, AMPS), 0.95))
                .isLessThan(0.035);
    }

    @Test
    void itTakesNoMoreReadingsThanDividing() {
        double application = Arrays.stream(NextMoveStudy.readingsNeeded(Builder.APPLICATION, Turning.BLIND, 0.01, AMPS))
                .average()
                .orElseThrow();
        double divides = Arrays.stream(NextMoveStudy.readingsNeeded(Builder.DIVIDES, Turning.BLIND, 0.01, AMPS))
                .average()
                .orElseThrow();
        assertThat(application).isLessThan(divides);
    }
}
