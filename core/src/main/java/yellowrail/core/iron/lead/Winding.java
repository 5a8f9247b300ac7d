package yellowrail.core.iron.lead;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A winding: leads between which volts were read, in their order. Along one winding all turns carry the same volts, so
 * what is read between two leads is how far they are apart.
 *
 * @param leads as far as they have a place, from one end to the other
 * @param unplaced those of which one reading more is needed
 * @param wanted what to read for that
 */
public record Winding(List<Placed> leads, List<String> unplaced, List<LeadFinding> wanted) {

    /** Of the winding: meters and hands are not better. */
    private static final double TOLERANCE = 0.02;

    private static final double RESOLUTION = 0.002;

    /** A lead and the volts from the first end to it. */
    public record Placed(String lead, double at) {}

    /** Two leads and what was read between them, V. */
    private record Widest(String one, String other, double volts) {

        /** As the leads are expected to lie, where that is known. */
        @SuppressWarnings("ArgumentSelectionDefectChecker") // They are to change places.
        Widest inOrder(Map<String, LeadMap.Expected> expected) {
            return expected.containsKey(one)
                            && expected.containsKey(other)
                            && expected.get(one).place() > expected.get(other).place()
                    ? new Widest(other, one, volts)
                    : this;
        }
    }

    /** All windings that were read, the one with the most volts first. */
    static List<Winding> of(List<LeadReading> readings, Map<String, LeadMap.Expected> expected) {
        List<LeadReading> volts = readings.stream()
                .filter(reading -> reading.kind() == LeadReading.Kind.VOLTS && reading.value() > 0)
                .toList();
        List<Set<String>> groups = new ArrayList<>();
        for (LeadReading reading : volts) {
            Set<String> joined = new LinkedHashSet<>();
            groups.removeIf(group -> {
                boolean touched = group.contains(reading.one()) || group.contains(reading.other());
                joined.addAll(touched ? group : Set.of());
                return touched;
            });
            joined.add(reading.one());
            joined.add(reading.other());
            groups.add(joined);
        }
        return groups.stream()
                .map(group -> of(group, volts, expected))
                .sorted(Comparator.comparingDouble(Winding::span).reversed())
                .toList();
    }

    private static Winding of(Set<String> group, List<LeadReading> all, Map<String, LeadMap.Expected> expected) {
        List<LeadReading> readings =
                all.stream().filter(reading -> group.contains(reading.one())).toList();
        Widest ends = readings.stream()
                .max(Comparator.comparingDouble(LeadReading::value))
                .map(reading -> new Widest(reading.one(), reading.other(), reading.value()))
                .map(widest -> widest.inOrder(expected))
                .orElseThrow();
        Map<String, Double> places = new LinkedHashMap<>();
        places.put(ends.one(), 0.0);
        places.put(ends.other(), ends.volts());
        boolean more = true;
        while (more) {
            more = false;
            for (String lead : group) {
                OptionalDouble place = places.containsKey(lead)
                        ? OptionalDouble.empty()
                        : place(lead, readings, places, ends.volts(), expected);
                if (place.isPresent()) {
                    places.put(lead, place.getAsDouble());
                    more = true;
                }
            }
        }
        List<String> unplaced =
                group.stream().filter(lead -> !places.containsKey(lead)).toList();
        return new Winding(
                places.entrySet().stream()
                        .map(entry -> new Placed(entry.getKey(), entry.getValue()))
                        .sorted(Comparator.comparingDouble(Placed::at))
                        .toList(),
                unplaced,
                unplaced.stream().map(lead -> wanted(lead, readings, ends)).toList());
    }

    /**
     * The one place between the ends that all readings of a lead allow, of two the one where it is expected; empty
     * where nobody knows, or where another lead stands already and nothing was read between them: it may lie as far on
     * the other side.
     */
    private static OptionalDouble place(
            String lead,
            List<LeadReading> readings,
            Map<String, Double> places,
            double span,
            Map<String, LeadMap.Expected> expected) {
        List<LeadReading> known = readings.stream()
                .filter(reading -> reading.touches(lead) && places.containsKey(reading.from(lead)))
                .toList();
        List<Double> candidates = new ArrayList<>();
        for (LeadReading reading : known) {
            double from = places.get(reading.from(lead));
            for (double at : new double[] {from - reading.value(), from + reading.value()}) {
                boolean within = at >= -TOLERANCE * span && at <= (1 + TOLERANCE) * span;
                boolean again = candidates.stream().anyMatch(one -> Math.abs(one - at) <= 2 * TOLERANCE * span);
                if (within && !again) {
                    candidates.add(at);
                }
            }
        }
        List<Double> allowed = candidates.stream()
                .filter(at -> off(at, lead, known, places) <= 2 * TOLERANCE * span)
                .toList();
        // Readings that contradict one another: where they do so least, and the contradiction is told.
        if (allowed.isEmpty() && known.size() > 1) {
            allowed = candidates.stream()
                    .min(Comparator.comparingDouble(at -> off(at, lead, known, places)))
                    .map(List::of)
                    .orElse(List.of());
        }
        if (allowed.size() > 1 && expected.containsKey(lead)) {
            double usual = expected.get(lead).place() * span;
            allowed = allowed.stream()
                    .min(Comparator.comparingDouble(at -> Math.abs(at - usual)))
                    .map(List::of)
                    .orElseThrow();
        }
        if (allowed.size() != 1) {
            return OptionalDouble.empty();
        }
        double at = allowed.get(0);
        boolean taken = places.entrySet().stream()
                .anyMatch(entry -> Math.abs(entry.getValue() - at) <= TOLERANCE * span
                        && readings.stream().noneMatch(reading -> reading.isBetween(lead, entry.getKey())));
        return taken ? OptionalDouble.empty() : OptionalDouble.of(at);
    }

    /** How far the readings of a lead are from what they would be at a place, at most, V. */
    private static double off(double at, String lead, List<LeadReading> known, Map<String, Double> places) {
        return known.stream()
                .mapToDouble(each -> Math.abs(Math.abs(at - places.get(each.from(lead))) - each.value()))
                .max()
                .orElse(0);
    }

    private static LeadFinding wanted(String lead, List<LeadReading> readings, Widest ends) {
        boolean one = readings.stream().anyMatch(reading -> reading.isBetween(lead, ends.one()));
        return new LeadFinding.ReadBetween(lead, one ? ends.other() : ends.one());
    }

    /** From the first end to the last, V. */
    public double span() {
        return leads.get(leads.size() - 1).at();
    }

    public String first() {
        return leads.get(0).lead();
    }

    public String last() {
        return leads.get(leads.size() - 1).lead();
    }

    public Optional<Placed> of(String lead) {
        return leads.stream().filter(placed -> placed.lead().equals(lead)).findFirst();
    }

    /** What was read and does not agree with where the leads lie. */
    List<LeadFinding> contradictions(List<LeadReading> readings) {
        return readings.stream()
                .filter(reading -> reading.kind() == LeadReading.Kind.VOLTS)
                .filter(reading ->
                        of(reading.one()).isPresent() && of(reading.other()).isPresent())
                .map(this::contradiction)
                .flatMap(Optional::stream)
                .toList();
    }

    private Optional<LeadFinding> contradiction(LeadReading reading) {
        double expected = Math.abs(of(reading.one()).orElseThrow().at()
                - of(reading.other()).orElseThrow().at());
        boolean apart = Math.abs(expected - reading.value()) > TOLERANCE * span() + RESOLUTION;
        return apart
                ? Optional.of(new LeadFinding.DoesNotAddUp(reading.one(), reading.other(), reading.value(), expected))
                : Optional.empty();
    }
}
