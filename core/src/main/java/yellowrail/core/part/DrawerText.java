package yellowrail.core.part;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.field.FaultSink;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * A drawer of resistors as a builder writes it: {@code 2x 470 5W, 1k, 220R 2W}. Parted by commas with a space behind or
 * a unit before, or by lines; each how many there are, its ohms, what it is rated for where that is known.
 */
public final class DrawerText {

    private static final Pattern MANY = Pattern.compile("(\\d{1,2})\\s*[x\u00d7]\\s*(.+)", Pattern.CASE_INSENSITIVE);

    private DrawerText() {}

    /** The resistors; what cannot be read is noted as a fault of the field. */
    public static List<Joined.One> read(String field, String text, FaultSink faults) {
        List<Joined.One> drawer = new ArrayList<>();
        for (String written : text.split("[;\\n]|,(?=\\s)|(?<=\\p{L}),|,$")) {
            if (!written.isBlank()) {
                part(field, written.strip(), faults, drawer);
            }
        }
        if (drawer.size() > ResistorBank.MOST_IN_DRAWER) {
            faults.add(field, new PartFault.DrawerTooFull(drawer.size(), ResistorBank.MOST_IN_DRAWER));
            return List.of();
        }
        return drawer;
    }

    private static void part(String field, String written, FaultSink faults, List<Joined.One> drawer) {
        Matcher many = MANY.matcher(written);
        int count = many.matches() ? Integer.parseInt(many.group(1)) : 1;
        String[] words = (many.matches() ? many.group(2) : written).split("\\s+");
        try {
            double ohms = Quantity.parse(words[0]).si(Unit.OHM);
            double watts = words.length == 2 ? Quantity.parse(words[1]).si(Unit.WATT) : Double.POSITIVE_INFINITY;
            if (words.length <= 2 && ohms > 0 && watts > 0) {
                for (int i = 0; i < count; i++) {
                    drawer.add(new Joined.One(ohms, watts));
                }
                return;
            }
        } catch (BadQuantityException e) {
            // the message below says how it is written
        }
        faults.add(field, new PartFault.NoResistor(quote(written)));
    }
}
