package yellowrail.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;

/** What is said at the stations besides plain readings, and what a logging meter writes. */
class BenchWordsTest {

    private static final AmpSheet PAIR =
            Amps.pair().withPots(List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.UNKNOWN, false)));
    private static final ZoneId ZONE = ZoneId.of("Europe/Zurich");

    private static String typed(String line) {
        return new EntryLine(PAIR)
                .parse(line).stream()
                        .map(entry -> EntryWriter.line(entry, PAIR))
                        .reduce((one, other) -> one + "; " + other)
                        .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "heater 6.42|heater 6.42V",
                "heaters 6.9 bare|heater 6.9V bare",
                "bias -38.2 stop|bias -38.2V stop",
                "turn range cw|turn RANGE clockwise",
                "turn left|turn RANGE anticlockwise",
                "tube V1 EL34 new|tube V1 EL34 new",
                "swing a V1 38.2 V2 31|swing a V1 38.2mV; swing a V2 31mV",
                "off; rk off 1.01|off; rk off 1.01ohm",
                "on 10; V1 36|on 10; V1 36mV",
                "V1 36; note hum|V1 36mV; note hum",
                "note a; b|note a; b",
                "sheet screen typical|sheet screen typical",
                "sheet plate up to 440|sheet plate up to 440",
                "tick load; on|tick load; on",
                "UNDO|undo",
                "valve V1 EL34 new|tube V1 EL34 new",
                "sheet anode up to 440|sheet plate up to 440",
                "V1 66.0 stop|V1 66.0mV; V1 66.0mV stop",
                "SHEET pot RANGE clockwise|sheet pot RANGE clockwise"
            })
    void isReadAsMeant(String line, String meant) {
        assertThat(typed(line)).isEqualTo(meant);
        assertThat(typed(meant)).as("what is shown can be typed").contains(meant.split(";")[0]);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "swing V1 38|no-such-stop",
                "swing a|no-such-stop",
                "swing a plate 450|swing-of-currents",
                "turn RANGE up and down please|no-turn",
                "turn BAL cw|no-turn",
                "tube V9 EL34|no-tube-move",
                "tube V1|no-tube-move",
                "sheet nonsense|no-such-correction",
                "sheet plate up to -3|no-such-correction",
                "heater|no-number"
            })
    void isRefusedWithWhatIsWrong(String line, String code) {
        assertThatThrownBy(() -> typed(line))
                .isInstanceOfSatisfying(
                        BadEntryException.class,
                        e -> assertThat(e.fault().code()).isEqualTo(code));
    }

    @Test
    void correctionsMendOneThingOfTheSheet() {
        assertThat(SheetCorrection.parse("pot RANGE balance", PAIR)
                        .sheet()
                        .pots()
                        .get(0)
                        .action())
                .isEqualTo(Pot.Action.BALANCE);
        assertThat(SheetCorrection.parse("pot range anticlockwise", PAIR)
                        .sheet()
                        .pots()
                        .get(0))
                .isEqualTo(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.ANTICLOCKWISE, true));
        assertThat(SheetCorrection.parse("screen typical", Amps.with(PAIR, ScreenSense.Way.NOT_DEDUCTED))
                        .sheet()
                        .screen()
                        .way())
                .isEqualTo(ScreenSense.Way.TYPICAL);
        assertThat(SheetCorrection.parse("target customary", Amps.with(PAIR, Target.CATHODE_BIAS))
                        .sheet()
                        .target())
                .isEqualTo(Target.FIXED_BIAS);
        assertThat(SheetCorrection.parse("shared", PAIR).sheet().testPoints()).containsExactly("TP");
    }

    private static MeterLog log(String text) {
        return MeterLog.parse(text, Amps.NOON, ZONE);
    }

    @Test
    void aMetersLogIsReadWithOrWithoutAHeaderAndItsTimes() {
        MeterLog seconds = log("time,value,unit\r\n0,36.4,mV\r\n2.5,36.6,mV\r\n");
        assertThat(seconds.rows()).extracting(MeterLog.Row::typed).containsExactly("36.4mV", "36.6mV");
        assertThat(seconds.rows().get(1).at()).isEqualTo(Amps.NOON);
        assertThat(seconds.rows().get(0).at()).isEqualTo(Amps.NOON.minusMillis(2500));
        assertThat(log("2026-03-01T11:00:05Z,452,V").rows().get(0).at())
                .isEqualTo(Instant.parse("2026-03-01T11:00:05Z"));
        assertThat(log("\ufeff2026-03-01 12:00:05,\"452\",V").rows().get(0).at())
                .isEqualTo(Instant.parse("2026-03-01T11:00:05Z"));
    }

    @Test
    void aRowThatIsYetToComeIsTold() {
        assertThat(log("2026-03-01T12:01:00Z,452,V").rows().get(0).at())
                .as("clocks differ a little")
                .isEqualTo(Amps.NOON);
        MeterLog ahead = log("2026-03-01T12:01:00Z,452,V\n2026-03-01T13:01:00Z,452,V");
        assertThat(ahead.faults()).containsExactly(new EntryFault.YetToCome(2, "\u201c2026-03-01T13:01:00Z\u201d"));
    }

    @Test
    void itsBadRowsAreToldByLineAndColumn() {
        MeterLog log = log("time,value,unit\n0,36.4,mV\nnoon,36,mV\n3,36\n4,1e999,mV\n5,36,furlong\n");
        assertThat(log.rows()).hasSize(1);
        assertThat(log.faults()).hasSize(4);
        assertThat(log.faults())
                .hasSize(4)
                .extracting(EntryFault::code)
                .containsExactly("no-time", "too-few-columns", "no-value", "no-value");
        assertThat(log.faults().get(0)).isEqualTo(new EntryFault.NoTime(3, "\u201cnoon\u201d"));
        assertThatThrownBy(() -> log("0,\"36,mV"))
                .isInstanceOfSatisfying(
                        BadEntryException.class, e -> assertThat(e.fault()).isInstanceOf(EntryFault.NotCsv.class));
    }
}
