package yellowrail.core.reading;

import static yellowrail.core.typed.Quantity.quote;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.DrainPoints;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/** Reads what was said of a node of the voltage chart: its name as the chart has it, then the number. */
final class NodeLine {

    /** Said of a node whose volts swing: an oscillator runs. */
    private static final List<String> PULSING = List.of("pulsing", "pulses", "swings", "swinging");

    private static final Pattern BEGINS_WITH_DIGITS = Pattern.compile("[+\\-\u2212]?[.,]?\\d");

    private NodeLine() {}

    static Entry at(String rest, AmpSheet sheet) {
        Optional<ChartNode> node = sheet.chart().atTheBeginningOf(rest);
        if (node.isEmpty()) {
            List<String> labels = sheet.chart().nodes().stream()
                    .map(ChartNode::label)
                    .limit(5)
                    .toList();
            throw new BadEntryException(
                    labels.isEmpty() ? new EntryFault.NoChart() : new EntryFault.NoSuchChartNode(quote(rest), labels));
        }
        return measured(ReadingKind.NODE, node.get().label(), rest);
    }

    static Entry drained(String rest, AmpSheet sheet) {
        List<String> points = DrainPoints.of(sheet);
        String said = rest.replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
        String point = points.stream()
                .filter(each -> said.startsWith(each.toLowerCase(Locale.ROOT)))
                .reduce((one, other) -> other.length() > one.length() ? other : one)
                .orElseThrow(() -> new BadEntryException(new EntryFault.NoSuchCapacitor(quote(rest), points)));
        return measured(ReadingKind.DRAINED, point, rest);
    }

    private static Entry measured(ReadingKind kind, String label, String rest) {
        String number = rest.replaceAll("\\s+", " ").substring(label.length()).replaceFirst("^\\s*[:=]?\\s*", "");
        if (number.isEmpty()) {
            throw new BadEntryException(new EntryFault.NoNodeNumber(label));
        }
        String last = number.substring(number.lastIndexOf(' ') + 1).toLowerCase(Locale.ROOT);
        boolean pulsing = kind == ReadingKind.NODE && PULSING.contains(last);
        String volts =
                pulsing ? number.substring(0, number.length() - last.length()).strip() : number;
        if (!BEGINS_WITH_DIGITS.matcher(volts).lookingAt()) {
            throw new BadEntryException(new EntryFault.NoNodeVolts(label, quote(number)));
        }
        try {
            Quantity quantity = Quantity.parse(volts);
            double scale = quantity.unit().orElse(Unit.VOLT).toSi(1);
            return new Entry(
                    kind,
                    label,
                    quantity.si(Unit.VOLT),
                    pulsing ? PULSING.get(0) : "",
                    Math.pow(10, -quantity.decimals()) * scale);
        } catch (BadQuantityException e) {
            throw new BadEntryException(new EntryFault.BadNumber(e.fault()));
        }
    }
}
