package yellowrail.core.swap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.core.swap.SwapCheckTest.amp;
import static yellowrail.core.swap.SwapCheckTest.fittings;
import static yellowrail.core.swap.SwapCheckTest.line;
import static yellowrail.core.swap.SwapCheckTest.says;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.Fittings.PinOne;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.heater.HeaterExchange;
import yellowrail.core.heater.HeaterText;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.SmallTube;
import yellowrail.core.tube.TubeCatalogue;

/** The other tubes of an amp: its rectifier, its drivers and splitters. */
class OtherTubesTest {

    private static SwapReport exchanged(SwapAmp amp, String in, String wants, RectifierSurroundings around) {
        return new RectifierSwap(
                        amp,
                        RectifierType.find(in).orElseThrow(),
                        RectifierType.find(wants).orElseThrow(),
                        around)
                .report();
    }

    /** The rise by the pulses, and 36 mA x 400 / (400 + rise). */
    @Test
    void aRectifierSwapKeepsTheDissipationEqual() {
        SwapAmp amp = amp(2, 400, fittings(PinOne.UNKNOWN, ""));
        SwapReport better = exchanged(amp, "5U4GB", "5AR4", RectifierSurroundings.UNKNOWN);
        RectifierFinding.PlatesMoveTo moved =
                says(line(better, SwapQuestion.PLATES), RectifierFinding.PlatesMoveTo.class);
        assertThat(moved.by()).isBetween(15.0, 30.0);
        assertThat(moved.plusMinus()).isBetween(3.0, 10.0);
        assertThat(moved.to()).isCloseTo(400 + moved.by(), within(1e-9));
        assertThat(moved.each()).isCloseTo(0.036 * 400 / moved.to(), within(1e-9));
        assertThat(line(
                                exchanged(amp, "silicon", "5R4GYB", RectifierSurroundings.UNKNOWN),
                                SwapQuestion.FIRST_CAPACITOR)
                        .says())
                .isEqualTo(List.of(new RectifierFinding.CapacitorTooLarge(40e-6, 4e-6)));
        assertThat(exchanged(amp, "5AR4", "EZ81", RectifierSurroundings.UNKNOWN).verdict())
                .as("another heater")
                .isEqualTo(SwapReport.Verdict.DO_NOT);
        assertThat(line(exchanged(amp, "5AR4", "silicon", RectifierSurroundings.UNKNOWN), SwapQuestion.RECTIFIER_HEATER)
                        .says())
                .isEqualTo(List.of(new RectifierFinding.SiliconNeedsNone()));
    }

    /** A filament is there before the power tubes draw; what holds off twice the peak names its series diode. */
    @Test
    void aRectifierMustHoldOffAndBeThere() {
        SwapAmp amp = amp(2, 400, fittings(PinOne.UNKNOWN, ""));
        Supply supply = new Supply(
                Rectifier.TUBE,
                false,
                OptionalDouble.empty(),
                OptionalDouble.of(450),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        SwapReport direct =
                exchanged(amp, "GZ34", "5U4GB", new RectifierSurroundings(supply, Optional.empty(), Optional.empty()));
        assertThat(line(direct, SwapQuestion.BEFORE_THE_TUBES).outcome()).isEqualTo(Outcome.STOP);
        assertThat(line(direct, SwapQuestion.INVERSE_VOLTS).says())
                .hasAtLeastOneElementOfType(RectifierFinding.SeriesDiodes.class);
        SwapReport warm =
                exchanged(amp, "5U4GB", "GZ34", new RectifierSurroundings(supply, Optional.empty(), Optional.empty()));
        assertThat(line(warm, SwapQuestion.BEFORE_THE_TUBES).outcome()).isEqualTo(Outcome.HOLDS);
        assertThat(line(warm, SwapQuestion.SURGE).outcome())
                .as("so much copper is to be measured")
                .isEqualTo(Outcome.UNKNOWN);
        assertThat(line(exchanged(amp, "GZ34", "silicon", RectifierSurroundings.UNKNOWN), SwapQuestion.SURGE)
                        .outcome())
                .isEqualTo(Outcome.HOLDS);
        assertThat(line(
                                exchanged(
                                        amp(2, 600, fittings(PinOne.UNKNOWN, "")),
                                        "silicon",
                                        "EZ80",
                                        RectifierSurroundings.UNKNOWN),
                                SwapQuestion.INVERSE_VOLTS)
                        .outcome())
                .isEqualTo(Outcome.STOP);
        assertThat(says(
                                line(
                                        exchanged(amp, "GZ34", "silicon", RectifierSurroundings.UNKNOWN),
                                        SwapQuestion.INVERSE_VOLTS),
                                RectifierFinding.DiodesInSeries.class)
                        .count())
                .isEqualTo(2);
    }

    /** 5 V, 2.5 A: a GZ34 takes 1.9 A of it, a 5U4GB 3 A. */
    @Test
    void theRectifiersWindingIsSummedWhereItIsWrittenDown() {
        SwapAmp amp = amp(2, 400, fittings(PinOne.UNKNOWN, ""));
        List<HeaterWinding> windings = HeaterText.parse("rect 5V 2.5A: 1 GZ34").windings();
        for (String wants : List.of("5U4GB", "GZ32")) {
            Optional<HeaterExchange> heaters = HeaterExchange.of(windings, "GZ34", wants, TubeCatalogue.published());
            Line heater = line(
                    exchanged(amp, "GZ34", wants, new RectifierSurroundings(Supply.UNKNOWN, heaters, Optional.empty())),
                    SwapQuestion.RECTIFIER_HEATER);
            assertThat(heater.outcome()).isEqualTo(wants.equals("5U4GB") ? Outcome.STOP : Outcome.HOLDS);
            assertThat(heater.says())
                    .isEqualTo(List.of(
                            new RectifierFinding.WindingTakes("rect", wants.equals("5U4GB") ? 3 : 2.3, 2.5, 1.9)));
        }
    }

    /** Two 12AX7 in halves at 6.3 V take 0.3 A each; two 6SN7GT 0.6 A each. */
    @Test
    void aDriverIsCheckedByItsHeaterAndTheRestIsSaidToBeOpen() {
        List<HeaterWinding> windings =
                HeaterText.parse("small 6.3V 1A: 2 12AX7").windings();
        SwapReport fits = small(windings, "12AX7", "12AU7");
        assertThat(line(fits, SwapQuestion.HEATER_WINDING).outcome()).isEqualTo(Outcome.HOLDS);
        assertThat(fits.verdict()).isEqualTo(SwapReport.Verdict.NOT_KNOWN_ENOUGH);
        SwapReport more = small(windings, "12AX7", "6SN7GT");
        assertThat(line(more, SwapQuestion.HEATER_WINDING).says())
                .isEqualTo(List.of(new RectifierFinding.WindingTakes("small", 1.2, 1, 0.6)));
        assertThat(more.verdict()).isEqualTo(SwapReport.Verdict.DO_NOT);
        assertThat(line(small(List.of(), "12AX7", "6SN7GT"), SwapQuestion.HEATER_VOLTS)
                        .outcome())
                .as("12.6 V in series where no winding is known")
                .isEqualTo(Outcome.STOP);
    }

    private static SwapReport small(List<HeaterWinding> windings, String in, String wants) {
        return new SmallTubeSwap(
                        SmallTube.find(in).orElseThrow(),
                        SmallTube.find(wants).orElseThrow(),
                        HeaterExchange.of(windings, in, wants, TubeCatalogue.published()))
                .report();
    }
}
