package yellowrail.core.replay;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Consumer;
import yellowrail.core.Amps;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeType;

/** An amp nobody thought of and what somebody in a hurry may have typed at it: most of it sense, some of it not. */
public final class RandomLog {

    private static final List<String> NONSENSE = List.of(
            "",
            "V9 30",
            "plate",
            "screen -430",
            "screen 0",
            "screen 5",
            "plate 0",
            "plate -430",
            "plate 4520",
            "bias 38",
            "mains 240",
            "mains 12",
            "rk off 0",
            "rk off 1e9",
            "vk 0",
            "tube V1",
            "tube V9 EL34",
            "turn NOTHING clockwise",
            "on 600",
            "V1 V2",
            "1/0",
            "\u2026",
            "sheet shared",
            "sheet screen typical",
            "sheet target customary",
            "sheet plate up to 450",
            "heater 6.1",
            "heater 7.2 bare",
            "plate 505 unloaded",
            "plate 300 unloaded",
            "undo",
            "undo undo",
            "tick load",
            "note a word",
            "mark as found");

    private final Random random;
    private final long seed;
    private AmpSheet sheet;

    public RandomLog(long seed) {
        this.seed = seed;
        this.random = new Random(seed);
        this.sheet = amp();
    }

    public AmpSheet sheet() {
        return sheet;
    }

    /** Takes a line as it is typed. */
    public interface Typed {

        void line(int index, Instant at, String line, boolean confirmed);
    }

    /** Plays all of it; once. */
    public Replay play() {
        Replay replay = new Replay(Amps.CATALOGUE, sheet);
        play(replay::sheet, replay::line);
        return replay;
    }

    /** Plays all of it somewhere else; once. */
    public void play(Consumer<AmpSheet> changed, Typed typed) {
        Instant now = Amps.NOON;
        int lines = 2 + random.nextInt(14);
        for (int i = 0; i < lines; i++) {
            now = now.plusSeconds(random.nextInt(8) == 0 ? 4000 : 5 + random.nextInt(120));
            if (random.nextInt(20) == 0) {
                sheet = random.nextBoolean() ? amp() : sheet.with(sheet.supply().with(one(Rectifier.values())));
                changed.accept(sheet);
            } else {
                typed.line(i, now, line(), random.nextInt(3) > 0);
            }
        }
    }

    private AmpSheet amp() {
        TubeType type = one(Amps.CATALOGUE.types());
        Topology topology = random.nextInt(5) == 0 ? Topology.SINGLE_ENDED : Topology.PUSH_PULL;
        boolean stereo = random.nextInt(4) == 0;
        int tubes = AmpDefaults.least(topology, stereo) * (1 + random.nextInt(2));
        BiasKind bias = one(BiasKind.values());
        CurrentMethod method = random.nextInt(3) > 0 ? AmpDefaults.usualMethod(bias) : one(CurrentMethod.values());
        AmpSheet usual = new AmpDefaults(topology, bias, type, tubes, stereo).sheet(method);
        CurrentSense sense = usual.current();
        if (method.acrossResistance() && sense.ohms().isEmpty()) {
            usual = usual.with(CurrentSense.across(method, one(List.of(62.0, 130.0, 250.0, 470.0)), 0.05, Unit.VOLT));
        }
        AmpSheet drawn = usual.withPots(bias == BiasKind.FIXED_ADJUSTABLE ? pots(usual.sockets()) : List.of())
                .with(new PlateSense(
                        PlateSense.Point.PLATE, one(PlateSense.Reference.values()), OptionalDouble.empty()))
                .with(new ScreenSense(
                        one(ScreenSense.Way.values()),
                        OptionalDouble.of(470),
                        one(ScreenSense.Connection.values()),
                        OptionalDouble.of(0.43)))
                .with(usual.supply().with(one(Rectifier.values())))
                .at(one(List.of(100.0, 120.0, 230.0)), 10);
        AmpSheet accepting =
                random.nextBoolean() ? drawn.with(new Accepted(OptionalDouble.of(600), OptionalDouble.of(600))) : drawn;
        return switch (random.nextInt(5)) {
            case 0 -> accepting.with(new Target(School.CURRENT_WINDOW, 0.030, 0.036, 0.042));
            case 1 -> accepting.with(new Target(School.HOT_CATHODE, 1.0, 1.07, 1.15));
            default -> accepting;
        };
    }

