package yellowrail.core.heater;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.LineFault;
import yellowrail.core.typed.Quantity;

/**
 * Windings as text, one a line: {@code main 6.3V 6A bare 6.9 loaded 6.4: 2 EL34, 3 12AX7, 1 lamp 0.15A}.
 *
 * @param windings of the good lines
 * @param faults what is wrong with the others
 */
public record HeaterText(List<HeaterWinding> windings, List<LineFault> faults) {

    public static final int LONGEST = 4000;

    private static final String NUMBER = "\\d+(?:[.,]\\d+)?";
    private static final Pattern HEAD = Pattern.compile(
            "(?i)(?<label>[^:]*?\\S)\\s+(?<volts>%1$s)\\s*V(?:AC|DC)?(?:\\s+(?<amps>%1$s)\\s*A)?(?<rest>.*)"
                    .formatted(NUMBER));
    private static final Pattern READ = Pattern.compile("(?i)\\s*(bare|loaded)\\s+(%1$s)\\s*V?".formatted(NUMBER));
    private static final Pattern LOAD = Pattern.compile(
            "(?i)(?:(?<count>\\d{1,2})\\s*(?:x|\u00d7|\\s)\\s*)?(?<type>\\S.*?)(?:\\s+(?<amps>%1$s)\\s*(?<unit>m?A))?"
                    .formatted(NUMBER));

    public HeaterText {
        windings = List.copyOf(windings);
        faults = List.copyOf(faults);
    }

    public static HeaterText parse(String text) {
        List<HeaterWinding> windings = new ArrayList<>();
        List<LineFault> faults = new ArrayList<>();
        if (text.length() > LONGEST) {
            faults.add(new LineFault(0, new HeaterFinding.TextTooLong(text.length(), LONGEST)));
            return new HeaterText(windings, faults);
        }
        List<String> lines = text.lines().toList();
        for (int i = 0; i < lines.size(); i++) {
            if (lines.get(i).isBlank()) {
                continue;
            }
            try {
                windings.add(winding(lines.get(i).strip()));
            } catch (BadHeaterException e) {
                faults.add(new LineFault(i + 1, e.says));
            }
        }
        if (windings.size() > HeaterWinding.MOST_WINDINGS) {
            faults.add(new LineFault(0, new HeaterFinding.TooManyWindings(HeaterWinding.MOST_WINDINGS)));
        }
        return new HeaterText(windings, faults);
    }

    /** Stops the reading of a line. */
    private static final class BadHeaterException extends RuntimeException {

        private static final long serialVersionUID = 1L;
        private final transient HeaterFinding says;

        BadHeaterException(HeaterFinding says) {
            super(says.code());
            this.says = says;
        }
    }

    private static HeaterWinding winding(String line) {
        int colon = line.indexOf(':');
        Matcher head = HEAD.matcher(colon < 0 ? line : line.substring(0, colon));
        if (!head.matches()) {
            throw new BadHeaterException(new HeaterFinding.NoWinding(quote(line)));
        }
        OptionalDouble bare = OptionalDouble.empty();
        OptionalDouble loaded = OptionalDouble.empty();
        Matcher read = READ.matcher(head.group("rest"));
        int end = 0;
        while (read.find() && read.start() == end) {
            OptionalDouble volts = OptionalDouble.of(number(read.group(2), Unit.VOLT, 1, 50));
            if (read.group(1).equalsIgnoreCase("bare")) {
                bare = volts;
            } else {
                loaded = volts;
            }
            end = read.end();
        }
        if (!head.group("rest").substring(end).isBlank()) {
            throw new BadHeaterException(new HeaterFinding.NotUnderstood(
                    quote(head.group("rest").substring(end).strip())));
        }
        return new HeaterWinding(
                head.group("label").strip(),
                number(head.group("volts"), Unit.VOLT, 1, 50),
                head.group("amps") == null
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(number(head.group("amps"), Unit.AMP, 0.05, 50)),
                bare,
                loaded,
                loads(colon < 0 ? "" : line.substring(colon + 1)));
    }

    private static List<HeaterWinding.Load> loads(String text) {
        List<HeaterWinding.Load> loads = new ArrayList<>();
        for (String part : text.split("[,;+](?!\\d)")) {
            if (part.isBlank()) {
                continue;
            }
            Matcher load = LOAD.matcher(part.strip());
            if (!load.matches() || load.group("type").length() > 24) {
                throw new BadHeaterException(new HeaterFinding.NotUnderstood(quote(part.strip())));
            }
            OptionalDouble amps = load.group("amps") == null
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(
                            load.group("unit").equalsIgnoreCase("mA")
                                    ? Unit.MILLIAMP.toSi(number(load.group("amps"), Unit.MILLIAMP, 1, 20_000))
                                    : number(load.group("amps"), Unit.AMP, 0.01, 20));
            int count = load.group("count") == null ? 1 : Math.max(1, Integer.parseInt(load.group("count")));
            loads.add(new HeaterWinding.Load(load.group("type").strip(), count, amps));
        }
        if (loads.size() > HeaterWinding.MOST_LOADS) {
            throw new BadHeaterException(new HeaterFinding.TooManyLoads(HeaterWinding.MOST_LOADS));
        }
        return loads;
    }

    /** In its unit as typed. */
    private static double number(String typed, Unit unit, double low, double high) {
        try {
            double number = Quantity.parse(typed).number();
            if (number >= low && number <= high) {
                return number;
            }
        } catch (BadQuantityException e) {
            // told below, with what is allowed
        }
        throw new BadHeaterException(new HeaterFinding.OutOfRange(quote(typed), low, high, unit));
    }

    /** The windings as they are typed. */
    public static String write(List<HeaterWinding> windings) {
        return windings.stream().map(HeaterText::line).collect(Collectors.joining("\n"));
    }

    private static String line(HeaterWinding winding) {
        StringBuilder line = new StringBuilder(winding.label())
                .append(' ')
                .append(Figures.plain(winding.volts()))
                .append('V');
        winding.ratedAmps()
                .ifPresent(amps -> line.append(' ').append(Figures.plain(amps)).append('A'));
        winding.bare().ifPresent(volts -> line.append(" bare ").append(Figures.plain(volts)));
        winding.loaded().ifPresent(volts -> line.append(" loaded ").append(Figures.plain(volts)));
        String loads = winding.loads().stream()
                .map(load -> load.count() + " " + load.type()
                        + (load.amps().isPresent()
                                ? " " + Figures.plain(load.amps().getAsDouble()) + "A"
                                : ""))
                .collect(Collectors.joining(", "));
        return (loads.isEmpty() ? line : line.append(": ").append(loads)).toString();
    }
}
