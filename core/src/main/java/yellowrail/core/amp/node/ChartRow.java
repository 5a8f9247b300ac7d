package yellowrail.core.amp.node;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import yellowrail.core.amp.Channel;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/** Makes a node of the cells of a row, and finds every fault in them in one pass. */
public final class ChartRow {

    /** Beyond it nothing in an amp of this kind stands, V. */
    public static final double MOST_VOLTS = 2000;

    /** Where nobody wrote down at what mains a value was given, and no default is to step in. */
    static final String NOT_KNOWN = "?";

    private static final Pattern RANGE = Pattern.compile(
            "(?i)([+-]?\\d+(?:[.,]\\d+)?)\\s*(?:v|vdc|vac)?\\s*(?:-|\u2013|to|\\.\\.+)\\s*([+-]?[\\d.,]+.*)");
    private static final Pattern AC = Pattern.compile("(?i)(.*?)\\s*(v?ac|v?dc|~)\\s*");

    private static final Pattern CHOKE = Pattern.compile("(?i)\\bchoke\\b");

    private final Function<ChartColumn, String> cells;
    private final ChartDefaults defaults;
    private final Map<ChartColumn, ChartFault> faults = new LinkedHashMap<>();

    private ChartRow(Function<ChartColumn, String> cells, ChartDefaults defaults) {
        this.cells =
                column -> Optional.ofNullable(cells.apply(column)).orElse("").strip();
        this.defaults = defaults;
    }

    /**
     * A row as it was read.
     *
     * @param node what it says; empty where there is a fault
     * @param faults by column
     */
    public record Read(Optional<ChartNode> node, Map<ChartColumn, ChartFault> faults) {}

    /** @param cells what stands in each column; blank or null for nothing */
    public static Read read(Function<ChartColumn, String> cells, ChartDefaults defaults) {
        ChartRow row = new ChartRow(cells, defaults);
        Optional<ChartNode> node = row.node();
        return new Read(row.faults.isEmpty() ? node : Optional.empty(), row.faults);
    }

    private Optional<ChartNode> node() {
        String label = label();
        NodeKind kind = kind(label);
        boolean ac = ac(kind);
        Optional<Expected> expected = expected();
        Optional<Feed> feed = feed(label, kind);
        Optional<Resistor> toGround =
                resistor(ChartColumn.GROUND_OHMS, ChartColumn.GROUND_TOLERANCE, ChartColumn.GROUND_WATTS);
        Optional<Bank> bank = bank(label);
        Hangs hangs = choice(ChartColumn.FEEDS, Hangs.values(), Hangs.NOTHING);
        Channel channel = choice(ChartColumn.CHANNEL, Channel.values(), Channel.MONO);
        return faults.isEmpty()
                ? Optional.of(new ChartNode(
                        label,
                        kind,
                        ac,
                        expected,
                        words(ChartColumn.STAGE),
                        words(ChartColumn.TWIN),
                        feed,
                        toGround,
                        bank,
                        hangs,
                        channel))
                : Optional.empty();
    }

    private String label() {
        String label = words(ChartColumn.NAME);
        if (label.isEmpty()) {
            faults.put(ChartColumn.NAME, new ChartFault.NameMissing());
        }
        return label;
    }

    private String words(ChartColumn column) {
        String words = ChartNode.tidy(cells.apply(column));
        boolean showable = words.length() <= ChartNode.LONGEST_LABEL
                && words.chars().noneMatch(letter -> Character.isISOControl(letter) || ";\"<>=".indexOf(letter) >= 0);
        if (!showable) {
            faults.put(column, new ChartFault.LabelNotShowable(quote(words), ChartNode.LONGEST_LABEL));
        }
        return words;
    }

    private NodeKind kind(String label) {
        String said = cells.apply(ChartColumn.KIND);
        if (said.isEmpty()) {
            return NodeKind.of(label);
        }
        return NodeKind.called(said).orElseGet(() -> {
            notOneOf(ChartColumn.KIND, said, NodeKind.values());
            return NodeKind.OTHER;
        });
    }

    private boolean ac(NodeKind kind) {
        String said = cells.apply(ChartColumn.AC).toLowerCase(Locale.ROOT);
        Matcher behind = AC.matcher(cells.apply(ChartColumn.VOLTS));
        if (!said.isEmpty() && !said.equals("ac") && !said.equals("dc")) {
            faults.put(
                    ChartColumn.AC, new ChartFault.NotOneOf(ChartColumn.AC.header(), quote(said), List.of("ac", "dc")));
        }
        if (said.isEmpty() && behind.matches()) {
            return !behind.group(2).toLowerCase(Locale.ROOT).endsWith("dc");
        }
        return said.isEmpty() ? kind == NodeKind.HEATER : said.equals("ac");
    }

    private Optional<Expected> expected() {
        String said = cells.apply(ChartColumn.VOLTS).replace('\u2212', '-');
        Matcher behind = AC.matcher(said);
        String volts = behind.matches() ? behind.group(1) : said;
        Expected.Source source = choice(ChartColumn.SOURCE, Expected.Source.values(), defaults.source());
        boolean known = !cells.apply(ChartColumn.MAINS).equals(NOT_KNOWN);
        OptionalDouble mains = known ? number(ChartColumn.MAINS, Unit.VOLT, 40, 500) : OptionalDouble.empty();
        OptionalDouble tolerance = number(ChartColumn.TOLERANCE, Unit.PERCENT, 0, 0.9);
        if (volts.isEmpty()) {
            return Optional.empty();
        }
        Matcher range = RANGE.matcher(volts);
        OptionalDouble low = volts(range.matches() ? range.group(1) : volts);
        OptionalDouble high = range.matches() ? volts(range.group(2)) : low;
        if (low.isEmpty() || high.isEmpty()) {
            return Optional.empty();
        }
        if (low.getAsDouble() > high.getAsDouble()) {
            faults.put(ChartColumn.VOLTS, new ChartFault.RangeBackwards(quote(volts)));
            return Optional.empty();
        }
        double usual = range.matches() ? 0 : source.tolerance();
        return Optional.of(new Expected(
                low.getAsDouble(),
                high.getAsDouble(),
                source,
                mains.isPresent() || !known ? mains : defaults.mains(),
                tolerance.orElse(usual)));
    }