    private List<Pot> pots(List<Socket> sockets) {
        List<Pot> pots = new ArrayList<>();
        switch (random.nextInt(4)) {
            case 0 ->
                sockets.forEach(socket -> pots.add(new Pot(
                        "P" + socket.label(),
                        Pot.Action.ONE,
                        socket.label(),
                        one(Pot.Turn.values()),
                        random.nextBoolean())));
            case 1 -> {
                pots.add(new Pot("RANGE", Pot.Action.ALL, "", one(Pot.Turn.values()), random.nextBoolean()));
                pots.add(new Pot("BAL", Pot.Action.BALANCE, "", one(Pot.Turn.values()), random.nextBoolean()));
            }
            case 2 -> pots.add(new Pot("BAL", Pot.Action.BALANCE, "", Pot.Turn.UNKNOWN, false));
            default -> pots.add(new Pot("RANGE", Pot.Action.ALL, "", one(Pot.Turn.values()), random.nextBoolean()));
        }
        return pots;
    }

    private String line() {
        return switch (random.nextInt(22)) {
            case 0 -> "on" + (random.nextBoolean() ? " " + random.nextInt(30) : "");
            case 1 ->
                random.nextInt(3) == 0
                        ? "off"
                        : "mains " + number(sheet.mainsVolts() * (0.95 + 0.1 * random.nextDouble()), 1);
            case 2 ->
                "turn " + (sheet.pots().isEmpty() ? "P" : one(sheet.pots()).name())
                        + (random.nextBoolean() ? " clockwise" : " anticlockwise");
            case 3 ->
                "tube " + one(sheet.sockets()).label() + " "
                        + one(Amps.CATALOGUE.types()).name() + (random.nextBoolean() ? " new" : "");
            case 4 -> one(NONSENSE);
            case 5 -> "screen " + number(250 + 200 * random.nextDouble(), 0);
            case 6 -> "bias -" + number(10 + 45 * random.nextDouble(), 1) + (random.nextInt(5) == 0 ? " stop" : "");
            case 7 -> "rk off " + number(sheet.current().ohms().orElse(10) * (0.9 + 0.2 * random.nextDouble()), 1);
            case 8 -> "swing " + (random.nextBoolean() ? "a " : "b ") + points();
            case 9 -> points();
            default -> points() + " plate " + number(200 + 300 * random.nextDouble(), random.nextInt(2));
        };
    }

    private String points() {
        StringBuilder line = new StringBuilder();
        double usual = 0.010 + 0.05 * random.nextDouble();
        for (String point : sheet.testPoints()) {
            if (random.nextInt(15) > 0) {
                line.append(point)
                        .append(' ')
                        .append(reading(point, usual * (0.8 + 0.4 * random.nextDouble())))
                        .append(' ');
            }
        }
        return line.isEmpty()
                ? sheet.testPoints().get(0) + " 0"
                : line.toString().strip();
    }

    private String reading(String point, double amps) {
        double far = switch (random.nextInt(24)) {
            case 0 -> 10;
            case 1 -> 0.1;
            case 2 -> 2.5;
            default -> 1;
        };
        double total = amps * far * sheet.socketsAt(point).size();
        Unit shows = sheet.current().shows();
        double si = sheet.current().method().acrossResistance() && shows != Unit.MILLIAMP
                ? total * sheet.current().ohms().orElse(1)
                : total;
        return number(shows.fromSi(si), shows == Unit.VOLT ? 2 : 1);
    }

    private static String number(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }

    private <T> T one(T[] of) {
        return of[random.nextInt(of.length)];
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    @Override
    public String toString() {
        return "random log %d".formatted(seed);
    }
}
