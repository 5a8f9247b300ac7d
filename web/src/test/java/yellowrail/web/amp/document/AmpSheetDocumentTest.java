package yellowrail.web.amp.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.Measuring;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.MeterLink;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PowerStage;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.amp.node.ChartDefaults;
import yellowrail.core.amp.node.ChartText;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.bias.Supplies;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.RatingSystem;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

class AmpSheetDocumentTest {

    /** As sheets were stored before there were groups, every field filled in. */
    private static final String FORMAT_1 = """
            {"name":"Bogbean","notes":"a note","quirks":"the jack first","topology":"PUSH_PULL","tubeType":"EL34",
            "ratingSystem":"DESIGN_CENTRE","ownPlateWatts":24.0,
            "sockets":[{"label":"V1","side":"PUSH","channel":"MONO","testPoint":"V1"},
             {"label":"V2","side":"PULL","channel":"MONO","testPoint":"V2"}],"bias":"FIXED_ADJUSTABLE",
            "pots":[{"name":"RANGE","action":"ALL","acts":"","hotter":"CLOCKWISE","verified":true}],
            "current":{"method":"SENSE_EACH","ohms":10.0,"tolerance":0.01,"shows":"MILLIVOLT","copperCold":20.0,
             "copperHot":55.0,"otherAmps":0.004},
            "plate":{"point":"B_PLUS","reference":"GROUND","halfPrimaryOhms":120.0},
            "screen":{"way":"MEASURED","stopperOhms":470.0,"connection":"ULTRALINEAR","tap":0.43},
            "meter":{"ofReading":0.004,"digits":3.0,"lastOfVolts":0.2,"lastOfSense":2.0E-4},
            "mainsVolts":117.0,"settleMinutes":12.0,
            "target":{"school":"CURRENT_WINDOW","low":0.03,"aim":0.035,"high":0.04,
             "bands":[{"volts":400.0,"low":0.03,"aim":0.035,"high":0.04}]},
            "supply":{"rectifier":"SILICON","standby":true,"secondaryVolts":330.0,"capacitorVolts":500.0,
             "otherAmps":0.02,"mostAmps":0.25,"resistorWatts":2.0,"biasFeedOhms":33000.0,"biasShuntOhms":15000.0,
             "regulation":0.05,"behindStandby":true},
            "meterLink":{"host":"127.0.0.1","port":5025,"set":true},
            "fittings":{"heaterAmps":6.3,"otherHeaterAmps":1.2,"rectifierTube":"GZ34","firstFarads":3.2E-5,
             "transformerAmps":0.25,"chokeAmps":0.2,"outputAmps":0.15,"heightMm":120.0,"widthMm":40.0,
             "gridLeakOhms":220000.0,"loadOhms":4000.0,"biasColdest":-60.0,"biasHottest":-20.0,"driveVolts":45.0,
             "screenVolts":430.0,"tiedPins":"1-8","pinOne":"CATHODE","familySwitch":"set to EL34",
             "iron":{"taps":[4.0,8.0],"copperOhms":95.0,"hookups":["8||8"]}},
            "accepted":{"plateVolts":520.0,"screenVolts":450.0}}""";
    /** As the first of them were stored: no supply, no fittings, no bands, nothing accepted. */
    private static final String OLDEST = """
            {"name": "Old", "notes": "", "quirks": "", "topology": "PUSH_PULL", "tubeType": "EL34",
             "ratingSystem": "DESIGN_CENTRE",
             "sockets": [{"label": "V1", "side": "PUSH", "channel": "MONO", "testPoint": "V1"}], "bias": "FIXED",
             "pots": [],
             "current": {"method": "SENSE_EACH", "ohms": 1.0, "tolerance": 0.01, "shows": "MILLIVOLT",
              "copperCold": 20.0},
             "plate": {"point": "PLATE", "reference": "GROUND"}, "screen": {"way": "TYPICAL", "connection": "PENTODE"},
             "meter": {"ofReading": 0.005, "digits": 2.0, "lastOfVolts": 0.1, "lastOfSense": 0.0001},
             "mainsVolts": 120.0, "settleMinutes": 10.0,
             "target": {"school": "SHARE_OF_RATING", "low": 0.5, "aim": 0.62, "high": 0.7}}""";

    private final DocumentKind<AmpSheetDocument> documents = AmpSheetDocument.kind(new JsonColumn());

    private static OptionalDouble of(double value) {
        return OptionalDouble.of(value);
    }

