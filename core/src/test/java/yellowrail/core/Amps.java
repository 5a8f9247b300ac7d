package yellowrail.core;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** Amps of a made-up workshop, and a shorthand to type readings at them. */
public final class Amps {

    public static final TubeCatalogue CATALOGUE = TubeCatalogue.published();
    public static final Instant NOON = Instant.parse("2026-03-01T12:00:00Z");

    private Amps() {
    }

    public static TubeType type(String name) {
        return CATALOGUE.find(name).orElseThrow();
    }

    /** A 6L6GC pair, fixed bias, 1 ohm per tube. */
    public static AmpSheet pair() {
        return new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, type("6L6GC"), 2, false).sheet();
    }

    /** An EL84 quad on one cathode resistor. */
    public static AmpSheet quad() {
        AmpSheet sheet = new AmpDefaults(Topology.PUSH_PULL, BiasKind.CATHODE_SHARED, type("EL84"), 4, false).sheet();
        return with(sheet, CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 62, 0.05, Unit.VOLT));
    }

    public static AmpSheet with(AmpSheet s, CurrentSense current) {
        return s.with(current);
    }

    public static AmpSheet with(AmpSheet s, List<Socket> sockets) {
        return s.withSockets(sockets);
    }

    public static AmpSheet with(AmpSheet s, PlateSense plate) {
        return s.with(plate);
    }

    public static AmpSheet with(AmpSheet s, ScreenSense.Way way) {
        return s.with(new ScreenSense(way, OptionalDouble.of(470), s.screen().connection(), OptionalDouble.empty()));
    }

    public static AmpSheet with(AmpSheet s, Target target) {
        return s.with(target);
    }

    public static StageIdle stage(AmpSheet sheet) {
        TubeType type = type(sheet.tubeType());
        return new StageIdle(sheet, type);
    }

    /** Readings typed one after another, half a minute apart from noon on. */
    public static List<Reading> readings(AmpSheet sheet, String... lines) {
        EntryLine entryLine = new EntryLine(sheet);
        List<Reading> readings = new ArrayList<>();
        for (String line : lines) {
            entryLine.parse(line).forEach(entry -> readings.add(
                    new Reading(readings.size() + 1L, entry, NOON.plusSeconds(30L * readings.size()))));
        }
        return readings;
    }

    public static List<TubeIdle> idle(AmpSheet sheet, String... lines) {
        return stage(sheet).at(new Moment(readings(sheet, lines)));
    }
}
