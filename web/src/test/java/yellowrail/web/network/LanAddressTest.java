package yellowrail.web.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.web.postgres.CannotStartException;

class LanAddressTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "203.0.113.5|203.0.113.5 is no private address",
                "0.0.0.0|0.0.0.0 is no private address",
                "2001:db8::1|2001:db8::1 is no private address",
                "10.254.253.252|10.254.253.252 is no address of this machine. It has ",
                "fd12:3456::9|fd12:3456::9 is no address of this machine. It has ",
                "127.0.0.1|127.0.0.1 is served anyway",
                "::1|::1 is served anyway",
                "192.168.1|--lan takes an address of this machine, got 192.168.1. It has ",
                "999.1.1.1|--lan takes an address of this machine, got 999.1.1.1. It has ",
                "bench.example|--lan takes an address of this machine, got bench.example. It has "
            })
    void whatIsNoPlaceInTheHouseIsRefusedInOneLine(String asked, String says) {
        assertThatThrownBy(() -> LanAddress.choose(asked))
                .isInstanceOf(CannotStartException.class)
                .hasMessageStartingWith(says);
    }

    @Test
    void anotherAddressOfLoopbackTriesItOnThisMachineAlone() throws UnknownHostException {
        assertThat(LanAddress.choose("127.0.0.2")).isEqualTo(InetAddress.getByName("127.0.0.2"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"10.0.0.1", "172.16.0.1", "172.31.255.1", "192.168.77.1", "fd00::2", "fc00::1"})
    void privateAddressesAreThoseOfAHouse(String address) throws UnknownHostException {
        assertThat(PrivateAddresses.isPrivate(InetAddress.getByName(address))).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"172.32.0.1", "11.0.0.1", "192.169.0.1", "127.0.0.1", "::1", "fe80::1", "fec0::1", "0.0.0.0"})
    void othersAreNot(String address) throws UnknownHostException {
        assertThat(PrivateAddresses.isPrivate(InetAddress.getByName(address))).isFalse();
    }
}
