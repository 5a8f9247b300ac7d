package yellowrail.web.meter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.math.BigDecimal;
import java.net.InetAddress;
import java.net.ServerSocket;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import yellowrail.core.amp.MeterLink;
import yellowrail.web.RunningApplication;
import yellowrail.web.postgres.PrivatePostgres;

@ExtendWith(RunningApplication.class)
class ScpiMeterTest {

    private static BigDecimal read(String answer, long pause) throws IOException {
        try (LyingMeter meter = new LyingMeter(answer, pause)) {
            return new ScpiMeter(none()).read(meter.link(), ScpiMeter.Asks.DC_VOLTS);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "+4.52100000E+02,452.1000",
        "452.1,452.1",
        "0.03640,0.03640",
        "-46.8,-46.8",
        "' 38.2 ',38.2",
        "12.34567891,12.34568",
        "1e-400,0",
        "0e-999999999,0"
    })
    void anOrdinaryAnswerIsReadWithItsDigits(String answer, BigDecimal value) throws IOException {
        assertThat(read(answer + "\n", 0)).isEqualTo(value);
        assertThat(read(answer + "\r\n", 0)).isEqualTo(value);
    }

    @Test
    void anAnswerWithoutItsLineEndCountsWhenTheMeterHangsUp() throws IOException {
        assertThat(read("452.1", 0)).isEqualTo("452.1");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "hello\\n|no-number",
                "1.0f\\n|no-number",
                "0x1p3\\n|no-number",
                "\\n|no-number",
                "+9.90000000E+37\\n|overload",
                "NaN\\n|nothing-measures",
                "Infinity\\n|overload",
                "1e7\\n|nothing-measures",
                "aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa"
                        + "aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa|too-much"
            })
    void nonsenseIsSaidToBeNonsense(String answer, String code) {
        assertThatThrownBy(() -> read(answer.replace("\\n", "\n"), 0))
                .isInstanceOfSatisfying(
                        MeterException.class, e -> assertThat(e.fault().code()).isEqualTo(code));
    }

    @Test
    void aDeadMeterIsSaidToBeDead() throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
        MeterLink nobody = new MeterLink("127.0.0.1", port);
        assertThatThrownBy(() -> new ScpiMeter(none()).read(nobody, ScpiMeter.Asks.DC_VOLTS))
                .isInstanceOfSatisfying(
                        MeterException.class,
                        e -> assertThat(e.fault()).isEqualTo(new MeterFault.NobodyAnswers("127.0.0.1:" + port)));
        assertThatThrownBy(() -> read(null, 0))
                .isInstanceOfSatisfying(
                        MeterException.class, e -> assertThat(e.fault()).isInstanceOf(MeterFault.HungUp.class));
    }

    @Test
    void aSlowMeterIsNotWaitedForForever() {
        long from = System.nanoTime();
        assertThatThrownBy(() -> read("+4.521000000000000000000E+02\n", 400))
                .isInstanceOfSatisfying(
                        MeterException.class,
                        e -> assertThat(((MeterFault.TooSlow) e.fault()).seconds())
                                .isEqualTo(3));
        assertThat(System.nanoTime() - from).isLessThan(5_000_000_000L);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"8.8.8.8", "93.184.216.34", "2001:4860:4860::8888", "169.254.169.254", "0.0.0.0", "fec0::1"})
    void addressesOutsideTheHouseAreRefused(String host) {
        assertThatThrownBy(() -> MeterAddress.of(new MeterLink(host, 5025)))
                .isInstanceOfSatisfying(
                        MeterException.class, e -> assertThat(e.fault()).isInstanceOf(MeterFault.NotInTheHouse.class));
    }

    @Test
    void ourOwnDatabaseIsNoMeter() {
        PrivatePostgres ours = RunningApplication.bean(PrivatePostgres.class);
        ScpiMeter meter = RunningApplication.bean(ScpiMeter.class);
        assertThatThrownBy(() -> meter.read(new MeterLink("localhost", ours.port()), ScpiMeter.Asks.DC_VOLTS))
                .isInstanceOfSatisfying(
                        MeterException.class, e -> assertThat(e.fault()).isInstanceOf(MeterFault.OurDatabase.class));
    }

    private static ObjectProvider<PrivatePostgres> none() {
        return new StaticListableBeanFactory().getBeanProvider(PrivatePostgres.class);
    }

    @Test
    void addressesInTheHouseAreTaken() {
        for (String host :
                new String[] {"127.0.0.1", "localhost", "192.168.1.20", "10.0.0.7", "172.16.4.4", "::1", "fd00::1"}) {
            assertThat(MeterAddress.of(new MeterLink(host, 5025))).as(host).isNotNull();
        }
        assertThatThrownBy(() -> MeterAddress.of(new MeterLink("my meter/../x", 1)))
                .isInstanceOfSatisfying(
                        MeterException.class, e -> assertThat(e.fault()).isInstanceOf(MeterFault.NoHost.class));
    }
}
