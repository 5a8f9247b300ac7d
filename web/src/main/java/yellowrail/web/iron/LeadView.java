package yellowrail.web.iron;

import static yellowrail.web.chart.Plot.px;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.iron.lead.LeadMap;
import yellowrail.core.iron.lead.LeadReading;
import yellowrail.core.iron.lead.Winding;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.chart.Place;
import yellowrail.web.words.Words;

/**
 * The transformer as a drawing to touch: the primary on the left, the secondary on the right, what has no place yet
 * below.
 *
 * @param marks what was read last, and where the source is
 */
record LeadView(List<Lead> leads, List<String> coils, String core, List<Mark> marks) {

    private static final int WIDTH = 520;
    private static final double TOP = 36;
    private static final double BOTTOM = 336;
    private static final double PRIMARY = 200;
    private static final double SECONDARY = 320;
    private static final double LEAD = 40;
    private static final double WAITING = 402;
    private static final int BUMPS = 10;
    /** How far aside a reading and the source are drawn. */
    private static final double READ = 14;

    private static final double SOURCE = 36;

    /**
     * A lead.
     *
     * @param side left, right or below
     * @param tail from its end to the winding, about its place
     * @param role what it is, with its figure; empty where that is not known
     * @param volts from where they are counted; empty where nothing was read
     */
    record Lead(String name, String side, Place at, String tail, Place text, String role, String volts, String told) {}

    /** Something between two leads: read, or the source. */
    record Mark(String kind, String path, Place at, String text) {}

    /** A lead\u2019s place before it is drawn. */
    private record Seat(double x, double y, String side) {}

    static LeadView of(LeadForm form, Leads leads, LeadMap map, Words words) {
        Map<String, Seat> seats = seats(leads, map);
        List<Lead> drawn = new ArrayList<>();
        seats.forEach((name, seat) -> drawn.add(lead(name, seat, map, leads, words)));
        List<Mark> marks = new ArrayList<>();
        if (!form.readings().isEmpty()) {
            LeadReading newest = form.readings().get(form.readings().size() - 1);
            mark("read", newest.one(), newest.other(), value(newest), seats).ifPresent(marks::add);
        }
        form.source()
                .flatMap(pair -> mark(
                        "source",
                        pair.one(),
                        pair.other(),
                        form.sourceVolts().isPresent()
                                ? "~ "
                                        + Figures.in(
                                                Unit.VOLT, form.sourceVolts().getAsDouble())
                                : "~",
                        seats))
                .ifPresent(marks::add);
        boolean windings = seats.values().stream().anyMatch(seat -> !seat.side().equals("below"));
        return new LeadView(
                drawn,
                windings ? List.of(coil(PRIMARY, 1), coil(SECONDARY, 0)) : List.of(),
                "M%s %sV%sM%s %sV%s"
                        .formatted(
                                px((PRIMARY + SECONDARY) / 2 - 6),
                                px(TOP),
                                px(BOTTOM),
                                px((PRIMARY + SECONDARY) / 2 + 6),
                                px(TOP),
                                px(BOTTOM)),
                marks);
    }

    /** Every lead\u2019s place: as read, else where it usually is, else below. */
    private static Map<String, Seat> seats(Leads leads, LeadMap map) {
        Map<String, Seat> seats = new LinkedHashMap<>();
        boolean told = map.ratio().isPresent() || leads.expected().isEmpty();
        for (int i = 0; told && i < Math.min(2, map.windings().size()); i++) {
            seat(map.windings().get(i), i == 0, leads, map, seats);
        }
        List<String> waiting = new ArrayList<>();
        for (String name : leads.names()) {
            if (!seats.containsKey(name) && leads.expected().containsKey(name)) {
                seats.put(
                        name,
                        seat(leads.isPrimary(name), leads.expected().get(name).place()));
            } else if (!seats.containsKey(name)) {
                waiting.add(name);
            }
        }
        map.windings().stream()
                .flatMap(winding -> winding.leads().stream())
                .map(Winding.Placed::lead)
                .filter(name -> !seats.containsKey(name) && !waiting.contains(name))
                .forEach(waiting::add);
        map.windings().stream()
                .flatMap(winding -> winding.unplaced().stream())
                .filter(name -> !seats.containsKey(name) && !waiting.contains(name))
                .forEach(waiting::add);
        double step = (double) (WIDTH - 60) / Math.max(10, waiting.size());
        for (int i = 0; i < waiting.size(); i++) {
            seats.put(waiting.get(i), new Seat(30 + step * (i + 0.5), WAITING, "below"));
        }
        return seats;
    }

