package yellowrail.core.amp.node;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.typed.LineFault;

class ChartTextTest {

    private static final ChartDefaults DRAWN = new ChartDefaults(Expected.Source.SCHEMATIC, OptionalDouble.of(117));

    private static ChartNode one(String line) {
        ChartText text = ChartText.parse(line, DRAWN);
        assertThat(text.faults()).as(line).isEmpty();
        assertThat(text.nodes()).as(line).hasSize(1);
        return text.nodes().get(0);
    }

    private static List<String> faults(String text) {
        return ChartText.parse(text, DRAWN).faults().stream()
                .map(fault -> fault.line() + " " + fault.says().code())
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "V1a plate 148 | V1a plate | PLATE | 148 | 148 | false",
                "V1a anode: 148,5 V | V1a anode | PLATE | 148.5 | 148.5 | false",
                "V1b  k = 1.5 | V1b k | CATHODE | 1.5 | 1.5 | false",
                "PI cathode\t55-70 | PI cathode | CATHODE | 55 | 70 | false",
                "PI cathode;55 to 70V; | PI cathode | CATHODE | 55 | 70 | false",
                "B+2 381.5 | B+2 | SUPPLY | 381.5 | 381.5 | false",
                "B+ 402 VDC | B+ | SUPPLY | 402 | 402 | false",
                "heaters 6.3 | heaters | HEATER | 6.3 | 6.3 | true",
                "heater 12.6 DC | heater | HEATER | 12.6 | 12.6 | false",
                "HT winding 330VAC | HT winding | SUPPLY | 330 | 330 | true",
                "bias \u221248 | bias | GRID | -48 | -48 | false",
                "bias feed -60..-48 | bias feed | GRID | -60 | -48 | false",
                "V1a cathode 1500mV | V1a cathode | CATHODE | 1.5 | 1.5 | false",
                "jack 0 | jack | OTHER | 0 | 0 | false",
            })
    void aLineIsANameAndItsVolts(String line, String label, NodeKind kind, double low, double high, boolean ac) {
        ChartNode node = one(line);
        assertThat(node.label()).isEqualTo(label);
        assertThat(node.kind()).isEqualTo(kind);
        assertThat(node.ac()).isEqualTo(ac);
        assertThat(node.expected().orElseThrow().low()).isEqualTo(low);
        assertThat(node.expected().orElseThrow().high()).isEqualTo(high);
        assertThat(node.expected().orElseThrow().mains()).hasValue(117);
    }

    /** What was drawn in a schematic of the time is good within a fifth; a range says itself how far. */
    @Test
    void theToleranceIsThatOfTheSource() {
        assertThat(one("V1a plate 148").expected().orElseThrow().tolerance()).isEqualTo(0.20);
        assertThat(one("V1a plate 140-160").expected().orElseThrow().tolerance())
                .isZero();
        ChartDefaults own = new ChartDefaults(Expected.Source.EARLIER_RUN, OptionalDouble.empty());
        Expected left =
                ChartText.parse("V1a plate 148", own).nodes().get(0).expected().orElseThrow();
        assertThat(left.tolerance()).isEqualTo(0.10);
        assertThat(left.mains()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"\t", ";", ","})
    void aTableIsReadHoweverItsColumnsAreParted(String between) {
        String comma = between.equals(",") ? "." : ",";
        String text = """
                Node|Volts|kind|stage|from|Ohms|ground-ohms|watts|uF|rated|series|bleeder|feeds

                B+ 1|402|supply||||||100|350|2|220k|plates
                B+ 2|381%s5|||B+ 1|choke 152||||||| screens
                V1a plate|148 V||V1a|B+ 2|100k||0%s5|||||
                V1a cathode|1%s5 to 1%s8||V1a|||1k5||||||
                """.formatted(comma, comma, comma, comma).replace("|", between);
        ChartText read = ChartText.parse(text, DRAWN);
        assertThat(read.faults()).isEmpty();
        assertThat(read.nodes()).hasSize(4);
        ChartNode reservoir = read.nodes().get(0);
        assertThat(reservoir.bank()).hasValue(new Bank(100e-6, 350, 2, OptionalDouble.of(220e3)));
        assertThat(reservoir.hangs()).isEqualTo(Hangs.PLATES);
        ChartNode screens = read.nodes().get(1);
        assertThat(screens.feed().orElseThrow().choke()).isTrue();
        assertThat(screens.feed().orElseThrow().through()).hasValue(Resistor.of(152));
        assertThat(read.nodes()
                        .get(2)
                        .feed()
                        .orElseThrow()
                        .through()
                        .orElseThrow()
                        .watts())
                .hasValue(0.5);
        assertThat(read.nodes().get(3).toGround()).hasValue(Resistor.of(1500));
        assertThat(read.nodes().get(3).expected().orElseThrow().high()).isEqualTo(1.8);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "V1a plate | 1 no-node-on-line",
                "148 | 1 no-node-on-line",
                "V1a plate 1,480 | 1 bad-number",
                "V1a plate 4000 | 1 out-of-range",
                "V1a plate 160-140 | 1 range-backwards",
                "a name that is far too long for a node 12 | 1 label-not-showable",
                "<b>V1</b> 12 | 1 label-not-showable",
                "name,volts,colour\\nV1,2,red | 1 no-such-column",
                "name,volts,volts\\nV1,2,3 | 1 column-twice",
                "name,volts\\nV1,2,3 | 2 more-cells",
                "name,volts\\n,2 | 2 name-missing",
                "name,kind\\nV1,transistor | 2 not-one-of",
                "name,volts,mains\\nV1,2,12 | 2 out-of-range",
                "name,volts,mains\\nV1,2,wall | 2 bad-number",
                "name,from,ohms\\nV1,,10k | 2 ohms-without-from",
                "name,from,ohms\\nB,,\\nV1,B, | 3 from-without-ohms",
                "name,from,ohms\\nB,,\\nV1,B,0 | 3 out-of-range",
                "name,uf\\nB,100 | 2 capacitor-without-rating",
                "name,in-series\\nB,9 | 2 not-one-of",
                "name,volts\\nV1,\"2 | 0 not-csv",
                "name,from,ohms\\nB,C,10k\\nC,B,10k | 0 fed-from-itself;0 fed-from-itself",
                "name,from,ohms\\nB,A,10k | 0 no-such-node",
                "V1 12\\nv1 13 | 0 label-twice",
            })
    void whatIsWrongIsSaidWithItsLine(String text, String codes) {
        assertThat(faults(text.replace("\\n", "\n"))).containsExactly(codes.split(";"));
    }

    @Test
    void everyLineIsLookedAtAndTheGoodOnesAreKept() {
        ChartText read = ChartText.parse("V1 plate 148\nnonsense\n\nV1 cathode 1.5\nV2 plate abc", DRAWN);
        assertThat(read.nodes()).extracting(ChartNode::label).containsExactly("V1 plate", "V1 cathode");
        assertThat(read.faults()).extracting(LineFault::line).containsExactly(2, 5);
    }

    @Test
    void twoHundredNodesFitAndNoMore() {
        assertThat(faults(lines(200))).isEmpty();
        assertThat(faults(lines(201))).containsExactly("0 too-many-nodes");
        assertThat(faults("x".repeat(ChartText.LONGEST + 1))).containsExactly("0 text-too-long");
    }

    private static String lines(int count) {
        return IntStream.range(0, count).mapToObj(i -> "N" + i + " x 100").collect(Collectors.joining("\n"));
    }

    @Test
    void aChartIsTheSameAfterItWasWrittenAndRead() {
        List<ChartNode> nodes = ChartText.parse("""
                        name,volts,ac,mains,tol,twin,stage,from,ohms,ohms-tol,ground-ohms,ground-tolerance,channel
                        B,400,,?,,,,,,,,,
                        V1a plate,148,,120,15,V1b plate,V1a,B,100k,1,,,left
                        V1b plate,140 to 150,dc,,,,V1b,B,0.47M,,,,right
                        V1a cathode,1.5,,,,,V1a,,,,1k5,2,
                        heater,12.6,dc,,,,,,,,,,
                        """, DRAWN).nodes();
        String written = ChartText.write(new VoltageChart(nodes));
        ChartDefaults other = new ChartDefaults(Expected.Source.COMPUTED, OptionalDouble.of(230));
        assertThat(ChartText.parse(written, other).nodes()).isEqualTo(nodes);
        assertThat(nodes.get(0).expected().orElseThrow().mains()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"GAIN_STAGE", "CATHODE_FOLLOWER", "CATHODYNE", "LONG_TAIL", "PARAPHASE", "REVERB_DRIVER"})
    void aPresetHangsOnTheSupplyItIsGiven(Preset preset) {
        ChartNode supply = one("B3 300");
        List<ChartNode> stage = preset.nodes("V2a", "B3");
        List<ChartNode> all = new java.util.ArrayList<>(List.of(supply));
        all.addAll(stage);
        VoltageChart chart = new VoltageChart(all);
        assertThat(chart.stages()).containsExactly("V2a");
        assertThat(chart.fedFrom(supply)).isNotEmpty().allMatch(stage::contains);
        assertThat(stage)
                .allMatch(node -> NodeKind.of(node.label()) == node.kind()
                        && node.expected().isEmpty());
    }

    @Test
    void aNodeBelowManyBlankLinesIsRead() {
        assertThat(ChartText.parse("\n".repeat(5000) + "V1 plate 148", DRAWN).nodes())
                .hasSize(1);
    }
}
