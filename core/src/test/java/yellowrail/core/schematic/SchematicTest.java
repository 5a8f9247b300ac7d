package yellowrail.core.schematic;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.tube.TubeType;
import yellowrail.core.walk.Route;
import yellowrail.core.walk.Stop;

class SchematicTest {

    private static final TubeType EL34 = Amps.CATALOGUE.find("EL34").orElseThrow();
    private static final OptionalDouble NO = OptionalDouble.empty();

    static List<AmpSheet> amps() {
        List<AmpSheet> amps = new ArrayList<>();
        for (int tubes : new int[] {1, 2, 4, 6, 8}) {
            for (BiasKind bias : BiasKind.values()) {
                amps.add(amp(tubes == 1 ? Topology.SINGLE_ENDED : Topology.PUSH_PULL, bias, tubes, false));
                if (tubes >= 4) {
                    amps.add(amp(Topology.PUSH_PULL, bias, tubes, true));
                }
            }
        }
        for (CurrentMethod method : CurrentMethod.values()) {
            for (BiasKind bias : BiasKind.values()) {
                for (ScreenSense.Connection screens : ScreenSense.Connection.values()) {
                    amps.add(octet(method, bias).with(new ScreenSense(ScreenSense.Way.TYPICAL, NO, screens, NO)));
                }
            }
        }
        return amps;
    }

    private static AmpSheet octet(CurrentMethod method, BiasKind bias) {
        return new AmpDefaults(Topology.PUSH_PULL, bias, EL34, 8, method.acrossResistance()).sheet(method);
    }

    private static AmpSheet amp(Topology topology, BiasKind bias, int tubes, boolean stereo) {
        return new AmpDefaults(topology, bias, EL34, tubes, stereo).sheet();
    }

    private static Schematic drawn(AmpSheet sheet, Map<String, String> written, double most) {
        return Schematic.of(sheet, Amps.CATALOGUE, written, StagePoints.NONE, most);
    }

