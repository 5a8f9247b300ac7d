package yellowrail.core.reading;

import static yellowrail.core.typed.Quantity.quote;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.reading.EntryFault.BadNumber;
import yellowrail.core.reading.EntryFault.NoProofFigure;
import yellowrail.core.reading.EntryFault.NoProofUnit;
import yellowrail.core.reading.EntryFault.NotUnderstoodIn;
import yellowrail.core.reading.EntryFault.ProofBeyond;
import yellowrail.core.reading.EntryFault.ScopeHalfTold;
import yellowrail.core.reading.EntryFault.TwoNumbers;
import yellowrail.core.reading.ProofLine.Figure;
import yellowrail.core.reading.ProofLine.Role;
import yellowrail.core.reading.ProofLine.What;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/** Goes along a {@link ProofLine} word by word. */
final class ProofReader {

    static final String SCOPE = "scope";

    /** Fallen by so much, a band ends where nothing else is told, dB. */
    private static final double EDGE = -3;

    private static final String UNIT =
            "[m\u00b5u]?v(?:rms|pp|p-p|pk|p)?|divs?|ohms?|r|\u03c9|\u2126|k?hz|k|m?w|watts?|%|db";
    private static final Pattern APART = Pattern.compile("(?i)(?<=[\\d.,])\\s+(?=(?:" + UNIT + ")(?:\\s|$))");
    private static final Pattern KIND_APART =
            Pattern.compile("(?i)(?<=\\d[m\u00b5u]?v)\\s+(?=(?:rms|pp|p-p|pk|peak|p)\\b)");
    private static final Pattern PROBE = Pattern.compile("(?i)x(10|100|1)|(10|100|1)x|(10|100|1):1");
    /** RMS of a sine for a volt of its peak. */
    private static final double PEAK = Math.sqrt(0.5);

    private static final List<String> PASSED_OVER =
            List.of("at", "into", "open", "unloaded", "loaded", "rms", "with", "and", "from", "to", "clean");
    private static final Pattern NUMBER = Pattern.compile("([+\\-\u2212]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+))(\\S*)");

    private final String typed;
    private final Map<Role, Figure> figures = new EnumMap<>(Role.class);
    private What what;
    private boolean scope;
    private double probe = 1;
    private Figure divisions;
    private Figure perDivision;
    private Role next;

    ProofReader(String typed) {
        this.typed = typed.strip();
    }

    ProofLine read() {
        String joined = KIND_APART.matcher(APART.matcher(typed).replaceAll("")).replaceAll("");
        for (String each : joined.split("[\\s=]+")) {
            String token = each.replaceAll("[:,;]$", "");
            Matcher probed = PROBE.matcher(token);
            Matcher number = NUMBER.matcher(token);
            if (probed.matches()) {
                probe = Double.parseDouble(token.replaceAll("(?i)x|:1$", ""));
            } else if (number.matches()) {
                number(number.group(1), number.group(2).toLowerCase(Locale.ROOT));
            } else {
                word(token.toLowerCase(Locale.ROOT), token);
            }
        }
        return finished();
    }

    private ProofLine finished() {
        What measured = what == null ? What.OUT : what;
        if ((divisions == null) != (perDivision == null)) {
            throw new BadEntryException(new ScopeHalfTold(quote(typed)));
        }
        if (divisions != null) {
            double each = perDivision.value() * probe * PEAK / 2;
            put(Role.OUTPUT, new Figure(each * divisions.value(), each * divisions.lastDigit()));
        }
        if (measured == What.RESPONSE) {
            figures.putIfAbsent(Role.DECIBELS, new Figure(EDGE, 0));
        }
        if (measured == What.DAMPING) {
            lowerIsLoaded();
        }
        boolean enough =
                figures.containsKey(measured.needs()) || measured == What.CLIPS && figures.containsKey(Role.POWER);
        if (!enough) {
            throw new BadEntryException(new NoProofFigure(measured, quote(typed), measured.example()));
        }
        figures.forEach((role, figure) -> {
            if (!role.holds(figure.value())) {
                throw new BadEntryException(new ProofBeyond(role, quote(typed), role.least(), role.most()));
            }
        });
        return new ProofLine(measured, figures, scope);
    }

