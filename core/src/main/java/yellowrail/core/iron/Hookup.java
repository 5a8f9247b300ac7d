package yellowrail.core.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.typed.Quantity;

/**
 * Cabinets on the taps of one secondary, as builders write it: {@code 8}, {@code 8+8} in series, {@code 8||8} in
 * parallel, {@code (8+8)||16}, {@code 8@8, 16@16} on two taps, {@code open}.
 *
 * @param parts what hangs on which tap
 */
public record Hookup(List<Part> parts) {

    private static final Pattern TOKEN = Pattern.compile(
            "\\s*(\\d{1,4}(?:\\.\\d{1,3})?|\\|\\||//|\\+|\\(|\\)|open|short)\\s*", Pattern.CASE_INSENSITIVE);
    private static final int LONGEST = 80;

    /**
     * A load on a tap.
     *
     * @param written as it was written
     * @param ohms its impedance; infinite if open
     * @param tapOhms the tap it is on; 0 where it was not said
     */
    public record Part(String written, double ohms, double tapOhms) {}

    public Hookup {
        parts = List.copyOf(parts);
    }

    /** @throws BadHookupException naming what cannot be read */
    public static Hookup parse(String text) {
        if (text.length() > LONGEST) {
            throw new BadHookupException(new IronFinding.HookupTooLong(LONGEST));
        }
        List<Part> parts = new ArrayList<>();
        for (String part : text.toLowerCase(Locale.ROOT)
                .replace("ohm", "")
                .replace("\u03a9", "")
                .split(",", -1)) {
            String[] sides = part.split("@", -1);
            if (sides.length > 2 || part.isBlank()) {
                throw new BadHookupException(new IronFinding.HookupParts(Quantity.quote(text.strip())));
            }
            double tap = sides.length == 2 ? new Reader(sides[1]).all() : 0;
            double ohms = new Reader(sides[0]).all();
            if (sides.length == 2 && !(tap > 0 && Double.isFinite(tap))) {
                throw new BadHookupException(new IronFinding.TapNotNamed(Quantity.quote(sides[1].strip())));
            }
            parts.add(new Part(sides[0].strip(), ohms, tap));
        }
        return new Hookup(parts);
    }

    /**
     * What the primary sees: every part reflected by its own tap, in parallel.
     *
     * @param primaryOhms nominal load of the primary, with each tap on its own speaker
     * @param usualTap the tap of parts that name none, ohm
     */
    public double reflected(double primaryOhms, double usualTap) {
        double siemens = parts.stream()
                .mapToDouble(part -> (part.tapOhms() > 0 ? part.tapOhms() : usualTap) / primaryOhms / part.ohms())
                .sum();
        return 1 / siemens;
    }

    /** As it was written, tidied. */
    public List<IronFinding> told() {
        return parts.stream()
                .<IronFinding>map(part -> {
                    String written = part.written()
                            .replaceAll("\\s*(\\|\\||//)\\s*", " || ")
                            .replaceAll("\\s*\\+\\s*", " + ");
                    return part.tapOhms() > 0
                            ? new IronFinding.OnTap(written, part.tapOhms())
                            : new IronFinding.OnUsualTap(written);
                })
                .toList();
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

        private BadHookupException fault() {
            return new BadHookupException(new IronFinding.NoHookup(Quantity.quote(text)));
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
