package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.bias.review.BiasRemark;
import yellowrail.core.bias.review.StopCheck;

class StopCheckTest {

    @ParameterizedTest
    @CsvSource({
        "-45, StopAsComputed, -45.7",
        "-31, StopAsComputed, -31.4",
        "-38, StopOff, ",
        "-60, StopOff, ",
        "-3, StopWithoutBias, ",
        "0, StopWithoutBias, ",
        "2, StopWithoutBias, ",
        "40, StopPositive, "
    })
    void aStopIsHeldAgainstTheNearerOfBoth(double read, String kind, Double computed) {
        BiasRemark remark = StopCheck.of(read, -45.7, -31.4, 0.10);
        assertThat(remark.getClass().getSimpleName()).isEqualTo(kind);
        if (computed != null) {
            assertThat(remark).isEqualTo(new BiasRemark.StopAsComputed(read, computed));
        }
    }
}
