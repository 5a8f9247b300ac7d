package yellowrail.web.meter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.amp.MeterLink;

class ScpiMeterTest {

    private static double read(String answer, long pause) throws IOException {
        try (LyingMeter meter = new LyingMeter(answer, pause)) {
            return new ScpiMeter().read(meter.link(), ScpiMeter.Asks.DC_VOLTS);
        }
    }

    @ParameterizedTest
    @CsvSource({"+4.52100000E+02,452.1", "0.0364,0.0364", "-46.8,-46.8", "' 38.2 ',38.2"})
    void anOrdinaryAnswerIsRead(String answer, double value) throws IOException {
        assertThat(read(answer + "\n", 0)).isEqualTo(value);
        assertThat(read(answer + "\r\n", 0)).isEqualTo(value);
    }

    @Test
    void anAnswerWithoutItsLineEndCountsWhenTheMeterHangsUp() throws IOException {
        assertThat(read("452.1", 0)).isEqualTo(452.1);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"hello\\n|answered \u201chello\u201d", "\\n|answered \u201c\u201d", "+9.90000000E+37\\n|shows overload", "NaN\\n|answered NaN", "Infinity\\n|shows overload",
            "1e7\\n|nothing on a bench measures", "aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa|more than 80 characters"})
    void nonsenseIsSaidToBeNonsense(String answer, String says) {
        assertThatThrownBy(() -> read(answer.replace("\\n", "\n"), 0)).isInstanceOf(MeterException.class).hasMessageContaining(says);
    }

    @Test
    void aDeadMeterIsSaidToBeDead() throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
        MeterLink nobody = new MeterLink("127.0.0.1", port);
        assertThatThrownBy(() -> new ScpiMeter().read(nobody, ScpiMeter.Asks.DC_VOLTS)).hasMessage("No meter answers at 127.0.0.1:%d. Is it on, and the port right?".formatted(port));
        assertThatThrownBy(() -> read(null, 0)).hasMessageContaining("hung up without an answer");
    }

    @Test
    void aSlowMeterIsNotWaitedForForever() {
        long from = System.nanoTime();
        assertThatThrownBy(() -> read("+4.521000000000000000000E+02\n", 400)).hasMessageContaining("did not answer within 3 s");
        assertThat(System.nanoTime() - from).isLessThan(5_000_000_000L);
    }

    @ParameterizedTest
    @ValueSource(strings = {"8.8.8.8", "93.184.216.34", "2001:4860:4860::8888", "169.254.169.254", "0.0.0.0"})
    void addressesOutsideTheHouseAreRefused(String host) {
        assertThatThrownBy(() -> MeterAddress.of(new MeterLink(host, 5025))).hasMessageContaining("is not in the house");
    }

    @Test
    void addressesInTheHouseAreTaken() {
        for (String host : new String[]{"127.0.0.1", "localhost", "192.168.1.20", "10.0.0.7", "172.16.4.4", "::1", "fd00::1"}) {
            assertThat(MeterAddress.of(new MeterLink(host, 5025))).as(host).isNotNull();
        }
        assertThatThrownBy(() -> MeterAddress.of(new MeterLink("my meter/../x", 1))).hasMessageContaining("a name or an address");
    }
}
