package yellowrail.web.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.web.amp.AmpService;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunEntries.Logged;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.SeatService;
import yellowrail.web.tubes.TubeService;

/**
 * Fills an empty database with the work of a busy builder over years: amps that come by again and again, tubes that are
 * changed, half an hour of soak each time. The same each time it is made, but for the day it ends on. For seeing what
 * pages cost when there is much behind them.
 */
@Component
class DemoYears {

    private static final long SEED = 20_260_301;
    private static final int AMPS_A_YEAR = 6;
    private static final int RUNS_A_YEAR = 300;
    private static final int TUBES_A_YEAR = 200;
    private static final int READINGS_A_RUN = 100;
    /** Of so many amps the last run is still open. */
    private static final int OPEN = 4;
    /** After so many runs an amp gets other tubes. */
    private static final int RUNS_OF_A_SET = 12;

    private static final Duration BETWEEN_READINGS = Duration.ofSeconds(40);

    private final AmpService amps;
    private final TubeService tubes;
    private final RunService runs;
    private final RunEntries entries;
    private final DrawerService drawer;
    private final SeatService seats;
    private final SafeStart start;
    private final TransactionTemplate together;
    private final Clock clock;

    DemoYears(
            AmpService amps,
            TubeService tubes,
            RunService runs,
            RunEntries entries,
            DrawerService drawer,
            SeatService seats,
            SafeStart start,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.amps = amps;
        this.tubes = tubes;
        this.runs = runs;
        this.entries = entries;
        this.drawer = drawer;
        this.seats = seats;
        this.start = start;
        this.together = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    void fillIfEmpty(int years) {
        if (amps.all().isEmpty()) {
            fill(years);
        }
    }

    private void fill(int years) {
        Random random = new Random(SEED);
        drawer.keep(new YearsDrawer(random, LocalDate.now(clock)).rows(TUBES_A_YEAR * years, years));
        Map<String, Queue<Long>> shelves = shelves(TUBES_A_YEAR * years);
        int many = AMPS_A_YEAR * years;
        int visits = RUNS_A_YEAR * years / many;
        for (int number = 0; number < many; number++) {
            YearsAmp amp = YearsAmp.of(number, tubes.catalogue());
            long id = amps.create(amp.sheet());
            for (int visit = 0; visit < visits; visit++) {
                OffsetDateTime begun = OffsetDateTime.now(clock)
                        .minusDays(Math.round(365.0 * years * (visits - visit - random.nextDouble()) / visits))
                        .minusMinutes(90 + random.nextInt(300));
                boolean open = visit == visits - 1 && number < OPEN;
                boolean others = visit % RUNS_OF_A_SET == 0;
                together.executeWithoutResult(transaction -> {
                    if (others) {
                        seats.place(id, taken(amp, shelves), begun);
                    }
                    visit(id, amp, begun, open, random);
                });
            }
            if ((number + 1) % AMPS_A_YEAR == 0) {
                System.out.printf("Years made: %d of %d%n", (number + 1) / AMPS_A_YEAR, years);
            }
        }
    }

    private Map<String, Queue<Long>> shelves(int tubes) {
        Map<String, Queue<Long>> shelves = new HashMap<>();
        IntStream.range(0, tubes)
                .forEach(i -> shelves.computeIfAbsent(YearsDrawer.type(i), type -> new ArrayDeque<>())
                        .add(drawer.number(YearsDrawer.type(i), YearsDrawer.label(i))
                                .orElseThrow()));
        return shelves;
    }

    private static Map<String, Long> taken(YearsAmp amp, Map<String, Queue<Long>> shelves) {
        Map<String, Long> set = new HashMap<>();
        for (Socket socket : amp.sheet().sockets()) {
            Long next = shelves.get(amp.type()).poll();
            if (next != null) {
                set.put(socket.label(), next);
            }
        }
        return set;
    }

    /** One visit of an amp: it is read, trimmed where it can be, and soaks. */
    private void visit(long amp, YearsAmp what, OffsetDateTime begun, boolean open, Random random) {
        long run = runs.begin(amp, begun).id();
        start.makeSafe(run, what.sheet());
        List<Logged> read = new ArrayList<>();
        OffsetDateTime at = begun;
        double level = 1 + 0.08 * random.nextGaussian();
        double mains = 120 + random.nextGaussian();
        for (String line : lines(what, level, mains, random)) {
            for (Entry entry : new EntryLine(what.sheet()).parse(line)) {
                read.add(new Logged(entry, at));
            }
            at = at.plus(BETWEEN_READINGS);
        }
        EntryOutcome outcome = entries.enterLogged(run, read, "bench");
        if (!(outcome instanceof EntryOutcome.Accepted)) {
            throw new IllegalStateException(
                    "a run of %s was not accepted: %s".formatted(what.sheet().name(), outcome));
        }
        if (!open) {
            runs.close(run, at);
        }
    }

    private static List<String> lines(YearsAmp what, double level, double mains, Random random) {
        List<String> lines =
                new ArrayList<>(List.of("on", volts("mains", mains), volts("plate", plate(what, level, random))));
        readAll(lines, what, level, random);
        double now = level;
        if (what.pot().isPresent()) {
            lines.add("turn " + what.pot().get() + " clockwise");
            now = 1 + 0.02 * random.nextGaussian();
            lines.add(volts("plate", plate(what, now, random)));
            readAll(lines, what, now, random);
        }
        double creep = random.nextInt(40) == 0 ? 0.004 : 0;
        for (int round = 1;
                lines.size() < READINGS_A_RUN - what.sheet().sockets().size();
                round++) {
            double settled = now * (1 + 0.03 * Math.exp(-round / 5.0) + creep * round);
            readAll(lines, what, settled, random);
            if (round % 5 == 0) {
                lines.add(volts("plate", plate(what, settled, random)));
            }
        }
        while (lines.size() < READINGS_A_RUN) {
            lines.add(volts("mains", mains + 0.3 * random.nextGaussian()));
        }
        return lines;
    }

    private static void readAll(List<String> lines, YearsAmp what, double level, Random random) {
        for (Socket socket : what.sheet().sockets()) {
            lines.add(what.typed(socket.testPoint(), level * (1 + 0.004 * random.nextGaussian())));
        }
    }

    /** More current, less voltage. */
    private static double plate(YearsAmp what, double level, Random random) {
        return what.plateVolts() * (1 - 0.1 * (level - 1)) + 0.5 * random.nextGaussian();
    }

    private static String volts(String what, double volts) {
        return String.format(Locale.ROOT, "%s %.1f", what, volts);
    }
}
