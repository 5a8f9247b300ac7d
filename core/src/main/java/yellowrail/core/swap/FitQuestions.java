package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.PublishedOperation;

/** Room for the bulb, the load, the switch. */
final class FitQuestions {

    /** A load so far off the published ones is still a working one. */
    private static final double LOAD_SPREAD = 1.3;

    private final SwapAmp amp;
    private final TubeType in;
    private final TubeType wants;

    FitQuestions(SwapAmp amp, TubeType in, TubeType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
    }

    Line bulb() {
        String question = "room for the bulb";
        String source = "Bulb: typical for the type, makers differ. Room: amp sheet.";
        Fittings room = amp.fittings();
        String[] size = wants.sizeMm().split("x");
        String[] before = in.sizeMm().split("x");
        if (size.length != 2 || room.heightMm().isEmpty() && room.widthMm().isEmpty()) {
            boolean smaller = size.length == 2 && before.length == 2 && Double.parseDouble(size[0]) <= Double.parseDouble(before[0]) && Double.parseDouble(size[1]) <= Double.parseDouble(before[1]);
            return smaller ? new Line(question, Outcome.HOLDS, "%s mm, no larger than %s.".formatted(wants.sizeMm(), in.name()), "", source)
                    : new Line(question, Outcome.UNKNOWN, "About %s mm for %s mm of %s: measure the room.".formatted(wants.sizeMm(), in.sizeMm(), in.name()), "", source);
        }
        List<String> small = new ArrayList<>();
        beyond("high", Double.parseDouble(size[0]), room.heightMm(), small);
        beyond("across", Double.parseDouble(size[1]), room.widthMm(), small);
        return new Line(question, small.isEmpty() ? Outcome.HOLDS : Outcome.STOP, small.isEmpty() ? "%s mm fits.".formatted(wants.sizeMm()) : "%s mm: %s.".formatted(wants.sizeMm(), String.join(", ", small)),
                "Height x diameter; leave some room for the air.", source);
    }

    private static void beyond(String which, double bulb, OptionalDouble room, List<String> small) {
        if (room.isPresent() && bulb > room.getAsDouble()) {
            small.add("%s mm too %s".formatted(Figures.plain(bulb - room.getAsDouble()), which.equals("high") ? "high" : "wide"));
        }
    }

    /** The published loads of a type, from the lightest tolerable to the heaviest; empty where none is published. */
    private Optional<double[]> loads(TubeType type) {
        boolean pushPull = amp.topology() == Topology.PUSH_PULL;
        double[] loads = PublishedOperation.all().stream().filter(operation -> operation.type().equals(type.name()) && operation.pushPull() == pushPull).mapToDouble(PublishedOperation::loadOhms).sorted().toArray();
        int pairs = amp.tubesPerSide();
        return loads.length == 0 ? Optional.empty() : Optional.of(new double[]{loads[0] / LOAD_SPREAD / pairs, loads[loads.length - 1] * LOAD_SPREAD / pairs});
    }

    private static String range(double[] loads) {
        return "%s to %s k".formatted(Figures.fixed(loads[0] / 1000, 1), Figures.fixed(loads[1] / 1000, 1));
    }

    Line load() {
        String question = "load on the tubes";
        String source = "Published typical operation, \u00b1 30 %, for this number of tubes. The load line tells what another load really costs.";
        Optional<double[]> range = loads(wants);
        String other = loads(in).map(before -> ", %s about %s".formatted(in.name(), range(before))).orElse("");
        if (range.isEmpty() || amp.fittings().loadOhms().isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, range.map(found -> "%s works into about %s%s: put the load on the sheet.".formatted(wants.name(), range(found), other))
                    .orElse("No load is published here for %s%s.".formatted(wants.name(), other)), "", source);
        }
        double load = amp.fittings().loadOhms().getAsDouble();
        boolean within = load >= range.get()[0] && load <= range.get()[1];
        return new Line(question, within ? Outcome.HOLDS : Outcome.CHANGE, "%s k here; %s works into about %s%s.%s".formatted(Figures.fixed(load / 1000, 1), wants.name(), range(range.get()), other,
                within ? "" : " Use another tap."), "", source);
    }

    Optional<Line> familySwitch() {
        String positions = amp.fittings().familySwitch();
        return positions.isBlank() || in.name().equals(wants.name()) ? Optional.empty()
                : Optional.of(new Line("family switch", Outcome.CHANGE, "to the position for %s: %s.".formatted(wants.name(), positions), "", "Amp sheet."));
    }
}
