package yellowrail.core.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import yellowrail.core.quantity.Figures;

/**
 * Cabinets on the taps of one secondary, as builders write it: {@code 8}, {@code 8+8} in series, {@code 8||8} in parallel,
 * {@code (8+8)||16}, {@code 8@8, 16@16} on two taps, {@code open}.
 *
 * @param parts what hangs on which tap
 */
public record Hookup(List<Part> parts) {

    private static final Pattern TOKEN = Pattern.compile("\\s*(\\d{1,4}(?:\\.\\d{1,3})?|\\|\\||//|\\+|\\(|\\)|open|short)\\s*", Pattern.CASE_INSENSITIVE);
    private static final int LONGEST = 80;

    /**
     * A load on a tap.
     *
     * @param words   as it was written
     * @param ohms    its impedance; infinite if open
     * @param tapOhms the tap it is on; 0 where it was not said
     */
    public record Part(String words, double ohms, double tapOhms) {
    }

    public Hookup {
        parts = List.copyOf(parts);
    }

    /** @throws IllegalArgumentException naming what cannot be read */
    public static Hookup parse(String text) {
        if (text.length() > LONGEST) {
            throw new IllegalArgumentException("at most %d characters fit here".formatted(LONGEST));
        }
        List<Part> parts = new ArrayList<>();
        for (String part : text.toLowerCase(Locale.ROOT).replace("ohm", "").replace("\u03a9", "").split(",", -1)) {
            String[] sides = part.split("@", -1);
            if (sides.length > 2 || part.isBlank()) {
                throw new IllegalArgumentException("write 8, 8||8, 8+8 or 8@8, 16@16; got \u201c%s\u201d".formatted(text.strip()));
            }
            double tap = sides.length == 2 ? new Reader(sides[1]).all() : 0;
            double ohms = new Reader(sides[0]).all();
            if (sides.length == 2 && !(tap > 0 && Double.isFinite(tap))) {
                throw new IllegalArgumentException("a tap is named by its ohms, got \u201c%s\u201d".formatted(sides[1].strip()));
            }
            parts.add(new Part(sides[0].strip(), ohms, tap));
        }
        return new Hookup(parts);
    }

    /**
     * What the primary sees: every part reflected by its own tap, in parallel.
     *
     * @param primaryOhms nominal load of the primary, with each tap on its own speaker
     * @param usualTap    the tap of parts that name none, ohm
     */
    public double reflected(double primaryOhms, double usualTap) {
        double siemens = parts.stream().mapToDouble(part -> (part.tapOhms() > 0 ? part.tapOhms() : usualTap) / primaryOhms / part.ohms()).sum();
        return 1 / siemens;
    }

    public String inWords() {
        return parts.stream().map(part -> part.words().replaceAll("\\s*(\\|\\||//)\\s*", " || ").replaceAll("\\s*\\+\\s*", " + ") + (part.tapOhms() > 0 ? " on the %s ohm tap".formatted(Figures.plain(part.tapOhms())) : "")).collect(Collectors.joining(", "));
    }

    /** Sums are series, double bars are parallel and bind tighter. */
    private static final class Reader {

        private final String text;
        private final List<String> tokens = new ArrayList<>();
        private int at;

        Reader(String text) {
            this.text = text.strip();
            Matcher matcher = TOKEN.matcher(text);
            int end = 0;
            while (end < text.length() && matcher.find(end) && matcher.start() == end) {
                tokens.add(matcher.group(1));
                end = matcher.end();
            }
            if (end < text.length() || tokens.isEmpty()) {
                throw fault();
            }
        }

        private IllegalArgumentException fault() {
            return new IllegalArgumentException("\u201c%s\u201d is no hook-up; write 8, 8+8 in series, 8||8 in parallel, (8+8)||16, open".formatted(text));
        }

        double all() {
            double ohms = series();
            if (at < tokens.size()) {
                throw fault();
            }
            return ohms;
        }

        private double series() {
            double ohms = parallel();
            while (next("+")) {
                ohms += parallel();
            }
            return ohms;
        }

        private double parallel() {
            double siemens = 1 / one();
            while (next("||") || next("//")) {
                siemens += 1 / one();
            }
            return 1 / siemens;
        }

        private double one() {
            if (next("(")) {
                double ohms = series();
                if (!next(")")) {
                    throw fault();
                }
                return ohms;
            }
            if (at >= tokens.size()) {
                throw fault();
            }
            String token = tokens.get(at++);
            return switch (token) {
                case "open" -> Double.POSITIVE_INFINITY;
                case "short" -> 0;
                default -> {
                    if (!Character.isDigit(token.charAt(0))) {
                        throw fault();
                    }
                    yield Double.parseDouble(token);
                }
            };
        }

        private boolean next(String token) {
            boolean is = at < tokens.size() && tokens.get(at).equals(token);
            at += is ? 1 : 0;
            return is;
        }
    }
}