    private static AmpSheet full() {
        return new AmpSheet(
                new Identity("Bogbean", "a note", "the jack first"),
                new PowerStage(
                        Topology.PUSH_PULL,
                        "EL34",
                        RatingSystem.DESIGN_CENTRE,
                        of(24),
                        List.of(
                                new Socket("V1", Side.PUSH, Channel.MONO, "V1"),
                                new Socket("V2", Side.PULL, Channel.MONO, "V2")),
                        BiasKind.FIXED_ADJUSTABLE,
                        List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true)),
                        new Accepted(of(520), of(450))),
                new Measuring(
                        new CurrentSense(CurrentMethod.SENSE_EACH, of(10), 0.01, Unit.MILLIVOLT, 20, of(55), of(0.004)),
                        new PlateSense(PlateSense.Point.B_PLUS, PlateSense.Reference.GROUND, of(120)),
                        new ScreenSense(
                                ScreenSense.Way.MEASURED, of(470), ScreenSense.Connection.ULTRALINEAR, of(0.43)),
                        new MeterAccuracy(0.004, 3, 0.2, 2e-4),
                        117,
                        12,
                        new MeterLink("127.0.0.1", 5025)),
                new Target(School.CURRENT_WINDOW, 0.03, 0.035, 0.04, List.of(new Target.Band(400, 0.03, 0.035, 0.04))),
                new Supply(
                        Rectifier.SILICON,
                        true,
                        of(330),
                        of(500),
                        of(0.02),
                        of(2),
                        of(33000),
                        of(15000),
                        of(0.05),
                        true),
                new Fittings(
                        of(6.3),
                        of(1.2),
                        "GZ34",
                        of(3.2e-5),
                        of(0.25),
                        of(0.2),
                        of(0.15),
                        of(120),
                        of(40),
                        of(220000),
                        of(4000),
                        of(-60),
                        of(-20),
                        of(45),
                        of(430),
                        "1-8",
                        Fittings.PinOne.CATHODE,
                        "set to EL34",
                        new Iron(List.of(4.0, 8.0), of(95), List.of("8||8"))),
                VoltageChart.EMPTY,
                Optional.empty());
    }

    @Test
    void aSheetOfBeforeTheGroupsIsReadWhole() {
        assertThat(documents.read(FORMAT_1).sheet()).isEqualTo(full());
    }

    @Test
    void theOldestSheetIsReadWithWhatWasNotWrittenDownUnknown() {
        AmpSheet old = documents.read(OLDEST).sheet();
        assertThat(old.stage().ownPlateWatts()).isEmpty();
        assertThat(old.accepted()).isEqualTo(Accepted.NONE);
        assertThat(old.plate().halfPrimaryOhms()).isEmpty();
        assertThat(old.current().ohms()).hasValue(1);
        assertThat(old.target().bands()).isEmpty();
        assertThat(old.supply()).isEqualTo(Supply.UNKNOWN);
        assertThat(old.fittings()).isEqualTo(Fittings.UNKNOWN);
        assertThat(old.measuring().link()).isEqualTo(MeterLink.NONE);
    }

    @Test
    void aRatingOfTransformerOrChokeBecomesOneOfTheirOwn() {
        String supply = OLDEST.strip()
                .replaceAll(
                        "}$",
                        ", \"supply\": {\"rectifier\": \"SILICON\", " + "\"standby\": false, \"mostAmps\": 0.1}}");
        assertThat(documents.read(supply).sheet().fittings().transformerAmps()).hasValue(0.1);
        assertThat(documents.read(supply).sheet().mostRailAmps()).hasValue(0.1);
        String other = supply.replaceAll("}$", ", \"fittings\": {\"transformerAmps\": 0.2}}");
        assertThat(documents.read(other).sheet().fittings().chokeAmps()).hasValue(0.1);
        assertThat(documents.read(other).sheet().mostRailAmps()).hasValue(0.1);
    }

    @Test
    void whatIsStoredComesBackTheSame() {
        assertThat(documents.read(documents.write(AmpSheetDocument.of(full()))).sheet())
                .isEqualTo(full());
        VoltageChart chart = new VoltageChart(
                ChartText.parse("""
                        name;volts;mains;stage;twin;from;ohms;watts;ground-ohms;uf;rated;series;bleeder;feeds;channel
                        reservoir;440 to 460;120;;;;;;;100;350;2;220k;stage;left
                        screens;430;;;;reservoir;choke 152;;;;;;;;
                        V1a plate;148;117;V1a;V1b plate;screens;100k;0,5;;;;;;;
                        V1b plate;;;V1b;;screens;100k;;;;;;;;
                        V1a cathode;1,5;117;V1a;;;;;1k5;;;;;;
                        V2b cathode;90;;V2b;;screens;;;100k;;;;;;
                        heater;6,3 AC;;;;;;;;;;;;;
                        """, new ChartDefaults(Expected.Source.SCHEMATIC, OptionalDouble.of(120)))
                        .nodes());
        assertThat(chart.nodes()).hasSize(7);
        AmpSheet charted = full().with(chart);
        assertThat(documents.read(documents.write(AmpSheetDocument.of(charted))).sheet())
                .isEqualTo(charted);
        assertThat(ChartText.parse(ChartText.write(chart), new ChartDefaults(Expected.Source.COMPUTED, of(1)))
                        .nodes())
                .as("as a file and back")
                .isEqualTo(chart.nodes());
        AmpSheet biased = full().with(Optional.of(Supplies.tapped()));
        assertThat(documents.read(documents.write(AmpSheetDocument.of(biased))).sheet())
                .isEqualTo(biased);
        AmpSheet bridged = full().with(new Supply(
                Rectifier.SILICON,
                true,
                of(330),
                of(500),
                of(0.02),
                of(2),
                of(33000),
                of(15000),
                of(0.05),
                true,
                true,
                true));
        assertThat(documents.read(documents.write(AmpSheetDocument.of(bridged))).sheet())
                .isEqualTo(bridged);
        AmpSheet old = documents.read(OLDEST).sheet();
        assertThat(old.chart()).isEqualTo(VoltageChart.EMPTY);
        assertThat(documents.read(documents.write(AmpSheetDocument.of(old))).sheet())
                .isEqualTo(old);
    }

    @Test
    void aDocumentOfANewerApplicationIsNotGuessedAt() {
        String newer = documents.write(AmpSheetDocument.of(full())).replace("\"format\":2", "\"format\":3");
        assertThatThrownBy(() -> documents.read(newer))
                .isInstanceOf(DocumentKind.NewerFormatException.class)
                .hasMessageContaining("format 3");
    }
}