    private OptionalDouble volts(String typed) {
        return number(ChartColumn.VOLTS, typed, Unit.VOLT, -MOST_VOLTS, MOST_VOLTS);
    }

    private Optional<Feed> feed(String label, NodeKind kind) {
        String from = words(ChartColumn.FROM);
        Optional<Resistor> through = resistor(ChartColumn.OHMS, ChartColumn.OHMS_TOLERANCE, ChartColumn.WATTS);
        boolean broken = faults.containsKey(ChartColumn.OHMS);
        if (from.isEmpty() && through.isPresent()) {
            faults.put(ChartColumn.FROM, new ChartFault.OhmsWithoutFrom(label));
        }
        if (!from.isEmpty() && through.isEmpty() && !broken && kind != NodeKind.CATHODE) {
            faults.put(ChartColumn.OHMS, new ChartFault.FromWithoutOhms(label));
        }
        boolean choke = CHOKE.matcher(cells.apply(ChartColumn.OHMS)).find();
        return from.isEmpty() ? Optional.empty() : Optional.of(new Feed(from, through, choke));
    }

    private Optional<Resistor> resistor(ChartColumn ohms, ChartColumn tolerance, ChartColumn watts) {
        String typed = CHOKE.matcher(cells.apply(ohms)).replaceAll("").strip();
        OptionalDouble found = number(ohms, typed, Unit.OHM, 0.01, 1e8);
        OptionalDouble off = number(tolerance, Unit.PERCENT, 0, 0.5);
        OptionalDouble rated = number(watts, Unit.WATT, 0.01, 1000);
        return found.isEmpty()
                ? Optional.empty()
                : Optional.of(new Resistor(found.getAsDouble(), off.orElse(Resistor.USUAL_TOLERANCE), rated));
    }

    private Optional<Bank> bank(String label) {
        OptionalDouble farads = number(ChartColumn.UF, Unit.MICROFARAD, 1e-9, 0.1);
        OptionalDouble volts = number(ChartColumn.CAPACITOR_VOLTS, Unit.VOLT, 1, MOST_VOLTS);
        OptionalDouble series = count();
        OptionalDouble bleeder = number(ChartColumn.BLEEDER_OHMS, Unit.OHM, 100, 1e8);
        boolean broken = Stream.of(ChartColumn.UF, ChartColumn.CAPACITOR_VOLTS).anyMatch(faults::containsKey);
        if (farads.isPresent() != volts.isPresent() && !broken) {
            faults.put(ChartColumn.CAPACITOR_VOLTS, new ChartFault.CapacitorWithoutRating(label));
        }
        return farads.isEmpty() || volts.isEmpty()
                ? Optional.empty()
                : Optional.of(new Bank(farads.getAsDouble(), volts.getAsDouble(), (int) series.orElse(1), bleeder));
    }

    private OptionalDouble count() {
        String typed = cells.apply(ChartColumn.IN_SERIES);
        if (!typed.isEmpty() && !typed.matches("[1-4]")) {
            notOneOf(ChartColumn.IN_SERIES, typed, List.of("1", "2", "3", "4"));
            return OptionalDouble.empty();
        }
        return typed.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Integer.parseInt(typed));
    }

    private OptionalDouble number(ChartColumn column, Unit unit, double low, double high) {
        return number(column, cells.apply(column), unit, low, high);
    }

    private OptionalDouble number(ChartColumn column, String typed, Unit unit, double low, double high) {
        if (typed.isEmpty()) {
            return OptionalDouble.empty();
        }
        try {
            double si = Quantity.parse(typed).si(unit);
            if (si >= low && si <= high) {
                return OptionalDouble.of(si);
            }
            faults.put(
                    column,
                    new ChartFault.OutOfRange(
                            column.header(), quote(typed), unit.fromSi(low), unit.fromSi(high), unit.symbol()));
        } catch (BadQuantityException e) {
            faults.put(column, new ChartFault.BadNumber(column.header(), e.fault()));
        }
        return OptionalDouble.empty();
    }

    private <E extends Enum<E>> E choice(ChartColumn column, E[] choices, E usual) {
        String said = cells.apply(column).replace("anodes", "plates");
        if (said.isEmpty()) {
            return usual;
        }
        return Stream.of(choices)
                .filter(choice -> Code.of(choice).equalsIgnoreCase(said.replaceAll("[\\s_]+", "-")))
                .findFirst()
                .orElseGet(() -> {
                    notOneOf(column, said, choices);
                    return usual;
                });
    }

    private void notOneOf(ChartColumn column, String said, Enum<?>[] choices) {
        List<String> codes = new ArrayList<>();
        Stream.of(choices).map(Code::of).forEach(codes::add);
        notOneOf(column, said, codes);
    }

    private void notOneOf(ChartColumn column, String said, List<String> choices) {
        faults.put(column, new ChartFault.NotOneOf(column.header(), quote(said), choices));
    }
}
