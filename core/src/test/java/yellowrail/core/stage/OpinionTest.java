package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

class OpinionTest {

    private static final KnownModel MODEL =
            TubeModels.published().of(Amps.type("6L6GC")).orElseThrow();
    private static final Rating RATING = Amps.type("6L6GC").customaryRating();

    private static Performance at(double plate, double screen, double load, double idle) {
        OutputStage fixed = new OutputStage(
                MODEL.model(),
                Topology.PUSH_PULL,
                1,
                plate,
                screen,
                Connection.PENTODE,
                0.4,
                OutputStage.Bias.fixed(0),
                load);
        return new FullDrive(AmpStage.atIdle(fixed, idle, false)).compute();
    }

    private static List<StageFinding> of(Performance found) {
        return Opinion.of(found, WorstCase.of(found.stage()), MODEL, RATING);
    }

    private static <T extends StageFinding> Optional<T> among(List<StageFinding> all, Class<T> type) {
        return all.stream().filter(type::isInstance).map(type::cast).findFirst();
    }

    @Test
    void aStageWithinItsLimitsIsToldOnlyHowFarToTrustIt() {
        assertThat(of(at(360, 270, 6600, 0.040)))
                .hasExactlyElementsOfTypes(StageFinding.FromTheTypeAlone.class, StageFinding.ModelOf.class);
    }

    /** 450 V at 90 mA are 40.5 W of 30. */
    @Test
    void anIdleOverTheRatingIsTheFirstToBeTold() {
        List<StageFinding> notes = of(at(450, 350, 6600, 0.090));
        assertThat(notes.get(0)).isInstanceOfSatisfying(StageFinding.IdleOverRating.class, over -> {
            assertThat(over.watts()).isBetween(40.4, 40.6);
            assertThat(over.rating()).isEqualTo(30);
        });
    }

    /** 27 W of 30 in the mean; the side that draws more is over, whichever it is. */
    @Test
    void theHotterSideIsJudged() {
        for (double apart : new double[] {-0.3, 0.3}) {
            Performance found =
                    new FullDrive(AmpStage.apart(at(450, 350, 6600, 0.060).stage(), apart)).compute();
            assertThat(among(of(found), StageFinding.IdleOverRating.class))
                    .hasValueSatisfying(over -> assertThat(over.watts()).isBetween(30.5, 31.6));
            assertThat(found.cathodeAmps()).isGreaterThan((found.plateAmps() + found.screenAmps()) / 2);
        }
    }

    /** A heavy load draws so much that the plates of full drive pass what they stand at rest. */
    @Test
    void aHeavyLoadOverheatsThePlates() {
        Performance heavy = at(450, 400, 1600, 0.040);
        assertThat(among(of(heavy), StageFinding.PlatesOverRating.class))
                .hasValueSatisfying(over ->
                        assertThat(over.watts()).isEqualTo(heavy.plateWatts()).isGreaterThan(30));
        assertThat(among(of(at(450, 400, 6600, 0.040)), StageFinding.PlatesOverRating.class))
                .isEmpty();
    }

    /** A light load keeps the plates low and drives the screens. */
    @Test
    void aLightLoadOverheatsTheScreens() {
        Performance light = at(450, 450, 20_000, 0.040);
        assertThat(among(of(light), StageFinding.ScreensOverRating.class)).hasValueSatisfying(over -> {
            assertThat(over.watts()).isEqualTo(light.screenWatts());
            assertThat(over.rating()).isEqualTo(RATING.screenWatts().getAsDouble());
        });
    }

    @Test
    void aTubeThatCarriesNothingAtRestIsCutOff() {
        assertThat(among(of(at(400, 350, 6600, 0.0005)), StageFinding.CutOffAtRest.class))
                .hasValueSatisfying(off -> assertThat(off.grid()).isLessThan(-40));
    }

    @Test
    void distortionIsToldAsASizeWithWhatLeadsIt() {
        StageFinding told = Opinion.distortion(at(400, 350, 6600, 0.040));
        assertThat(told).isInstanceOfAny(StageFinding.Distortion.class, StageFinding.SmallDistortion.class);
        Performance heavy = at(400, 350, 2000, 0.040);
        assertThat(heavy.leadingHarmonic()).as("the sides cancel the second").isEqualTo(3);
        assertThat(Opinion.distortion(heavy).toString()).contains(StageFinding.Harmonic.values()[1].name());
    }
}
