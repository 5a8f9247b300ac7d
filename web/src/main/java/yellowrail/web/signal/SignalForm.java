package yellowrail.web.signal;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.quantity.Unit;
import yellowrail.core.signal.TestSignal;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.form.Query;

/** What tone is wanted, as it was typed. */
public record SignalForm(Map<String, String> fields) {

    static final int LONGEST = 60;
    private static final int MOST_STEPS = 40;
    private static final double FAINTEST = -100;
    private static final double LOWEST = 1;
    private static final double HIGHEST = 90_000;
    /** Of half the sample rate: above it nothing plays cleanly. */
    private static final double CLEAN = 0.95;

    private static final Map<String, String> USUAL = Map.of(
            "shape", "SINE",
            "hertz", "1000",
            "to", "20000",
            "level", "-40",
            "toLevel", "-6",
            "steps", "8",
            "seconds", "5",
            "rate", "48000",
            "bits", "24");

    /** What is played. */
    enum Shape {
        SINE,
        LEVELS,
        FREQUENCIES,
        BASS_AND_TREBLE,
        TWIN_TREBLE,
        SILENCE
    }

    /** @param signal as it is played */
    public record Wanted(TestSignal signal, int rate, int bits) {}

    public static SignalForm of(Map<String, String> typed) {
        Map<String, String> fields = new LinkedHashMap<>(USUAL);
        fields.replaceAll((field, usual) -> typed.getOrDefault(field, usual));
        return new SignalForm(fields);
    }

    public String of(String field) {
        return fields.get(field);
    }

    /** The same out of an address. */
    public static SignalForm ofQuery(String query) {
        return of(Query.read(query));
    }

    String query() {
        return Query.of(fields);
    }

    /** Whether a field matters for what is played. */
    public boolean uses(String field) {
        String shape = of("shape");
        return switch (field) {
            case "hertz" -> shape.equals("SINE") || shape.equals("LEVELS") || shape.equals("FREQUENCIES");
            case "to" -> shape.equals("FREQUENCIES");
            case "toLevel" -> shape.equals("LEVELS");
            case "steps" -> shape.equals("LEVELS") || shape.equals("FREQUENCIES");
            case "level" -> !shape.equals("SILENCE");
            default -> true;
        };
    }

    /** Empty where there are faults. */
    public Optional<Wanted> read(Faults faults) {
        FormReader reader = new FormReader(faults);
        Shape shape = reader.choice("shape", of("shape"), Shape.class);
        int rate = (int) reader.count("rate", of("rate"), 8_000, 192_000);
        int bits = (int) reader.count("bits", of("bits"), 16, 24);
        if (bits != 16 && bits != 24) {
            faults.say("bits", "page.signal.sixteen-or-twenty-four");
        }
        double hertz = uses("hertz") ? reader.required("hertz", of("hertz"), Unit.HERTZ, LOWEST, HIGHEST) : LOWEST;
        double to = uses("to") ? reader.required("to", of("to"), Unit.HERTZ, LOWEST, HIGHEST) : LOWEST;
        double level = uses("level") ? reader.count("level", of("level"), FAINTEST, 0) : FAINTEST;
        double toLevel = uses("toLevel") ? reader.count("toLevel", of("toLevel"), FAINTEST, 0) : FAINTEST;
        int steps = uses("steps") ? (int) reader.count("steps", of("steps"), 2, MOST_STEPS) : 1;
        double seconds = reader.required("seconds", of("seconds"), Unit.SECOND, 0.2, LONGEST);
        if (seconds * steps > LONGEST) {
            faults.say("seconds", "page.signal.too-long", LONGEST);
        }
        if (faults.any()) {
            return Optional.empty();
        }
        TestSignal signal = signal(shape, hertz, to, peak(level), peak(toLevel), steps, seconds);
        if (signal.highest() > CLEAN * rate / 2) {
            faults.say(uses("to") ? "to" : uses("hertz") ? "hertz" : "rate", "page.signal.too-high", rate / 2);
            return Optional.empty();
        }
        return Optional.of(new Wanted(signal, rate, bits));
    }

    /** Of full scale. */
    private static double peak(double decibels) {
        return Math.pow(10, decibels / 20);
    }

    private static TestSignal signal(
            Shape shape, double hertz, double to, double peak, double toPeak, int steps, double seconds) {
        return switch (shape) {
            case SINE -> TestSignal.sine(hertz, peak, seconds);
            case LEVELS -> TestSignal.levels(hertz, peak, toPeak, steps, seconds);
            case FREQUENCIES -> TestSignal.frequencies(hertz, to, peak, steps, seconds);
            case BASS_AND_TREBLE -> TestSignal.bassAndTreble(peak, seconds);
            case TWIN_TREBLE -> TestSignal.twinTreble(peak, seconds);
            case SILENCE -> TestSignal.silence(seconds);
        };
    }
}
