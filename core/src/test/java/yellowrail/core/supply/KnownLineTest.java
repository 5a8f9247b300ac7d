package yellowrail.core.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.timeline.Timeline;

class KnownLineTest {

    private static final String ONE = "mains 120; V1 34; V2 34; plate 452";
    private static final String OTHER = "mains 120; V1 44; V2 44; plate 443";

    private static KnownLine known(AmpSheet sheet, Timeline timeline) {
        return new KnownLine(sheet, new SupplyReadings(StageIdle.of(timeline.present()), timeline));
    }

    private static KnownLine known(AmpSheet sheet, String... lines) {
        return known(sheet, new Amps.Typed(sheet).lines(lines).timeline());
    }

    private static Finding why(SupplyLine line) {
        assertThat(line.isGuessed()).isTrue();
        return ((SupplyFinding.LineGuessed) line.finding()).why();
    }

    private static AmpSheet with(Rectifier rectifier, double secondary) {
        return Amps.pair()
                .with(new Supply(
                        rectifier,
                        false,
                        secondary > 0 ? OptionalDouble.of(secondary) : OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()));
    }

    @Test
    void beforeAnythingWholeWasReadThereIsNone() {
        assertThat(known(Amps.pair()).now()).isEmpty();
        assertThat(known(Amps.pair(), "V1 34", "V2 34").now()).isEmpty();
        assertThat(known(Amps.pair(), ONE).before()).isEmpty();
    }

    @Test
    void oneSettingIsAsUsualForTheRectifier() {
        for (Rectifier rectifier : new Rectifier[] {Rectifier.TUBE, Rectifier.SILICON}) {
            SupplyLine line = known(with(rectifier, 0), ONE).now().orElseThrow();
            assertThat(line.resistance()).as(rectifier.name()).isEqualTo(rectifier.usualOhms());
            assertThat(why(line)).isEqualTo(new SupplyFinding.GuessedAsUsualFor(rectifier.usualOhms(), rectifier));
            assertThat(line.voltsAt(2 * 0.034, 1)).isCloseTo(452, within(0.5));
        }
        assertThat(why(known(with(Rectifier.UNKNOWN, 0), ONE).now().orElseThrow()))
                .isEqualTo(new SupplyFinding.GuessedAsUsual(Rectifier.UNKNOWN.usualOhms()));
    }

    /** Four tubes hang on a transformer twice as big, one on one that is smaller, but not by half. */
    @Test
    void moreTubesHaveABiggerTransformer() {
        AmpSheet quad = Amps.quad();
        SupplyLine line = known(quad, "mains 120; TP 8.7V; plate 318").now().orElseThrow();
        assertThat(line.resistance()).isEqualTo(quad.supply().rectifier().usualOhms() / 2);
    }

    /** 350 V RMS peaks at 495 V; (495 - 452) V at 68 mA are 632 ohm. A tube rectifier never gets there. */
    @Test
    void theWindingsPeakSaysMoreThanCustom() {
        SupplyLine line = known(with(Rectifier.SILICON, 350), ONE).now().orElseThrow();
        double ohms = (Math.sqrt(2) * 350 - 452) / 0.068;
        assertThat(line.resistance()).isCloseTo(ohms, within(1.0));
        assertThat(why(line))
                .isInstanceOfSatisfying(
                        SupplyFinding.GuessedFromPeak.class,
                        peak -> assertThat(peak.ohms()).isCloseTo(ohms, within(1.0)));
        assertThat(why(known(with(Rectifier.TUBE, 350), ONE).now().orElseThrow()))
                .isInstanceOf(SupplyFinding.GuessedAsUsualFor.class);
        assertThat(why(known(with(Rectifier.SILICON, 300), ONE).now().orElseThrow()))
                .as("plates above the peak: the winding is not what the sheet says")
                .isInstanceOf(SupplyFinding.GuessedAsUsualFor.class);
    }

    /** 9 V at 20 mA are 450 ohm; measured, nothing is halved. */
    @Test
    void theSecondSettingMeasuresIt() {
        KnownLine known = known(Amps.pair(), ONE, "turn RANGE clockwise", OTHER);
        SupplyLine now = known.now().orElseThrow();
        assertThat(now.isGuessed()).isFalse();
        assertThat(now.resistance()).isCloseTo(450, within(15.0));
        assertThat(known.before())
                .hasValueSatisfying(before -> assertThat(before.isGuessed()).isTrue());
        assertThat(known.halved(now)).isEmpty();
    }

    @Test
    void otherHardwareStartsFromTheResistanceFoundBefore() {
        SupplyLine line = known(
                        Amps.pair(),
                        ONE,
                        "turn RANGE clockwise",
                        OTHER,
                        "off",
                        "tube V1 EL34",
                        "tube V2 EL34",
                        "on",
                        "mains 120; V1 30; V2 31; plate 457")
                .now()
                .orElseThrow();
        assertThat(line.resistance()).isCloseTo(450, within(15.0));
        assertThat(why(line)).isInstanceOf(SupplyFinding.GuessedAsBefore.class);
    }

    @Test
    void aGuessIsHalvedDownToATenthAndNoFurther() {
        KnownLine known = known(Amps.pair(), ONE);
        SupplyLine line = known.now().orElseThrow();
        double usual = line.resistance();
        int halvings = 0;
        for (Optional<SupplyLine> next = known.halved(line); next.isPresent(); next = known.halved(line)) {
            assertThat(next.get().resistance()).isEqualTo(line.resistance() / 2);
            assertThat(next.get().voltsAt(0.068, 1)).as("through what was read").isCloseTo(452, within(0.5));
            line = next.get();
            halvings++;
        }
        assertThat(halvings).isEqualTo(4);
        assertThat(line.resistance()).isEqualTo(usual / 16);
        assertThat(why(line)).isEqualTo(new SupplyFinding.GuessedWithinReach(usual / 16));
    }
}
