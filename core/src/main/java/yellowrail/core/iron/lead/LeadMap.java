package yellowrail.core.iron.lead;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.iron.RatioMeasurement;

/**
 * What each lead of an output transformer is, from what was read between them with the source at one place.
 *
 * @param windings the primary first, as it has the most turns
 * @param roles of the leads that have one
 * @param ratio what the volts tell; empty before both windings were read
 * @param says what is still to be read, and what does not look right
 */
public record LeadMap(
        List<Winding> windings, Map<String, Named> roles, Optional<RatioMeasurement> ratio, List<LeadFinding> says) {

    /** A centre tap lies so near to the middle, of the whole. */
    private static final double MIDDLE = 0.08;
    /** Ends from which the taps fit alike, in octaves. */
    private static final double LIKE = 0.03;

    /** What a lead is. */
    public enum Role {
        PLATE,
        CENTRE,
        SCREEN,
        /** Single-ended: one of them goes to the plate, the other to the supply. */
        END,
        COMMON,
        SPEAKER,
        /** A tap of the primary that is none of these. */
        ODD,
        /** Of a third winding. */
        OTHER
    }

    /**
     * What a lead is taken for.
     *
     * @param place along its winding, from 0 to 1
     */
    public record Expected(Role role, double place) {}

    /**
     * A lead\u2019s role.
     *
     * @param figure a screens\u2019 tap as a part of the half primary, single-ended of the primary; a speaker\u2019s
     *     tap in ohm; empty for the others, and where it is not known
     */
    public record Named(Role role, OptionalDouble figure) {

        Named(Role role) {
            this(role, OptionalDouble.empty());
        }
    }

    /**
     * @param pushPull whether the primary has a centre
     * @param expected what leads are taken for; empty where nobody knows
     * @param source the two leads the source is on, if it was told
     */
    public static LeadMap of(
            List<LeadReading> readings,
            boolean pushPull,
            Map<String, Expected> expected,
            Optional<LeadReading.Pair> source,
            OptionalDouble sourceVolts,
            OptionalDouble sourceOhms) {
        List<Winding> windings = Winding.of(readings, expected);
        List<LeadFinding> says = new ArrayList<>();
        if (windings.isEmpty()) {
            says.add(readings.isEmpty() ? new LeadFinding.NothingRead() : new LeadFinding.OnlyOhms());
            return new LeadMap(windings, Map.of(), Optional.empty(), says);
        }
        Winding primary = windings.get(0);
        windings.forEach(winding -> {
            says.addAll(winding.wanted());
            says.addAll(winding.contradictions(readings));
        });
        if (windings.size() < 2) {
            says.add(new LeadFinding.OneWindingOnly(
                    primary.leads().stream().map(Winding.Placed::lead).toList()));
            return new LeadMap(windings, Map.of(), Optional.empty(), says);
        }
        if (is(Role.CENTRE, primary.first(), expected) || is(Role.CENTRE, primary.last(), expected)) {
            says.add(new LeadFinding.HalfOnly());
            return new LeadMap(windings, Map.of(), Optional.empty(), says);
        }
        if (pushPull && primary.leads().size() == 2 && expected.isEmpty()) {
            says.add(new LeadFinding.PerhapsHalf());
        }
        Primary found = Primary.of(primary, pushPull);
        Map<String, Named> roles = new LinkedHashMap<>(found.roles());
        if (pushPull && primary.leads().size() > 2 && found.centre().isEmpty()) {
            says.add(new LeadFinding.NoCentreTap());
        }
        boolean fedSecondary =
                source.map(pair -> primary.of(pair.one()).isEmpty()).orElse(true);
        Secondary secondary = Secondary.of(windings.get(1), expected);
        RatioMeasurement ratio = new RatioMeasurement(
                fedSecondary,
                primary.span(),
                secondary.taps(readings),
                half(found, primary, primary.first(), readings),
                half(found, primary, primary.last(), readings),
                found.screenVolts(),
                sourceVolts,
                sourceOhms,
                ohms(readings, primary.first(), primary.last()));
        roles.putAll(secondary.roles(ratio.tapSets()));
        windings.stream()
                .skip(2)
                .flatMap(winding -> winding.leads().stream())
                .forEach(placed -> roles.put(placed.lead(), new Named(Role.OTHER)));
        roles.forEach((lead, named) -> {
            if (expected.containsKey(lead) && !is(named.role(), lead, expected)) {
                says.add(new LeadFinding.NotAsNamed(lead, named.role()));
            }
        });
        return new LeadMap(windings, roles, Optional.of(ratio), says);
    }

    private static boolean is(Role role, String lead, Map<String, Expected> expected) {
        return expected.containsKey(lead) && expected.get(lead).role() == role;
    }

    /** From the centre to an end: as it was read, else by where they lie. */
    private static OptionalDouble half(Primary found, Winding primary, String end, List<LeadReading> readings) {
        return found.centre().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(readings.stream()
                        .filter(reading -> reading.kind() == LeadReading.Kind.VOLTS
                                && reading.isBetween(found.centre().get().lead(), end))
                        .mapToDouble(LeadReading::value)
                        .findFirst()
                        .orElse(Math.abs(found.centre().get().at()
                                - primary.of(end).orElseThrow().at())));
    }

    private static OptionalDouble ohms(List<LeadReading> readings, String one, String other) {
        return readings.stream()
                .filter(reading -> reading.kind() == LeadReading.Kind.OHMS && reading.isBetween(one, other))
                .filter(reading -> reading.value() > 0)
                .mapToDouble(LeadReading::value)
                .findFirst();
    }

    /** The primary\u2019s leads: its ends, its middle, and what lies between. */
    private record Primary(Map<String, Named> roles, Optional<Winding.Placed> centre, OptionalDouble screenVolts) {

        static Primary of(Winding winding, boolean pushPull) {
            Map<String, Named> roles = new LinkedHashMap<>();
            double span = winding.span();
            Optional<Winding.Placed> centre = winding.leads().stream()
                    .filter(placed -> pushPull && Math.abs(placed.at() / span - 0.5) <= MIDDLE)
                    .min(Comparator.comparingDouble(placed -> Math.abs(placed.at() / span - 0.5)));
            OptionalDouble screen = OptionalDouble.empty();
            for (Winding.Placed placed : winding.leads()) {
                boolean end =
                        placed.lead().equals(winding.first()) || placed.lead().equals(winding.last());
                if (end) {
                    roles.put(placed.lead(), new Named(pushPull ? Role.PLATE : Role.END));
                } else if (centre.isPresent() && placed.equals(centre.get())) {
                    roles.put(placed.lead(), new Named(Role.CENTRE));
                } else if (pushPull && centre.isPresent()) {
                    double away = Math.abs(placed.at() - centre.get().at());
                    roles.put(placed.lead(), new Named(Role.SCREEN, OptionalDouble.of(away / (span / 2))));
                    screen = screen.isPresent() ? screen : OptionalDouble.of(away);
                } else {
                    roles.put(
                            placed.lead(),
                            pushPull
                                    ? new Named(Role.ODD)
                                    : new Named(Role.SCREEN, OptionalDouble.of(placed.at() / span)));
                }
            }
            return new Primary(roles, centre, screen);
        }
    }

    /** The secondary, counted from its common end: the one from which the taps stand to one another as speakers do. */
    private record Secondary(Winding winding, String common) {

        static Secondary of(Winding winding, Map<String, Expected> expected) {
            Secondary one = new Secondary(winding, winding.first());
            Secondary other = new Secondary(winding, winding.last());
            double fitOne = one.misfit();
            double fitOther = other.misfit();
            if (winding.leads().size() == 2 || Math.abs(fitOne - fitOther) < LIKE) {
                return is(Role.COMMON, other.common(), expected) ? other : one;
            }
            return fitOne < fitOther ? one : other;
        }

        private double from(Winding.Placed placed) {
            return Math.abs(placed.at() - winding.of(common).orElseThrow().at());
        }

        private List<Winding.Placed> others() {
            return winding.leads().stream()
                    .filter(placed -> !placed.lead().equals(common) && from(placed) > 0)
                    .toList();
        }

        /** How far the ohms of neighbouring taps are from standing as one to two or one to four, on a log scale. */
        private double misfit() {
            List<Double> ohms = others().stream()
                    .map(placed -> Math.pow(from(placed), 2))
                    .sorted()
                    .toList();
            double misfit = 0;
            for (int i = 1; i < ohms.size(); i++) {
                double octaves = Math.log(ohms.get(i) / ohms.get(i - 1)) / Math.log(2);
                misfit += Math.min(Math.abs(octaves - 1), Math.abs(octaves - 2));
            }
            return misfit;
        }

        List<RatioMeasurement.Tap> taps(List<LeadReading> readings) {
            return others().stream()
                    .map(placed -> new RatioMeasurement.Tap(
                            placed.lead(), from(placed), ohms(readings, common, placed.lead())))
                    .toList();
        }

        Map<String, Named> roles(List<RatioMeasurement.TapSet> sets) {
            Map<String, Named> roles = new LinkedHashMap<>();
            roles.put(common, new Named(Role.COMMON));
            for (Winding.Placed placed : others()) {
                OptionalDouble speaker = OptionalDouble.empty();
                if (sets.size() == 1) {
                    int at = sets.get(0).taps().indexOf(placed.lead());
                    speaker = OptionalDouble.of(sets.get(0).speakers().get(at));
                }
                roles.put(placed.lead(), new Named(Role.SPEAKER, speaker));
            }
            return roles;
        }
    }
}
