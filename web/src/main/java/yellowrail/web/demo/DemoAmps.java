package yellowrail.web.demo;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;

/** The amps of the made-up workshop, all named after plants of the bog. */
final class DemoAmps {

    private static final PlateSense TO_CATHODE =
            new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.CATHODE, OptionalDouble.empty());

    private final TubeCatalogue catalogue;

    DemoAmps(TubeCatalogue catalogue) {
        this.catalogue = catalogue;
    }

    AmpSheet coldPair() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, "6L6GC", 2, false);
        return sheet(
                        usual,
                        "Bogbean pair",
                        "Rebuilt supply, new reservoir capacitors.",
                        "The jack must be in before the tubes conduct. The RANGE pot hides under the tag board.",
                        usual.sockets(),
                        List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true)),
                        usual.current(),
                        usual.plate())
                .with(new Supply(
                        Rectifier.SILICON,
                        true,
                        OptionalDouble.of(352),
                        OptionalDouble.of(550),
                        OptionalDouble.of(0.020),
                        OptionalDouble.of(1),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()))
                .with(DemoFittings.COLD_PAIR)
                .with(Optional.of(DemoFittings.BIAS));
    }

    AmpSheet quad() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.CATHODE_SHARED, "EL84", 4, false);
        return sheet(
                        usual,
                        "Sedge quad",
                        "One resistor for all four cathodes; measure it cold.",
                        "",
                        usual.sockets(),
                        List.of(),
                        CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 62, 0.05, Unit.VOLT),
                        TO_CATHODE)
                .with(usual.supply().with(Rectifier.TUBE))
                .with(DemoFittings.QUAD)
                .with(new Accepted(OptionalDouble.of(320), OptionalDouble.of(320)));
    }

    AmpSheet stereo() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, "EL34", 4, true);
        List<Socket> sockets = List.of(
                new Socket("V1", Side.PUSH, Channel.LEFT, "L"),
                new Socket("V2", Side.PULL, Channel.LEFT, "L"),
                new Socket("V3", Side.PUSH, Channel.RIGHT, "R"),
                new Socket("V4", Side.PULL, Channel.RIGHT, "R"));
        return sheet(
                        usual,
                        "Water mint stereo",
                        "",
                        "The balance control on the front is for volume, not for bias.",
                        sockets,
                        List.of(
                                new Pot("LEFT", Pot.Action.GROUP, "V1 V2", Pot.Turn.ANTICLOCKWISE, true),
                                new Pot("RIGHT", Pot.Action.GROUP, "V3 V4", Pot.Turn.ANTICLOCKWISE, false)),
                        CurrentSense.across(CurrentMethod.SENSE_SHARED, 12.4, 0.01, Unit.VOLT),
                        usual.plate())
                .with(usual.supply().with(Rectifier.TUBE))
                .with(DemoFittings.STEREO);
    }

    AmpSheet single() {
        AmpSheet usual = usual(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, "KT88", 1, false);
        return sheet(
                        usual,
                        "Reedmace single",
                        "First amp of the winter course.",
                        "",
                        usual.sockets(),
                        List.of(),
                        CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 390, 0.05, Unit.VOLT),
                        usual.plate())
                .with(DemoFittings.SINGLE);
    }

    AmpSheet overRating() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.FIXED, "6V6GT", 2, false);
        return sheet(
                        usual,
                        "Sundew six",
                        "Bias resistor on the supply board, no pot.",
                        "The chassis stays live for a minute after switching off.",
                        usual.sockets(),
                        List.of(),
                        usual.current(),
                        usual.plate())
                .with(DemoFittings.SIX)
                .with(new Accepted(OptionalDouble.of(360), OptionalDouble.of(330)));
    }

    AmpSheet mismatched() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, "6L6GC", 2, false);
        List<Socket> sockets = List.of(
                new Socket("V3", Side.PUSH, Channel.MONO, "BLUE"), new Socket("V4", Side.PULL, Channel.MONO, "BROWN"));
        CurrentSense primary = new CurrentSense(
                CurrentMethod.HALF_PRIMARY,
                OptionalDouble.of(118),
                0.01,
                Unit.VOLT,
                20,
                OptionalDouble.of(45),
                OptionalDouble.empty());
        return sheet(
                usual,
                "Cotton grass",
                "No resistor in the cathodes: read across the transformer, one side at a time.",
                "BLUE and BROWN are the plate ends of the output transformer: both at full B+.",
                sockets,
                List.of(
                        new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true),
                        new Pot("BALANCE", Pot.Action.BALANCE, "", Pot.Turn.UNKNOWN, false)),
                primary,
                usual.plate());
    }

    AmpSheet halfDone() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, "KT88", 2, false);
        CurrentSense ten = CurrentSense.across(CurrentMethod.SENSE_EACH, 10, 0.05, Unit.MILLIVOLT);
        return sheet(usual, "Butterbur", "", "", usual.sockets(), usual.pots(), ten, usual.plate());
    }

    AmpSheet oldFriend() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, "6L6GC", 2, false);
        return sheet(
                usual,
                "Cranberry",
                "Comes by once a year.",
                "",
                usual.sockets(),
                usual.pots(),
                usual.current(),
                usual.plate());
    }

    AmpSheet creeping() {
        AmpSheet usual = usual(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, "EL34", 2, false);
        return sheet(usual, "Bog asphodel", "", "", usual.sockets(), usual.pots(), usual.current(), usual.plate());
    }

    private AmpSheet usual(Topology topology, BiasKind bias, String type, int tubes, boolean stereo) {
        return new AmpDefaults(topology, bias, catalogue.find(type).orElseThrow(), tubes, stereo).sheet();
    }

    private static AmpSheet sheet(
            AmpSheet usual,
            String name,
            String notes,
            String quirks,
            List<Socket> sockets,
            List<Pot> pots,
            CurrentSense current,
            PlateSense plate) {
        return usual.with(new Identity(name, notes, quirks))
                .withSockets(sockets)
                .withPots(pots)
                .with(current)
                .with(plate)
                .with(DemoCharts.of(name.toLowerCase(Locale.ROOT)
                        .replaceAll(" (pair|quad|stereo|single|six)$", "")
                        .replace(' ', '-')));
    }
}
