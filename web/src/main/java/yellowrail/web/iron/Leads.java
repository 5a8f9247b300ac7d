package yellowrail.web.iron;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Topology;
import yellowrail.core.iron.lead.LeadMap.Expected;
import yellowrail.core.iron.lead.LeadMap.Role;
import yellowrail.core.quantity.Figures;

/**
 * The leads a ratio bench begins with: those of the amp\u2019s own transformer, or numbers where nobody knows them.
 *
 * @param expected what each is taken for; empty where they are numbered
 */
record Leads(boolean pushPull, List<String> names, Map<String, Expected> expected) {

    private static final int NUMBERED = 10;
    private static final List<Double> USUAL = List.of(4.0, 8.0, 16.0);
    /** Where a screens\u2019 tap is drawn before it was read. */
    private static final double SCREEN = 0.43;

    static Leads of(AmpSheet sheet, boolean known) {
        boolean pushPull = sheet.topology() == Topology.PUSH_PULL;
        if (!known) {
            return new Leads(
                    pushPull,
                    IntStream.rangeClosed(1, NUMBERED).mapToObj(String::valueOf).toList(),
                    Map.of());
        }
        Map<String, Expected> expected = new LinkedHashMap<>();
        if (pushPull) {
            add("P1", Role.PLATE, 0, expected);
            add("S1", Role.SCREEN, (1 - SCREEN) / 2, expected);
            add("B+", Role.CENTRE, 0.5, expected);
            add("S2", Role.SCREEN, (1 + SCREEN) / 2, expected);
            add("P2", Role.PLATE, 1, expected);
        } else {
            add("P", Role.END, 0, expected);
            add("S", Role.SCREEN, 1 - SCREEN, expected);
            add("B+", Role.END, 1, expected);
        }
        List<Double> taps = sheet.fittings().iron().taps().isEmpty()
                ? USUAL
                : sheet.fittings().iron().taps();
        double most = taps.get(taps.size() - 1);
        for (double tap : taps) {
            add(Figures.plain(tap), Role.SPEAKER, 1 - Math.sqrt(tap / most), expected);
        }
        add("0", Role.COMMON, 1, expected);
        return new Leads(pushPull, List.copyOf(expected.keySet()), expected);
    }

    private static void add(String name, Role role, double place, Map<String, Expected> expected) {
        expected.put(name, new Expected(role, place));
    }

    boolean isPrimary(String lead) {
        Role role = expected.containsKey(lead) ? expected.get(lead).role() : Role.OTHER;
        return role == Role.PLATE || role == Role.CENTRE || role == Role.SCREEN || role == Role.END;
    }
}
