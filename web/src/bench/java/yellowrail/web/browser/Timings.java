package yellowrail.web.browser;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/** Prints measured times beside what they should be. */
final class Timings {

    private Timings() {}

    static void print(String what, List<Double> figures, String unit, String aim) {
        List<Double> sorted = new ArrayList<>(figures);
        Collections.sort(sorted);
        System.out.printf(
                Locale.ROOT,
                "%-58s median %6.1f %s, 95th percentile %6.1f %s, of %d (aim: under %s)%n",
                what,
                sorted.get(sorted.size() / 2),
                unit,
                sorted.get((int) (sorted.size() * 0.95)),
                unit,
                sorted.size(),
                aim);
    }
}
