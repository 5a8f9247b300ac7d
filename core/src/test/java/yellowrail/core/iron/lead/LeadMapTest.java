package yellowrail.core.iron.lead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import yellowrail.core.iron.RatioMeasurement;
import yellowrail.core.iron.lead.LeadMap.Expected;
import yellowrail.core.iron.lead.LeadMap.Role;

class LeadMapTest {

    private static LeadMap unknown(String typed) {
        return LeadMap.of(
                LeadReading.parseAll(typed),
                true,
                Map.of(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static LeadMap known(String typed) {
        return LeadMap.of(
                LeadReading.parseAll(typed),
                true,
                Map.of(
                        "P1", new Expected(Role.PLATE, 0),
                        "S1", new Expected(Role.SCREEN, 0.28),
                        "B+", new Expected(Role.CENTRE, 0.5),
                        "P2", new Expected(Role.PLATE, 1),
                        "0", new Expected(Role.COMMON, 1),
                        "8", new Expected(Role.SPEAKER, 0)),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static String codes(LeadMap map) {
        return map.says().stream().map(LeadFinding::code).collect(Collectors.joining(" "));
    }

    @Test
    void numberedLeadsNameThemselves() {
        LeadMap map = unknown("1-5 67.2; 1-3 33.6; 3-5 33.6; 2-3 14.4; 1-2 19.2; 4-3 14.4; 4-5 19.2;"
                + " 6-9 3.39; 6-8 2.40; 6-7 1.70");
        assertThat(map.says()).isEmpty();
        assertThat(map.roles().get("1").role()).isEqualTo(Role.PLATE);
        assertThat(map.roles().get("5").role()).isEqualTo(Role.PLATE);
        assertThat(map.roles().get("3").role()).isEqualTo(Role.CENTRE);
        assertThat(map.roles().get("2").figure().getAsDouble()).isCloseTo(14.4 / 33.6, within(1e-9));
        assertThat(map.roles().get("6").role()).isEqualTo(Role.COMMON);
        RatioMeasurement ratio = map.ratio().orElseThrow();
        assertThat(ratio.found().get(1).turns()).isCloseTo(28.0, within(1e-9));
        assertThat(ratio.tapSets()).isNotEmpty();
        assertThat(ratio.screenTap().getAsDouble()).isCloseTo(0.4286, within(1e-3));
    }

    /** Any order of any leads, each read to two others of its winding, comes out as it was wound. */
    @Test
    void anyTransformerComesOutAsItWasWound() {
        Random chance = new Random(8);
        for (int i = 0; i < 500; i++) {
            double ultralinear = 0.1 + 0.7 * chance.nextDouble();
            double turns = 15 + 40 * chance.nextDouble();
            double[] places = {0, 0.5 - ultralinear / 2, 0.5, 0.5 + ultralinear / 2, 1};
            double volts = turns * 2;
            List<Integer> names = new ArrayList<>(List.of(1, 2, 3, 4, 5, 6, 7, 8, 9));
            Collections.shuffle(names, chance);
            List<String> typed = new ArrayList<>();
            for (int lead = 0; lead < 5; lead++) {
                for (int end : new int[] {0, 4}) {
                    if (lead != end && (lead != 4 || end == 0)) {
                        typed.add("%d-%d %.4f"
                                .formatted(
                                        names.get(lead), names.get(end), Math.abs(places[lead] - places[end]) * volts));
                    }
                }
            }
            double[] taps = {0, Math.sqrt(0.25), Math.sqrt(0.5), 1};
            for (int tap = 1; tap < 4; tap++) {
                typed.add("%d-%d %.4f".formatted(names.get(5), names.get(5 + tap), taps[tap] * 2));
            }
            Collections.shuffle(typed, chance);
            LeadMap map = unknown(String.join("; ", typed));
            assertThat(map.roles().get("" + names.get(0)).role())
                    .as(typed.toString())
                    .isEqualTo(Role.PLATE);
            assertThat(map.roles().get("" + names.get(2)).role())
                    .as(typed.toString())
                    .isEqualTo(Role.CENTRE);
            assertThat(map.roles().get("" + names.get(3)).figure().getAsDouble())
                    .as(typed.toString())
                    .isCloseTo(ultralinear, within(0.01));
            assertThat(map.roles().get("" + names.get(5)).role())
                    .as(typed.toString())
                    .isEqualTo(Role.COMMON);
            assertThat(map.ratio().orElseThrow().found().get(2).turns()).isCloseTo(turns, within(0.01 * turns));
        }
    }

    /** From the centre alone two ends look as one; the reading that is missing is asked for. */
    @Test
    void whatMayLieOnEitherSideIsAskedFor() {
        LeadMap map = unknown("3-1 33.6; 3-5 33.6; 6-8 2.4");
        assertThat(codes(map)).contains("read-between");
        assertThat(codes(unknown("3-1 33.6; 3-5 33.6; 1-5 67.2; 6-8 2.4"))).isEmpty();
    }

    @Test
    void halfAPrimaryIsNotTakenForAllOfIt() {
        assertThat(codes(known("B+-P1 33.6; 0-8 2.4"))).isEqualTo("half-only");
        assertThat(known("B+-P1 33.6; 0-8 2.4").ratio()).isEmpty();
        assertThat(codes(unknown("1-2 33.6; 6-8 2.4"))).isEqualTo("perhaps-half");
        assertThat(known("P1-P2 67.2; 0-8 2.4")
                        .ratio()
                        .orElseThrow()
                        .found()
                        .get(0)
                        .turns())
                .isCloseTo(28, within(1e-9));
    }

    @Test
    void whatDoesNotAgreeIsTold() {
        assertThat(codes(known("P1-P2 67.2; B+-P1 33.6; B+-P2 29; 0-8 2.4"))).contains("does-not-add-up");
        assertThat(codes(known("P1-P2 67.2; S1-P1 33.6; 0-8 2.4"))).isEqualTo("not-as-named");
        assertThat(known("P1-P2 67.2; B+-P1 33.6; B+-S1 14.4; 0-8 2.4")
                        .ratio()
                        .orElseThrow()
                        .screenTap()
                        .getAsDouble())
                .as("on the side where it is expected")
                .isCloseTo(14.4 / 33.6, within(1e-9));
        LeadMap swapped = known("P1-P2 33.6; B+-P2 67.2; B+-P1 33.6; 0-8 2.4");
        assertThat(codes(swapped)).contains("half-only");
        assertThat(codes(unknown("1-2 182 ohm"))).isEqualTo("only-ohms");
        assertThat(codes(unknown("1-2 67"))).isEqualTo("one-winding-only");
        assertThat(codes(unknown(""))).isEqualTo("nothing-read");
    }

    @Test
    void readingsAreTypedInAnyOrder() {
        List<LeadReading> readings = LeadReading.parseAll("P1-P2 67.2\nP1 - P2 182 ohm; 0\u20138 240mV; P2-P1 67.4");
        assertThat(readings).hasSize(3);
        assertThat(readings.get(2)).isEqualTo(new LeadReading("P2", "P1", LeadReading.Kind.VOLTS, 67.4));
        assertThat(readings.get(1).value()).isCloseTo(0.24, within(1e-12));
        assertThatThrownBy(() -> LeadReading.parseAll("P1-P2 200k"))
                .as("ohms have a range of their own")
                .hasMessageContaining("ohms-out-of-range");
        for (String bad : new String[] {"P1", "P1-P1 3", "P1-P2 lots", "P1-P2 -3", "P1-P2 3 mA", "P1-P2 2000"}) {
            assertThatThrownBy(() -> LeadReading.parseAll(bad)).as(bad).isInstanceOf(BadLeadException.class);
        }
    }
}
