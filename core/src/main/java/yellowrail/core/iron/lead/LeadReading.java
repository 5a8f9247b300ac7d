package yellowrail.core.iron.lead;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * What was read between two leads: AC volts with the source on, or ohms with everything off. SI.
 *
 * @param one a lead
 * @param other another
 */
public record LeadReading(String one, String other, Kind kind, double value) {

    private static final int MOST = 60;
    private static final double MOST_VOLTS = 1000;
    private static final double MOST_OHMS = 100_000;
    private static final Pattern PAIR =
            Pattern.compile("([\\p{Alnum}+]{1,8})\\s*[-\u2013\u2212]\\s*([\\p{Alnum}+]{1,8})");
    private static final Pattern LINE = Pattern.compile(PAIR.pattern() + "\\s+(\\S.*)");

    /** What was measured. */
    public enum Kind {
        VOLTS,
        OHMS
    }

    /** Two leads. */
    public record Pair(String one, String other) {

        /** @throws BadLeadException if it is none */
        public static Pair parse(String typed) {
            Matcher matcher = PAIR.matcher(typed.strip());
            if (!matcher.matches()) {
                throw new BadLeadException(new LeadFinding.NoPair(Quantity.quote(typed.strip())));
            }
            if (matcher.group(1).equals(matcher.group(2))) {
                throw new BadLeadException(new LeadFinding.OneLeadTwice(matcher.group(1)));
            }
            return new Pair(matcher.group(1), matcher.group(2));
        }
    }

    /**
     * All of them, as typed, one each line or between semicolons: {@code P1-P2 67.2; P1-P2 182 ohm}. Of a pair that was
     * read twice the newer one counts.
     *
     * @throws BadLeadException at the first that cannot be read
     */
    public static List<LeadReading> parseAll(String typed) {
        List<LeadReading> readings = new ArrayList<>();
        for (String line : typed.split("[;\\n]")) {
            if (!line.isBlank()) {
                LeadReading reading = parse(line.strip());
                readings.removeIf(
                        before -> before.kind == reading.kind && before.isBetween(reading.one, reading.other));
                readings.add(reading);
            }
        }
        if (readings.size() > MOST) {
            throw new BadLeadException(new LeadFinding.TooManyReadings(MOST));
        }
        return List.copyOf(readings);
    }

    private static LeadReading parse(String line) {
        Matcher matcher = LINE.matcher(line);
        if (!matcher.matches()) {
            throw new BadLeadException(new LeadFinding.NoReading(Quantity.quote(line)));
        }
        Pair pair = Pair.parse(matcher.group(1) + "-" + matcher.group(2));
        try {
            Quantity value = Quantity.parse(matcher.group(3));
            boolean ohms = value.unit()
                    .filter(unit -> unit.dimension() == Unit.Dimension.RESISTANCE)
                    .isPresent();
            double si = value.si(ohms ? Unit.OHM : Unit.VOLT);
            if (!(si >= 0 && si <= (ohms ? MOST_OHMS : MOST_VOLTS))) {
                throw new BadLeadException(
                        ohms
                                ? new LeadFinding.OhmsOutOfRange(Quantity.quote(line), MOST_OHMS)
                                : new LeadFinding.VoltsOutOfRange(Quantity.quote(line), MOST_VOLTS));
            }
            return new LeadReading(pair.one(), pair.other(), ohms ? Kind.OHMS : Kind.VOLTS, si);
        } catch (BadQuantityException e) {
            throw new BadLeadException(new LeadFinding.NoReading(Quantity.quote(line)));
        }
    }

    public boolean isBetween(String a, String b) {
        return one.equals(a) && other.equals(b) || one.equals(b) && other.equals(a);
    }

    boolean touches(String lead) {
        return one.equals(lead) || other.equals(lead);
    }

    /** The lead at the other end. */
    String from(String lead) {
        return one.equals(lead) ? other : one;
    }
}
