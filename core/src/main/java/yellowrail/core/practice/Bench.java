package yellowrail.core.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;

/**
 * A practice amp on a bench with a meter: quasi-static, so each second is an idle of its own. Tubes warm up in half a
 * minute and settle in minutes, the mains wanders, a plate driven beyond what it can shed glows and then gives up.
 */
public final class Bench {

    /** What tapping a tube a few times takes, s. */
    public static final double TAPPED_SECONDS = TappedTube.SECONDS;

    /** A cathode begins to emit so long after switching on, s, and is there with this time constant, s. */
    private static final double DEAF = 18;

    private static final double WARMS = 5;
    /** A plate sheds this many times its rating for good; beyond, heat gathers until it glows and then fails, s. */
    private static final double SHEDS = 1.15;

    private static final double GLOWS = 8;
    private static final double FAILS = 40;
    private static final double COOLS = 0.05;
    /** What full scale of a signal makes of the grids' coldest volts: far into clipping. */
    private static final double DRIVEN = 1.5;

    private static final double HEATER_VOLTS = 6.3;
    private static final double HEATER_DROP = 0.02;

    private final AmpSheet sheet;
    private final Circuit circuit;
    private final SimulatedMeter meter;
    private final long seed;
    private final List<PracticeFinding> events = new ArrayList<>();
    private double seconds;
    private double onAt;
    private final double[] pots;
    private final double[] heat;
    private final boolean[] failed;
    private final int[] order;
    private String probe;
    private int turns;
    private int swaps;
    private double peak;
    private double above;

    Bench(AmpSheet sheet, Circuit circuit, SimulatedMeter meter, long seed, BenchState state) {
        this.sheet = sheet;
        this.circuit = circuit;
        this.meter = meter;
        this.seed = seed;
        this.seconds = state.seconds();
        this.onAt = state.onAt();
        this.pots = state.pots().stream().mapToDouble(Double::doubleValue).toArray();
        this.heat = state.heat().stream().mapToDouble(Double::doubleValue).toArray();
        this.failed = new boolean[heat.length];
        IntStream.range(0, heat.length).forEach(i -> failed[i] = state.failed().get(i));
        this.order = state.order().stream().mapToInt(Integer::intValue).toArray();
        this.probe = state.probe();
        this.turns = state.turns();
        this.swaps = state.swaps();
        this.peak = state.peak();
        this.above = state.above();
    }

    public BenchState state() {
        return new BenchState(
                seconds,
                onAt,
                Arrays.stream(pots).boxed().toList(),
                Arrays.stream(heat).boxed().toList(),
                IntStream.range(0, failed.length).mapToObj(i -> failed[i]).toList(),
                Arrays.stream(order).boxed().toList(),
                probe,
                turns,
                peak,
                above,
                swaps);
    }

    public AmpSheet sheet() {
        return sheet;
    }

    /** What happened since this was last asked, for the log. */
    public List<PracticeFinding> events() {
        List<PracticeFinding> happened = List.copyOf(events);
        events.clear();
        return happened;
    }

    public void power(boolean on) {
        if (on != onAt >= 0) {
            onAt = on ? seconds : -1;
        }
    }

    /** @param position 0 fully anticlockwise to 1 fully clockwise */
    public void turn(int pot, double position) {
        if (!(position >= 0 && position <= 1)) {
            throw new IllegalArgumentException("a pot stands between 0 and 1, was " + position);
        }
        if (pots[pot] != position) {
            pots[pot] = position;
            turns++;
        }
    }

    public void place(String where) {
        probe = where;
    }

    /** Exchanges the tubes of two sockets; only an amp that is off lets itself be touched. */
    public void swap(int one, int other) {
        if (onAt >= 0) {
            throw new IllegalStateException("tubes are exchanged with the amp off");
        }
        swaps++;
        int tube = order[one];
        order[one] = order[other];
        order[other] = tube;
        double warmth = heat[one];
        heat[one] = heat[other];
        heat[other] = warmth;
    }

    /** Lets time pass, second by second. */
    public void advance(double howLong) {
        for (double left = howLong; left > 0; left -= 1) {
            double step = Math.min(1, left);
            seconds += step;
            OperatingPoint point = idle();
            for (int i = 0; i < heat.length; i++) {
                warm(i, point.watts(i) / circuit.ratedWatts(), step);
            }
        }
    }

    private void warm(int socket, double ratio, double step) {
        peak = Math.max(peak, ratio);
        double before = heat[socket];
        heat[socket] = Math.max(0, before + step * (ratio > SHEDS ? ratio - SHEDS : -COOLS * before));
        String label = sheet.sockets().get(socket).label();
        if (ratio > 1) {
            above += step / heat.length;
        }
        if (before < GLOWS && heat[socket] >= GLOWS) {
            events.add(new PracticeFinding.RedPlates(label, ratio * circuit.ratedWatts(), circuit.ratedWatts()));
        }
        if (!failed[order[socket]] && heat[socket] >= FAILS) {
            failed[order[socket]] = true;
            events.add(new PracticeFinding.TubeLost(label, FAILS));
        }
    }

    /** The truth, now. */
    public OperatingPoint idle() {
        return new CircuitSolver(seated()).solve(pots, mains(), emission(), onAt < 0 ? 0 : seconds - onAt);
    }

    /** The truth at the reference mains, warm and settled. */
    public OperatingPoint settled() {
        double[] warm = new double[heat.length];
        for (int i = 0; i < warm.length; i++) {
            warm[i] = failed[order[i]] ? 0 : 1;
        }
        return new CircuitSolver(seated()).solve(pots, 1, warm, 0);
    }

