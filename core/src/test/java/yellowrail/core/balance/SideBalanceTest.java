package yellowrail.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Core;
import yellowrail.core.amp.Iron;

class SideBalanceTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private static SideBalance balance(AmpSheet sheet, String... lines) {
        return SideBalance.of(sheet, Amps.idle(sheet, lines)).get(0);
    }

    @Test
    void sumsEachSideAndComparesThemWithTheirMean() {
        SideBalance balance = balance(Amps.pair(), "V1 40", "V2 32", "plate 450");
        // plate currents 38.0 and 30.4 mA: 7.6 mA apart, 22.2 % of 34.2 mA
        assertThat(balance.imbalance() * 1e3).isCloseTo(7.6, within(1e-6));
        assertThat(balance.ratio()).isCloseTo(0.2222, within(1e-4));
        assertThat(balance.isTolerable()).isFalse();
        assertThat(balance.plusMinus()).isPositive();
    }

    /** 2 mA of 35: an EI core stands it, a toroid does not; what the builder set goes before what is usual. */
    @Test
    void theSheetTellsWhatTheCoreStands() {
        assertThat(tolerable(Core.UNKNOWN)).isTrue();
        assertThat(tolerable(core(Core.Kind.EI, NO, NO))).isTrue();
        assertThat(tolerable(core(Core.Kind.TOROID, NO, NO))).isFalse();
        assertThat(tolerable(core(Core.Kind.TOROID, OptionalDouble.of(0.003), NO)))
                .isTrue();
        assertThat(tolerable(core(Core.Kind.EI, OptionalDouble.of(0.003), OptionalDouble.of(0.01))))
                .as("the least of both")
                .isFalse();
    }

    private static Core core(Core.Kind kind, OptionalDouble amps, OptionalDouble ratio) {
        return new Core(kind, amps, ratio);
    }

    private static boolean tolerable(Core core) {
        AmpSheet sheet = Amps.pair().with(Amps.pair().fittings().with(NO, new Iron(List.of(), NO, List.of(), core)));
        return balance(sheet, "V1 37.6", "V2 35.6", "plate 450").isTolerable();
    }

    @Test
    void saysWhyItCannotBeSeen() {
        assertThat(balance(Amps.quad(), "vk 9.85", "plate 320").unseen())
                .contains(new BalanceFinding.ReadTogether("TP"));
        assertThat(balance(Amps.pair(), "V1 40", "plate 450").unseen())
                .contains(new BalanceFinding.WaitsForEveryTube());
        assertThat(balance(Amps.pair(), "V1 40", "V2 38", "plate 450", "tube V1 6L6GC new", "V1 30", "plate 455")
                        .unseen())
                .as("V2 was read before")
                .contains(new BalanceFinding.WaitsForFreshReadings());
    }
}