    /** A load pulls the volts down. */
    private void lowerIsLoaded() {
        Figure one = figures.get(Role.OUTPUT);
        Figure other = figures.get(Role.OPEN);
        if (other != null && one.value() > other.value()) {
            figures.put(Role.OUTPUT, other);
            figures.put(Role.OPEN, one);
        }
    }

    private void word(String word, String token) {
        Optional<What> said = ProofLine.what(word);
        if (said.isPresent() && what == null) {
            what = said.get();
            return;
        }
        switch (word) {
            case SCOPE -> scope = true;
            case "in" -> next = Role.DRIVE;
            case "band", "bw", "bandwidth" -> next = Role.BAND;
            default -> {
                if (!PASSED_OVER.contains(word)) {
                    throw notUnderstood(token);
                }
            }
        }
    }

    private void number(String digits, String unit) {
        Role role = next;
        next = null;
        switch (unit) {
            case "v", "vrms", "vac" -> volts(role, figure(digits, 1));
            case "mv", "mvrms", "mvac" -> volts(role, figure(digits, 1e-3));
            case "uv", "\u00b5v", "\u03bcv" -> volts(role, figure(digits, 1e-6));
            case "vp", "vpk", "vpeak" -> volts(role, figure(digits, PEAK));
            case "mvp", "mvpk", "mvpeak" -> volts(role, figure(digits, 1e-3 * PEAK));
            case "vpp", "vp-p" -> volts(role, figure(digits, PEAK / 2));
            case "mvpp", "mvp-p" -> volts(role, figure(digits, 1e-3 * PEAK / 2));
            case "v/div", "v/" -> perDivision = once(perDivision, figure(digits, 1));
            case "mv/div", "mv/" -> perDivision = once(perDivision, figure(digits, 1e-3));
            case "div", "divs", "divisions" -> divisions = once(divisions, figure(digits, 1));
            case "r", "ohm", "ohms", "\u03c9", "\u2126" -> put(Role.LOAD, figure(digits, 1));
            case "hz" -> put(frequency(role), figure(digits, 1));
            case "k", "khz" -> put(frequency(role), figure(digits, 1e3));
            case "w", "watt", "watts" -> put(Role.POWER, figure(digits, 1));
            case "mw" -> put(Role.POWER, figure(digits, 1e-3));
            case "%" -> put(Role.DISTORTION, figure(digits, 1e-2));
            case "db" -> put(Role.DECIBELS, figure(digits, digits.matches("\\d.*") ? -1 : 1));
            case "" -> throw new BadEntryException(new NoProofUnit(quote(digits), example()));
            default -> throw notUnderstood(digits + unit);
        }
    }

    private static Role frequency(Role named) {
        return named == Role.BAND ? Role.BAND : Role.TONE;
    }

    /** Volts beside divisions are those of a division; a second one of damping is that without a load. */
    private void volts(Role named, Figure figure) {
        if (named == Role.DRIVE) {
            put(Role.DRIVE, figure);
        } else if (scope && perDivision == null) {
            perDivision = figure;
        } else {
            put(what == What.DAMPING && figures.containsKey(Role.OUTPUT) ? Role.OPEN : Role.OUTPUT, figure);
        }
    }

    private void put(Role role, Figure figure) {
        figures.put(role, once(figures.get(role), figure));
    }

    private Figure once(Figure before, Figure now) {
        if (before != null) {
            throw new BadEntryException(new TwoNumbers(quote(typed)));
        }
        return now;
    }

    private static Figure figure(String digits, double inSi) {
        try {
            Quantity quantity = Quantity.parse(digits);
            return new Figure(quantity.number() * inSi, Math.pow(10, -quantity.decimals()) * Math.abs(inSi));
        } catch (BadQuantityException e) {
            throw new BadEntryException(new BadNumber(e.fault()));
        }
    }

    private String example() {
        return (what == null ? What.OUT : what).example();
    }

    private BadEntryException notUnderstood(String token) {
        return new BadEntryException(new NotUnderstoodIn(quote(token), quote(typed), example()));
    }
}
