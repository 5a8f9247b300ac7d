package yellowrail.core;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.SheetVersion;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** Amps of a made-up workshop, and a shorthand to type readings at them. */
public final class Amps {

    public static final TubeCatalogue CATALOGUE = TubeCatalogue.published();
    public static final Instant NOON = Instant.parse("2026-03-01T12:00:00Z");

    private Amps() {}

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
        return StageIdle.of(sheet, CATALOGUE);
    }

    /** Lines typed one after another, half a minute apart from noon on. */
    public static List<Reading> readings(AmpSheet sheet, String... lines) {
        EntryLine entryLine = new EntryLine(sheet);
        List<Reading> readings = new ArrayList<>();
        for (String line : lines) {
            long first = readings.size() + 1L;
            entryLine
                    .parse(line)
                    .forEach(entry -> readings.add(
                            new Reading(readings.size() + 1L, entry, NOON.plusSeconds(30 * (first - 1)), first, 1)));
        }
        return readings;
    }

    public static Timeline timeline(AmpSheet sheet, List<Reading> readings) {
        return Timeline.of(CATALOGUE, sheet, Moment.EMPTY, readings);
    }

    public static Timeline timeline(AmpSheet sheet, String... lines) {
        return timeline(sheet, readings(sheet, lines));
    }

    /** A log that is typed line by line, a minute apart, while the sheet changes. */
    public static final class Typed {

        private final List<SheetVersion> versions = new ArrayList<>();
        private final List<Reading> readings = new ArrayList<>();
        private int minute;

        public Typed(AmpSheet sheet) {
            versions.add(new SheetVersion(1, sheet));
        }

        public Typed line(String line) {
            long first = readings.size() + 1L;
            Instant at = NOON.plusSeconds(60L * minute++);
            new EntryLine(versions.get(versions.size() - 1).sheet()).parse(line).forEach(entry -> {
                Instant taken =
                        entry.kind() == ReadingKind.POWER_ON ? at.minusSeconds(Math.round(60 * entry.value())) : at;
                readings.add(new Reading(readings.size() + 1L, entry, taken, first, versions.size()));
            });
            return this;
        }

        public Typed lines(String... lines) {
            List.of(lines).forEach(this::line);
            return this;
        }

        public Typed sheet(AmpSheet sheet) {
            versions.add(new SheetVersion(versions.size() + 1, sheet));
            return this;
        }

        public Instant now() {
            return NOON.plusSeconds(60L * minute);
        }

        public Log log() {
            return new Log(CATALOGUE, versions, Moment.EMPTY, readings);
        }

        public Timeline timeline() {
            return log().timeline();
        }

        public StageSummary summary() {
            return StageSummary.of(timeline());
        }

        public MoveFinder finder() {
            StageIdle stage = StageIdle.of(timeline().present());
            return new MoveFinder(stage, new SupplyReadings(stage, timeline()));
        }

        public Optional<NextMove> move() {
            return finder().find();
        }
    }

    public static Optional<NextMove> move(AmpSheet sheet, List<Reading> readings) {
        StageIdle stage = stage(sheet);
        return new MoveFinder(stage, new SupplyReadings(stage, timeline(sheet, readings))).find();
    }

    public static List<TubeIdle> idle(AmpSheet sheet, String... lines) {
        return stage(sheet).at(timeline(sheet, lines).present());
    }
}