    /** The circuit with the tubes where they sit now. */
    private Circuit seated() {
        List<Circuit.Tube> tubes = IntStream.range(0, order.length)
                .mapToObj(i -> circuit.tubes().get(i).replacedBy(circuit.tubes().get(order[i])))
                .toList();
        return new Circuit(
                tubes,
                circuit.supply(),
                circuit.bias(),
                circuit.senseOhms(),
                circuit.sharedBy(),
                circuit.lifted(),
                circuit.mains(),
                circuit.ratedWatts());
    }

    /** Its output as it stands now, into a dummy load. */
    public PracticeOutput output() {
        return output(sheet.fittings().loadOhms().orElseThrow());
    }

    /** @param plateToPlate what another transformer makes of the dummy load, ohm */
    public PracticeOutput output(double plateToPlate) {
        return new PracticeOutput(
                new PushPullTransfer(
                        seated(), idle(), onAt < 0 ? new double[order.length] : emission(), mains(), plateToPlate),
                sheet.mainsHertz(),
                DRIVEN * Math.abs(circuit.bias().cold()),
                plateToPlate,
                seed * 31 + Math.round(seconds));
    }

    /** Tones into it, louder step by step. */
    public PracticeClimb climb() {
        return new PracticeClimb(output(), sheet.mainsHertz());
    }

    /**
     * What a card at its load hears while the tube in a socket is tapped a few times.
     *
     * @param socket in the order of the sheet
     */
    public byte[] tapped(int socket, int perSecond) {
        TappedTube tube = TappedTube.of(circuit.tubes().get(order[socket]).model());
        return output().tapped(isOn() && !isDead(socket) ? tube : tube.silent(), perSecond);
    }

    private double[] emission() {
        double[] emission = new double[order.length];
        double warm = onAt < 0 ? 0 : seconds - onAt;
        for (int i = 0; i < emission.length; i++) {
            emission[i] = failed[order[i]] || warm <= DEAF
                    ? 0
                    : (1 - Math.exp(-(warm - DEAF) / WARMS))
                            * circuit.tubes().get(order[i]).habit().after(warm - DEAF);
        }
        return emission;
    }

    /** Mains over the reference: off by its offset, wandering in two slow waves whose phases the seed decides. */
    public double mains() {
        double phase = new Random(seed).nextDouble() * 2 * Math.PI;
        return 1
                + circuit.mains().offset()
                + circuit.mains().drifted(seconds)
                + circuit.mains().wander()
                        * (0.6 * Math.sin(2 * Math.PI * seconds / 97 + phase)
                                + 0.4 * Math.sin(2 * Math.PI * seconds / 31));
    }

    public double ratedWatts() {
        return circuit.ratedWatts();
    }

    /** What a logger with a lead on every test point, the plates and the mains would read. */
    public List<Entry> readAll() {
        List<Entry> read = new ArrayList<>();
        sheet.testPoints().forEach(point -> read.add(read(point)));
        read.add(read("plate"));
        read.add(read("mains"));
        return read;
    }

    /** Where the lead can be put: every test point, then the rest. */
    public List<String> probes() {
        List<String> places = new ArrayList<>(sheet.testPoints());
        places.addAll(
                sheet.bias().isCathode()
                        ? List.of("plate", "mains", "screen", "heater")
                        : List.of("plate", "bias", "mains", "screen", "heater"));
        return places;
    }

    public boolean isOn() {
        return onAt >= 0;
    }

    /** Whether the plate in this socket glows. */
    public boolean glows(int socket) {
        return heat[socket] >= GLOWS;
    }

    /** Whether the tube in this socket is ruined. */
    public boolean isDead(int socket) {
        return failed[order[socket]];
    }

    /**
     * What the meter shows where the lead is.
     *
     * @throws IllegalArgumentException if that is no place to put it
     */
    public Entry read(String where) {
        Random chance = new Random(seed * 31 + Math.round(seconds * 10) * 7919 + where.hashCode());
        OperatingPoint point = idle();
        boolean on = onAt >= 0;
        return switch (where) {
            case "plate" -> Entry.measured(ReadingKind.PLATE, "", on ? meter.volts(point.plate(), chance) : 0);
            case "bias" -> Entry.measured(ReadingKind.BIAS, "", on ? meter.volts(point.grids()[0], chance) : 0);
            case "screen" -> Entry.measured(ReadingKind.SCREEN_VOLTS, "", on ? meter.volts(point.screen(), chance) : 0);
            case "mains" ->
                Entry.measured(
                        ReadingKind.MAINS, "", meter.volts(circuit.mains().reference() * mains(), chance));
            case "heater" ->
                Entry.measured(
                        ReadingKind.HEATER,
                        "",
                        on ? meter.sense(HEATER_VOLTS * mains() * (1 + HEATER_DROP), chance) : 0);
            default -> {
                double shown = meter.sense(sense(where, point), chance);
                yield Entry.measured(ReadingKind.SENSE_VOLTS, where, on ? shown : 0);
            }
        };
    }

    private double sense(String testPoint, OperatingPoint point) {
        if (!sheet.testPoints().contains(testPoint)) {
            throw new IllegalArgumentException("there is no %s to put the lead on".formatted(testPoint));
        }
        if (circuit.lifted()) {
            return point.cathodes()[0];
        }
        double amps = 0;
        for (int i = 0; i < point.tubes(); i++) {
            boolean here = sheet.sockets().get(i).testPoint().equals(testPoint);
            amps += here || circuit.sharedBy() > 1 ? point.cathodeAmps(i) : 0;
        }
        return amps * circuit.senseOhms();
    }
}
