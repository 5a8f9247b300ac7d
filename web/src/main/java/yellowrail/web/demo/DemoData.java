package yellowrail.web.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.practice.PracticeOutput;
import yellowrail.core.station.Station;
import yellowrail.core.trace.PointSource;
import yellowrail.core.trace.TraceCsv;
import yellowrail.core.trace.TraceRow;
import yellowrail.core.tube.TubeType;
import yellowrail.web.amp.AmpService;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.drawer.PointService;
import yellowrail.web.prove.ProveService;
import yellowrail.web.ring.RingService;
import yellowrail.web.ring.TapForm;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.SeatService;
import yellowrail.web.station.StationService;
import yellowrail.web.tubes.TubeService;

/** Fills an empty database with a made-up workshop, its readings typed in the way a builder types them. */
@Component
class DemoData {

    private static final String WHO = "bench";
    /** More lines than a first measurement has: the amp is being set. */
    private static final int READ_AND_TURNED = 8;
    /** What is asked about, and meant: this amp is over its rating. */
    private static final String LOOKED_AT_TWICE = "plate 347";

    private final AmpService amps;
    private final RunService runs;
    private final RunEntries entries;
    private final TubeService tubes;
    private final StationService stations;
    private final DrawerService drawer;
    private final SeatService seats;
    private final PointService points;
    private final ProveService proofs;
    private final RingService taps;
    private final SafeStart start;
    private final Clock clock;

    DemoData(
            AmpService amps,
            RunService runs,
            RunEntries entries,
            TubeService tubes,
            StationService stations,
            DrawerService drawer,
            SeatService seats,
            PointService points,
            ProveService proofs,
            RingService taps,
            SafeStart start,
            Clock clock) {
        this.stations = stations;
        this.drawer = drawer;
        this.seats = seats;
        this.points = points;
        this.proofs = proofs;
        this.taps = taps;
        this.start = start;
        this.amps = amps;
        this.runs = runs;
        this.entries = entries;
        this.tubes = tubes;
        this.clock = clock;
    }

    void fillIfEmpty() {
        if (amps.all().isEmpty()) {
            fill();
        }
    }

    void fill() {
        DemoAmps demo = new DemoAmps(tubes.catalogue());
        long first = play(
                demo.coldPair(),
                14,
                "mark as found",
                "heater 6.38",
                "mains 119.6",
                "V1 24.1",
                "V2 22.3",
                "plate 463",
                "bias -50.2",
                "turn RANGE clockwise",
                "V1 31.0",
                "V2 28.8",
                "plate 456.5",
                "mark after the first turn",
                "turn RANGE clockwise",
                "bias -46.8",
                "V1 36.4",
                "V2 33.9",
                "plate 452");
        play(
                demo.quad(),
                12,
                "rk off 61.4",
                "mains 120.4",
                "vk 9.85",
                "plate 311",
                "at reservoir 330.6; at screens 325.4; at splitter supply 281.2; at preamp supply 221.8",
                "at V1a plate 130.1; at V1a cathode 1.38; at V1b plate 221.5; at V1b cathode 0.01",
                "at V2a plate 29.4; at V2a cathode 2.91; at V2b plate 219.7; at V2b cathode 62.1",
                "at V3 plate 148 pulsing");
        play(demo.stereo(), 11, "mains 120.1", "L 0.93", "plate 438", "R 0.98", "bias -36.4");
        play(demo.single(), 15, "mains 119.9", "V1 31.2", "plate 402");
        play(demo.overRating(), 12, "mains 123.8", "V1 38.9", "V2 36.2", "plate 347", "screen 318");
        play(demo.mismatched(), 13, "mains 120.2", "BLUE 4.35", "BROWN 3.52", "plate 446");
        play(demo.halfDone(), 4, "mains 119.8", "V1 412", "note waiting for the second probe");
        soak(demo.creeping());
        history(demo.oldFriend());
        fillDrawer(first);
        prove(first);
    }

    /** A watt and the onset of clipping, heard by a sound card of which a meter tells the scale. */
    private void prove(long amp) {
        Run run = runs.newestOf(amp).orElseThrow();
        DemoRecordings heard = new DemoRecordings();
        PracticeOutput.Played tone = heard.played(heard.tone());
        OptionalDouble load = OptionalDouble.of(8);
        proofs.keep(
                run,
                "steps.wav",
                heard.played(heard.steps()).wav(),
                60,
                new ProveService.Told("36 mA, step by step", load, OptionalDouble.empty()));
        proofs.keep(
                run,
                "one-watt.wav",
                tone.wav(),
                60,
                new ProveService.Told("36 mA, 1 W", load, OptionalDouble.of(tone.volts())));
        taps.keep(run, "taps.wav", heard.tapped(0), 60, new TapForm.Told("V1", OptionalDouble.empty()));
        taps.keep(run, "taps.wav", heard.tapped(1), 60, new TapForm.Told("V2", OptionalDouble.empty()));
    }