    private static List<Drawn.Symbol> signs(Schematic schematic, Sign sign) {
        return schematic.drawn().stream()
                .filter(each -> each instanceof Drawn.Symbol symbol && symbol.sign() == sign)
                .map(each -> (Drawn.Symbol) each)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("amps")
    void everyTubeHangsFromTheRailWithWhatBelongsToIt(AmpSheet sheet) {
        for (double most : new double[] {1280, 372}) {
            Schematic schematic = drawn(sheet, Map.of(), most);
            int tubes = sheet.sockets().size();
            assertThat(schematic.width()).isLessThanOrEqualTo(most);
            assertThat(signs(schematic, Sign.POWER_TUBE)).hasSize(tubes);
            long sides = signs(schematic, Sign.PUSH).size()
                    + signs(schematic, Sign.PULL).size()
                    + signs(schematic, Sign.SINGLE).size();
            assertThat(sides).isEqualTo(tubes);
            assertThat(signs(schematic, Sign.SPEAKER)).hasSize(sheet.channels());
            int pots = sheet.bias() == BiasKind.FIXED_ADJUSTABLE ? sheet.pots().size() : 0;
            assertThat(signs(schematic, Sign.POT)).hasSize(pots);
            assertThat(named(schematic))
                    .containsAll(sheet.sockets().stream()
                            .map(socket -> socket.label())
                            .toList());
            assertThat(named(schematic)).containsAll(sheet.testPoints());
        }
    }

    /** No point of the stage is listed apart: each is drawn where the probe goes. */
    @ParameterizedTest
    @MethodSource("amps")
    void everyPointIsDrawnAtItsPlace(AmpSheet sheet) {
        Snapshot now = Amps.timeline(sheet, List.of()).present();
        for (double most : new double[] {1280, 372}) {
            Schematic schematic = Schematic.of(sheet, Amps.CATALOGUE, Map.of(), StagePoints.of(now, List.of()), most);
            assertThat(schematic.drawn().stream().filter(each -> each instanceof Drawn.Probe))
                    .hasSize(Stop.of(sheet, Route.LISTED).size());
            assertThat(schematic.drawn().stream()
                            .filter(each ->
                                    each instanceof Drawn.Text text && text.says() instanceof SchematicFinding.AtStage))
                    .isEmpty();
        }
    }

    private static List<String> named(Schematic schematic) {
        return schematic.drawn().stream()
                .filter(each -> each instanceof Drawn.Text text && text.says() instanceof SchematicFinding.Called)
                .map(each -> ((SchematicFinding.Called) ((Drawn.Text) each).says()).name())
                .toList();
    }

    /** Every end of a wire lies on another wire, on a symbol or on the rail: nothing hangs in the air. */
    @ParameterizedTest
    @MethodSource("amps")
    void noWireEndsInTheAir(AmpSheet sheet) {
        Schematic schematic = drawn(sheet, Map.of(), 4000);
        List<Drawn.Wire> wires = schematic.drawn().stream()
                .filter(each -> each instanceof Drawn.Wire)
                .map(each -> (Drawn.Wire) each)
                .toList();
        List<Drawn.Symbol> symbols = schematic.drawn().stream()
                .filter(each -> each instanceof Drawn.Symbol)
                .map(each -> (Drawn.Symbol) each)
                .toList();
        for (Drawn.Wire wire : wires) {
            if (wire.rail()) {
                continue;
            }
            for (var end : List.of(
                    wire.corners().get(0), wire.corners().get(wire.corners().size() - 1))) {
                boolean held = wires.stream().anyMatch(other -> other != wire && passes(other, end.x(), end.y()))
                        || symbols.stream()
                                .anyMatch(symbol -> Math.hypot(
                                                symbol.at().x() - end.x(),
                                                symbol.at().y() - end.y())
                                        <= 32);
                assertThat(held)
                        .as("%s at %s of %s", end, wire, sheet.sockets())
                        .isTrue();
            }
        }
    }

    private static boolean passes(Drawn.Wire wire, double x, double y) {
        for (int i = 1; i < wire.corners().size(); i++) {
            var one = wire.corners().get(i - 1);
            var other = wire.corners().get(i);
            boolean inX = x >= Math.min(one.x(), other.x()) - 0.01 && x <= Math.max(one.x(), other.x()) + 0.01;
            boolean inY = y >= Math.min(one.y(), other.y()) - 0.01 && y <= Math.max(one.y(), other.y()) + 0.01;
            if (inX && inY && (one.x() == other.x() || one.y() == other.y())) {
                return true;
            }
        }
        return false;
    }

    @ParameterizedTest
    @ValueSource(doubles = {372, 700, 1280})
    void whereThereIsLessRoomItFoldsAlongTheRail(double most) {
        Schematic octet = drawn(amp(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, 8, false), Map.of(), most);
        long rails = octet.drawn().stream()
                .filter(each -> each instanceof Drawn.Wire wire && wire.rail())
                .count();
        assertThat(rails).isGreaterThan(2);
        assertThat(octet.width()).isLessThanOrEqualTo(most);
    }

    /** From the winding to ground without a gap, past every tube; a drawing that is not about it has none of it. */
    @ParameterizedTest
    @CsvSource({
        "PUSH_PULL, FIXED_ADJUSTABLE, 4, true",
        "PUSH_PULL, CATHODE_SHARED, 4, false",
        "SINGLE_ENDED, CATHODE_EACH, 1, false",
        "PUSH_PULL, FIXED_ADJUSTABLE, 2, false"
    })
    void theWayOfTheCurrentIsOneWay(Topology topology, BiasKind bias, int tubes, boolean stereo) {
        AmpSheet sheet = amp(topology, bias, tubes, stereo);
        Schematic lit = Schematic.withWay(sheet, Amps.CATALOGUE, 2400);
        List<Drawn.Wire> open = new ArrayList<>(lit.drawn().stream()
                .filter(Drawn.Way.class::isInstance)
                .map(way -> new Drawn.Wire(((Drawn.Way) way).corners(), false))
                .toList());
        List<Drawn.Wire> reached = new ArrayList<>(List.of(open.remove(0)));
        for (boolean more = true; more; ) {
            List<Drawn.Wire> next = open.stream()
                    .filter(wire -> reached.stream().anyMatch(other -> touches(wire, other)))
                    .toList();
            reached.addAll(next);
            open.removeAll(next);
            more = !next.isEmpty();
        }
        assertThat(open).as("stretches that hang in the air").isEmpty();
        assertThat(lit.drawn())
                .filteredOn(each -> each instanceof Drawn.Stop stop && stop.part() == OnTheWay.TUBE)
                .hasSize(tubes);
        assertThat(drawn(sheet, Map.of(), 2400).drawn())
                .noneMatch(each -> each instanceof Drawn.Way || each instanceof Drawn.Stop);
    }

    /** A tube lets it through from its plate to its cathode. */
    private static boolean touches(Drawn.Wire one, Drawn.Wire other) {
        double through = 2 * TubeBlock.RADIUS;
        return one.corners().stream()
                        .anyMatch(corner -> passes(other, corner.x(), corner.y())
                                || passes(other, corner.x(), corner.y() - through)
                                || passes(other, corner.x(), corner.y() + through))
                || other.corners().stream().anyMatch(corner -> passes(one, corner.x(), corner.y()));
    }

    @Test
    void whatIsWrittenOnATubeStandsBesideIt() {
        assertThat(named(drawn(Amps.pair(), Map.of("V1", "A12"), 1280))).contains("A12", "6L6GC");
    }

    @Test
    void everyTapIsWritten() {
        AmpSheet three =
                Amps.pair().with(Amps.pair().fittings().with(NO, new Iron(List.of(4.0, 8.0, 16.0), NO, List.of())));
        assertThat(named(drawn(three, Map.of(), 1280))).contains("4/8/16");
        AmpSheet two = three.with(three.fittings().with(NO, new Iron(List.of(4.0, 8.0), NO, List.of())));
        assertThat(drawn(two, Map.of(), 1280).drawn())
                .filteredOn(each -> each instanceof Drawn.Text text && text.says() instanceof SchematicFinding.Ohms)
                .hasSizeGreaterThanOrEqualTo(2);
    }

    /** A triode has no screen, an ultralinear stage hangs its screens on the transformer. */
    @Test
    void aTriodeHasNoScreenAndNothingThatFeedsOne() {
        AmpSheet triode = new AmpDefaults(
                        Topology.SINGLE_ENDED,
                        BiasKind.CATHODE_EACH,
                        Amps.CATALOGUE.find("300B").orElseThrow(),
                        1,
                        false)
                .sheet();
        assertThat(signs(drawn(triode, Map.of(), 1280), Sign.POWER_TRIODE)).hasSize(1);
        assertThat(screensNamed(triode)).isFalse();
        assertThat(screensNamed(Amps.pair())).isTrue();
        assertThat(screensNamed(Amps.pair()
                        .with(new ScreenSense(ScreenSense.Way.TYPICAL, NO, ScreenSense.Connection.ULTRALINEAR, NO))))
                .isFalse();
    }

    private static boolean screensNamed(AmpSheet sheet) {
        return drawn(sheet, Map.of(), 1280).drawn().stream()
                .anyMatch(each -> each instanceof Drawn.Text text && text.says() instanceof SchematicFinding.Screens);
    }

    /** A bridge needs four diodes and no tap; two with a centre tap; a tube is one envelope. */
    @Test
    void aBridgeIsToldFromACentreTap() {
        AmpSheet pair = Amps.pair();
        Supply silicon = new Supply(Rectifier.SILICON, false, NO, NO, NO, NO, NO, NO);
        assertThat(diodes(pair.with(silicon))).isEqualTo(3);
        assertThat(diodes(pair.with(
                        new Supply(Rectifier.SILICON, false, NO, NO, NO, NO, NO, NO, NO, false, true, false))))
                .as("with the bias supply's own")
                .isEqualTo(5);
        assertThat(diodes(pair.with(new Supply(Rectifier.TUBE, false, NO, NO, NO, NO, NO, NO, NO, false, true, false))))
                .isEqualTo(1);
    }

    private static long diodes(AmpSheet sheet) {
        return signs(drawn(sheet, Map.of(), 1280), Sign.DIODE).size();
    }
}