    private static void seat(Winding winding, boolean primary, Leads leads, LeadMap map, Map<String, Seat> seats) {
        List<Winding.Placed> placed = winding.leads();
        boolean commonFirst = Optional.ofNullable(map.roles().get(winding.first()))
                .map(named -> named.role() == LeadMap.Role.COMMON)
                .orElse(false);
        boolean turned = leads.expected().isEmpty() && commonFirst;
        for (Winding.Placed each : placed) {
            double part = each.at() / winding.span();
            seats.put(each.lead(), seat(primary, turned ? 1 - part : part));
        }
    }

    private static Seat seat(boolean primary, double part) {
        return new Seat(
                primary ? PRIMARY - LEAD : SECONDARY + LEAD, TOP + part * (BOTTOM - TOP), primary ? "left" : "right");
    }

    private static Lead lead(String name, Seat seat, LeadMap map, Leads leads, Words words) {
        String role = Optional.ofNullable(map.roles().get(name))
                .map(named -> role(named, words))
                .orElseGet(() -> Optional.ofNullable(leads.expected().get(name))
                        .map(expected -> role(new LeadMap.Named(expected.role(), OptionalDouble.empty()), words))
                        .orElse(""));
        String volts = map.ratio().isPresent() ? volts(name, map) : "";
        double away = seat.side().equals("left") ? -16 : seat.side().equals("right") ? 16 : 0;
        return new Lead(
                name,
                seat.side(),
                Place.of(seat.x(), seat.y()),
                away == 0 ? "" : "M0 0h" + px(away < 0 ? LEAD : -LEAD),
                Place.of(seat.x() + away, seat.y() + (away == 0 ? -16 : role.isEmpty() ? 6 : -1)),
                role,
                volts,
                role.isEmpty() ? name : name + ", " + role);
    }

    private static String role(LeadMap.Named named, Words words) {
        String role = words.name(named.role());
        if (named.figure().isEmpty()) {
            return role;
        }
        return named.role() == LeadMap.Role.SCREEN
                ? role + " " + Figures.percent(named.figure().getAsDouble())
                : words.message(
                        "page.leads.for-ohms", Figures.plain(named.figure().getAsDouble()));
    }

    /** From the centre, single-ended from the first end, of a secondary from its common. */
    private static String volts(String name, LeadMap map) {
        for (Winding winding : map.windings()) {
            Optional<Winding.Placed> placed = winding.of(name);
            if (placed.isPresent()) {
                double from = winding.leads().stream()
                        .filter(each -> map.roles().containsKey(each.lead()))
                        .filter(each -> map.roles().get(each.lead()).role() == LeadMap.Role.CENTRE
                                || map.roles().get(each.lead()).role() == LeadMap.Role.COMMON)
                        .mapToDouble(Winding.Placed::at)
                        .findFirst()
                        .orElse(0);
                return Figures.in(Unit.VOLT, Math.abs(placed.get().at() - from));
            }
        }
        return "";
    }

    private static String value(LeadReading reading) {
        return Figures.in(reading.kind() == LeadReading.Kind.OHMS ? Unit.OHM : Unit.VOLT, reading.value());
    }

    private static Optional<Mark> mark(String kind, String one, String other, String text, Map<String, Seat> seats) {
        Seat from = seats.get(one);
        Seat to = seats.get(other);
        if (from == null || to == null) {
            return Optional.empty();
        }
        boolean source = kind.equals("source");
        double toCore = from.side().equals("right") ? -1 : 1;
        double start = source ? from.x() + toCore * LEAD : from.x();
        double across = toCore * (source ? SOURCE : READ);
        boolean beside = from.side().equals(to.side()) && !from.side().equals("below");
        String path = beside
                ? "M%s %sh%sV%sh%s".formatted(px(start), px(from.y()), px(across), px(to.y()), px(-across))
                : "M%s %sL%s %s".formatted(px(from.x()), px(from.y()), px(to.x()), px(to.y()));
        return Optional.of(new Mark(
                kind,
                path,
                Place.of(
                        beside ? start + across : (from.x() + to.x()) / 2,
                        (from.y() + to.y()) / 2 + (source ? -READ : 6)),
                text));
    }

    private static String coil(double x, int sweep) {
        double radius = (BOTTOM - TOP) / BUMPS / 2;
        return "M%s %s".formatted(px(x), px(TOP))
                + " a %s %s 0 0 %d 0 %s"
                        .formatted(px(radius), px(radius), sweep, px(2 * radius))
                        .repeat(BUMPS);
    }
}
