package yellowrail.core.amp.node;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.finding.Code;

/** A column of a chart as a file. */
public enum ChartColumn {
    NAME("node", "label", "point"),
    KIND("type"),
    VOLTS("volt", "v", "expected", "voltage"),
    AC("acdc", "ac/dc", "range"),
    SOURCE(),
    MAINS("wall"),
    TOLERANCE("tol"),
    STAGE("tube", "valve"),
    TWIN(),
    FROM("fed-from", "feeder"),
    OHMS("ohm", "resistor"),
    OHMS_TOLERANCE("ohms-tol"),
    WATTS("watt"),
    GROUND_OHMS("to-ground", "earth-ohms", "to-earth"),
    GROUND_TOLERANCE("earth-tolerance"),
    GROUND_WATTS("earth-watts"),
    UF("microfarad", "capacitor"),
    CAPACITOR_VOLTS("rated"),
    IN_SERIES("series"),
    BLEEDER_OHMS("bleeder"),
    FEEDS("hangs"),
    CHANNEL();

    private final List<String> others;

    ChartColumn(String... others) {
        this.others = List.of(others);
    }

    /** What stands above it. */
    public String header() {
        return Code.of(this);
    }

    static Optional<ChartColumn> of(String header) {
        String wanted = header.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s_]+", "-");
        return Stream.of(values())
                .filter(column -> column.header().equals(wanted) || column.others.contains(wanted))
                .findFirst();
    }

    static List<String> headers() {
        return Stream.of(values()).map(ChartColumn::header).toList();
    }
}
