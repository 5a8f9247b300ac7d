package yellowrail.core.quantity;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A unit a builder writes or reads, and its size in the SI unit of its dimension. */
public enum Unit {
    VOLT(Dimension.VOLTAGE, 1, "V", "volt", "volts", "vdc", "vac"),
    MILLIVOLT(Dimension.VOLTAGE, 1e-3, "mV", "mvdc", "mvac", "millivolt", "millivolts"),
    AMP(Dimension.CURRENT, 1, "A", "amp", "amps"),
    MILLIAMP(Dimension.CURRENT, 1e-3, "mA", "milliamp", "milliamps"),
    MICROAMP(Dimension.CURRENT, 1e-6, "uA", "\u00b5a", "\u03bca"),
    OHM(Dimension.RESISTANCE, 1, "ohm", "ohms", "r", "\u03c9", "\u2126"),
    KILOHM(Dimension.RESISTANCE, 1e3, "k", "kohm", "kohms", "kilohm", "k\u03c9", "k\u2126"),
    MEGOHM(Dimension.RESISTANCE, 1e6, "M", "mohm", "mohms", "meg", "megohm"),
    WATT(Dimension.POWER, 1, "W", "watt", "watts"),
    PERCENT(Dimension.RATIO, 1e-2, "%", "percent", "pct"),
    MINUTE(Dimension.TIME, 60, "min", "mins", "minute", "minutes"),
    SECOND(Dimension.TIME, 1, "s", "sec", "seconds"),
    CELSIUS(Dimension.TEMPERATURE, 1, "\u00b0C", "degc", "c"),
    MICROFARAD(Dimension.CAPACITANCE, 1e-6, "\u00b5F", "uf", "\u03bcf"),
    HERTZ(Dimension.FREQUENCY, 1, "Hz"),
    DEGREE(Dimension.ANGLE, 1, "degrees", "deg"),
    MILLIMETRE(Dimension.LENGTH, 1e-3, "mm");

    /** What a unit measures. */
    public enum Dimension {
        VOLTAGE,
        CURRENT,
        RESISTANCE,
        POWER,
        RATIO,
        TIME,
        CAPACITANCE,
        FREQUENCY,
        ANGLE,
        LENGTH,
        TEMPERATURE
    }

    private final Dimension dimension;
    private final double inSi;
    private final String symbol;
    private final List<String> spellings;

    Unit(Dimension dimension, double inSi, String symbol, String... spellings) {
        this.dimension = dimension;
        this.inSi = inSi;
        this.symbol = symbol;
        this.spellings = List.of(spellings);
    }

    public Dimension dimension() {
        return dimension;
    }

    public String symbol() {
        return symbol;
    }

    /** Divides by whole numbers where it can: 70 % is 0.7 to the last bit, which 70 times 0.01 is not. */
    public double toSi(double value) {
        return inSi < 1 ? value / Math.rint(1 / inSi) : value * inSi;
    }

    public double fromSi(double si) {
        return inSi < 1 ? si * Math.rint(1 / inSi) : si / inSi;
    }

    /** Finds the unit written as {@code text}; case is free, so {@code MV} is millivolts: nobody probes megavolts. */
    public static Optional<Unit> of(String text) {
        String wanted = text.toLowerCase(Locale.ROOT);
        if (text.equals("m")) {
            // Half of mV or mA; nobody means a megohm by it.
            return Optional.empty();
        }
        return Arrays.stream(values())
                .filter(unit -> unit.symbol.toLowerCase(Locale.ROOT).equals(wanted) || unit.spellings.contains(wanted))
                .findFirst();
    }

    @Override
    public String toString() {
        return symbol;
    }
}
