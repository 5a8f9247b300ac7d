package yellowrail.web.demo;

import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Fittings.PinOne;
import yellowrail.core.amp.Iron;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;

/** What the builder of the workshop has written down of windings, room and wiring; of two amps nothing. */
final class DemoFittings {

    private static final OptionalDouble NO = OptionalDouble.empty();

    static final Fittings COLD_PAIR = new Fittings(
            of(5),
            of(1.2),
            "",
            of(47e-6),
            of(0.250),
            of(0.180),
            NO,
            of(125),
            of(54),
            of(220_000),
            of(4200),
            of(-52),
            of(-38),
            of(52),
            of(444),
            "",
            PinOne.UNKNOWN,
            "",
            new Iron(List.of(4.0, 8.0, 16.0), of(118), List.of("8", "16", "8||8", "16@16")));
    static final Fittings QUAD = new Fittings(
            of(4.5),
            of(0.9),
            "GZ34",
            of(32e-6),
            of(0.200),
            NO,
            NO,
            of(95),
            of(27),
            of(470_000),
            of(4000),
            NO,
            NO,
            of(15),
            of(316),
            "",
            PinOne.UNKNOWN,
            "",
            new Iron(List.of(4.0, 8.0), of(190), List.of("8", "4@4", "8+8")));
    static final Fittings STEREO = new Fittings(
            of(8),
            of(1.5),
            "GZ34",
            of(47e-6),
            of(0.250),
            of(0.250),
            NO,
            of(120),
            of(45),
            of(220_000),
            of(5000),
            of(-48),
            of(-28),
            of(45),
            of(428),
            "",
            PinOne.CATHODE,
            "",
            new Iron(List.of(4.0, 8.0, 16.0), of(150), List.of("8")));
    static final Fittings SINGLE = new Fittings(
            of(3),
            of(0.6),
            "5U4GB",
            of(32e-6),
            of(0.160),
            of(0.150),
            of(0.100),
            of(150),
            of(60),
            of(220_000),
            of(3500),
            NO,
            NO,
            of(36),
            of(395),
            "1",
            PinOne.NOTHING,
            "",
            new Iron(List.of(4.0, 8.0), of(140), List.of("8", "4@4")));
    static final Fittings SIX = new Fittings(
            of(2.5),
            of(0.9),
            "5Y3GT",
            of(16e-6),
            of(0.120),
            NO,
            NO,
            of(95),
            of(40),
            of(220_000),
            of(8000),
            NO,
            NO,
            of(30),
            NO,
            "",
            PinOne.UNKNOWN,
            "low and high voltage",
            Iron.UNKNOWN);

    /** A winding of its own, a range pot as a divider; nobody has thought of its wiper yet. */
    static final BiasSupply BIAS = new BiasSupply(
            new BiasSource(50, 30, 60, Rectification.HALF_WAVE, OptionalDouble.empty()),
            new Smoothing(1000, 47e-6, OptionalDouble.of(100), 4700, 47e-6, OptionalDouble.of(100)),
            BiasNetwork.of(Kind.DIVIDER_POT, 0, 10_000, 27_000),
            220_000,
            OptionalDouble.empty());

    private DemoFittings() {}

    private static OptionalDouble of(double value) {
        return OptionalDouble.of(value);
    }
}
