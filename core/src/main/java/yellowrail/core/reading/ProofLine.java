package yellowrail.core.reading;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

/**
 * What was measured at the output with a meter, a scope or an analyser, as it is typed. Everything but the first word
 * stands in any order.
 *
 * <pre>
 * clips 16.9 Vrms 8.1R 1k         the most before the tops go flat; in 0.42V says what went in
 * out 2.83V 8R 1k in 0.1V         any other level; 47.8Vpp and 23.9Vp are read as well
 * scope 2.5div 0.1V 8R x10        divisions from top to bottom, volts of each, the probe
 * hum 2.4mV    noise 0.8mV        nothing played
 * thd 0.7% 1W 1k    thd+n 0.9% 1W 1k band 80k
 * damping 2.83V 3.1V 8R           loaded and open
 * response -3dB 31k
 * </pre>
 *
 * @param what was measured
 * @param figures what of it was told
 * @param scope whether the volts are of a scope's picture
 */
public record ProofLine(What what, Map<Role, Figure> figures, boolean scope) {

    /** What a line begins with. */
    public enum What {
        CLIPS("clips", "clips 16.9Vrms 8R 1k", Role.OUTPUT),
        OUT("out", "out 2.83V 8R 1k", Role.OUTPUT),
        HUM("hum", "hum 2.4mV", Role.OUTPUT),
        NOISE("noise", "noise 0.8mV", Role.OUTPUT),
        THD("thd", "thd 0.7% 1W 1k", Role.DISTORTION),
        THD_NOISE("thd+n", "thd+n 0.9% 1W 1k band 80k", Role.DISTORTION),
        DAMPING("damping", "damping 2.83V 3.1V 8R", Role.OPEN),
        RESPONSE("response", "response -3dB 31k", Role.TONE);

        private final String word;
        private final String example;
        private final Role needs;

        What(String word, String example, Role needs) {
            this.word = word;
            this.example = example;
            this.needs = needs;
        }

        public String word() {
            return word;
        }

        String example() {
            return example;
        }

        Role needs() {
            return needs;
        }
    }

    /** What a figure is of; volts are RMS of a sine. */
    public enum Role {
        OUTPUT(1e-6, 2000),
        /** Volts with the load taken off. */
        OPEN(1e-6, 2000),
        /** Volts that go in. */
        DRIVE(1e-6, 500),
        LOAD(0.1, 100_000),
        POWER(1e-6, 10_000),
        TONE(1, 1e6),
        /** The upper edge of what an analyser counts, Hz. */
        BAND(10, 1e7),
        DISTORTION(0, 10),
        /** Against the middle of the band, dB. */
        DECIBELS(-60, 0);

        private final double least;
        private final double most;

        Role(double least, double most) {
            this.least = least;
            this.most = most;
        }

        double least() {
            return least;
        }

        double most() {
            return most;
        }

        boolean holds(double value) {
            return value >= least && value <= most;
        }
    }

    /**
     * A figure.
     *
     * @param value SI
     * @param lastDigit what the last digit stood for as typed, SI
     */
    public record Figure(double value, double lastDigit) {

        public Figure times(double factor) {
            return new Figure(factor * value, factor * lastDigit);
        }
    }

    public ProofLine {
        figures = Map.copyOf(figures);
    }

    /** Whether a line is one, by its first word. */
    static boolean is(String word) {
        return what(word).isPresent() || word.equals(ProofReader.SCOPE);
    }

    static Optional<What> what(String word) {
        String said = word.toLowerCase(Locale.ROOT);
        return switch (said) {
            case "clips", "clip", "clipping" -> Optional.of(What.CLIPS);
            case "out", "output" -> Optional.of(What.OUT);
            case "hum" -> Optional.of(What.HUM);
            case "noise" -> Optional.of(What.NOISE);
            case "thd" -> Optional.of(What.THD);
            case "thd+n", "thdn" -> Optional.of(What.THD_NOISE);
            case "damping" -> Optional.of(What.DAMPING);
            case "response" -> Optional.of(What.RESPONSE);
            default -> Optional.empty();
        };
    }

    /** What an entry of the log says; empty where it is of something else, or of a form that is not read any more. */
    public static Optional<ProofLine> of(Entry entry) {
        try {
            return entry.kind() == ReadingKind.PROOF ? Optional.of(parse(entry.words())) : Optional.empty();
        } catch (BadEntryException e) {
            return Optional.empty();
        }
    }

    /** @throws BadEntryException if it lacks what its first word needs, or holds what nobody measures */
    public static ProofLine parse(String typed) {
        return new ProofReader(typed).read();
    }

    /** As it is typed; of a scope in the volts it makes. */
    public String words() {
        StringBuilder words = new StringBuilder(what.word());
        figures.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(each -> words.append(' ').append(typed(each.getKey(), each.getValue())));
        return words.toString();
    }

    private static String typed(Role role, Figure figure) {
        int decimals = figure.lastDigit() > 0 ? (int) Math.max(0, Math.round(-Math.log10(figure.lastDigit()))) : 0;
        String number = Figures.fixed(figure.value(), decimals);
        return switch (role) {
            case OUTPUT, OPEN -> number + "V";
            case DRIVE -> "in " + number + "V";
            case LOAD -> number + "R";
            case POWER -> number + "W";
            case TONE -> number + "Hz";
            case BAND -> "band " + number + "Hz";
            case DISTORTION -> Figures.fixed(Unit.PERCENT.fromSi(figure.value()), Math.max(0, decimals - 2)) + "%";
            case DECIBELS -> Figures.plain(figure.value()) + "dB";
        };
    }

    /** The same with another figure. */
    public ProofLine with(Role role, Figure figure) {
        Map<Role, Figure> changed = new EnumMap<>(figures);
        changed.put(role, figure);
        return new ProofLine(what, changed, scope);
    }

    /** Empty where it was not told. */
    public Optional<Figure> figure(Role role) {
        return Optional.ofNullable(figures.get(role));
    }
}