    /** Half an hour of a pair of which one creeps by half a percent a minute. */
    private void soak(AmpSheet sheet) {
        long run = runs.begin(amps.create(sheet)).id();
        start.makeSafe(run, sheet);
        List.of(Station.MEASURE, Station.SET).forEach(station -> stations.done(run, station));
        OffsetDateTime begun = OffsetDateTime.now(clock).minusMinutes(31);
        enter(run, "on", begun);
        enter(run, "plate 436.2; mains 120.3", begun.plusMinutes(2));
        for (int minute = 2; minute <= 30; minute += 2) {
            enter(
                    run,
                    String.format(
                            Locale.ROOT,
                            "V1 %.1f V2 %.1f",
                            33.2 * (1 + 0.0046 * minute + 0.02 * Math.exp(-minute / 4.0)),
                            33.8 * (1 + 0.03 * Math.exp(-minute / 5.0))),
                    begun.plusMinutes(minute).plusSeconds(minute % 4 * 5L));
        }
        enter(run, "mains 120.1", begun.plusMinutes(30).plusSeconds(30));
    }

    /**
     * An amp that came by three times in a year, and was closed each time; the last time it had moved, and is due
     * again.
     */
    private void history(AmpSheet sheet) {
        long amp = amps.create(sheet);
        visit(amp, sheet, 320, "mains 118.9", "V1 41.2 V2 38.4 plate 447");
        visit(
                amp,
                sheet,
                200,
                "mains 120.2",
                "V1 35.0 V2 24.1 plate 458",
                "tube V1 6L6GC new",
                "tube V2 6L6GC new",
                "V1 39.8 V2 39.1 plate 449",
                "must 2 x power tube at V2",
                "should 1 x reservoir capacitor 100u 500V");
        visit(amp, sheet, 2, "mains 120.4", "V1 38.9 V2 36.2 plate 451", "could clean the pots");
    }

    private void visit(long amp, AmpSheet sheet, int daysAgo, String... lines) {
        OffsetDateTime begun = OffsetDateTime.now(clock).minusDays(daysAgo);
        long run = runs.begin(amp, begun).id();
        start.makeSafe(run, sheet);
        enter(run, "on 15", begun);
        for (int i = 0; i < lines.length; i++) {
            enter(run, lines[i], begun.plusMinutes(15 + 2L * i));
        }
        runs.close(run, begun.plusMinutes(60));
    }

    /** A drawer of made-up tubes, two of which have sat in the first amp since before its run; of one the curves. */
    private void fillDrawer(long ampId) {
        Map<String, Long> numbers = new HashMap<>();
        DrawerCsv.parse(resource("tubes.csv"))
                .rows()
                .forEach(row -> numbers.put(row.tube().label(), drawer.add(row).orElseThrow()));
        TubeType traced = tubes.catalogue().find("6L6GC").orElseThrow();
        points.keep(
                numbers.get("A5"),
                TraceCsv.parse(resource("curves.csv"), traced).rows().stream()
                        .map(TraceRow::point)
                        .toList(),
                PointSource.FILE);
        seats.place(
                ampId,
                Map.of("V1", numbers.get("A2"), "V2", numbers.get("A3")),
                OffsetDateTime.now(clock).minusDays(30));
    }

    private static String resource(String name) {
        try (InputStream file = DemoData.class.getResourceAsStream(name)) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Enters the lines half a minute apart, the last of them now. */
    private long play(AmpSheet sheet, int minutesOn, String... lines) {
        long amp = amps.create(sheet);
        long run = runs.begin(amp).id();
        start.makeSafe(run, sheet);
        OffsetDateTime now = OffsetDateTime.now(clock);
        int cold = lines[0].startsWith("rk off") ? 1 : 0;
        for (int i = 0; i < lines.length; i++) {
            if (i == cold) {
                enter(run, "on " + minutesOn, now.minusSeconds(30L * (lines.length - i)));
            }
            enter(run, lines[i], now.minusSeconds(30L * (lines.length - 1 - i)));
        }
        if (lines.length > READ_AND_TURNED) {
            stations.done(run, Station.MEASURE);
        }
        return amp;
    }

    private void enter(long run, String line, OffsetDateTime taken) {
        EntryOutcome outcome = entries.enter(run, line, WHO, line.equals(LOOKED_AT_TWICE), taken);
        if (!(outcome instanceof EntryOutcome.Accepted)) {
            throw new IllegalStateException("the demo line %s was not accepted: %s".formatted(line, outcome));
        }
    }
}
