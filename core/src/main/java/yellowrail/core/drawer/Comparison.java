package yellowrail.core.drawer;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.TestCondition;
import yellowrail.core.tube.TubeType;

/**
 * Tubes of one type brought to one test condition: the one that most of them were tested at. Figures of another are
 * converted by the type's model if they are near, and left out if they are not; cathode and plate currents are never
 * mixed.
 *
 * @param condition the common condition; empty where nothing was tested
 * @param current whose current
 * @param candidates the tubes that can be compared
 * @param remarks by label: converted, unstable
 * @param leftOut by label, with the reason
 */
public record Comparison(
        Optional<TestCondition> condition,
        TesterReading.Current current,
        List<Candidate> candidates,
        Map<String, List<DrawerFinding>> remarks,
        Map<String, DrawerFinding> leftOut) {

    /** A tube and its newest test. */
    public record Tested(DrawerTube tube, Optional<TesterReading> test) {}

    /** What was read, and where. */
    private record TestedAt(TesterReading.Current current, TestCondition condition) {

        static TestedAt of(TesterReading test) {
            return new TestedAt(test.current(), test.condition());
        }

        /** Where most were tested; of those that are as common, the first. */
        static Optional<TestedAt> commonest(List<TesterReading> tests) {
            Map<TestedAt, Integer> counted = new LinkedHashMap<>();
            tests.forEach(test -> counted.merge(of(test), 1, Integer::sum));
            Map<TestedAt, Integer> alike = new LinkedHashMap<>();
            counted.keySet().forEach(each -> alike.put(each, each.alike(counted)));
            return alike.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey);
        }

        private int alike(Map<TestedAt, Integer> counted) {
            return counted.entrySet().stream()
                    .filter(other -> other.getKey().current == current
                            && other.getKey().condition.isSame(condition))
                    .mapToInt(Map.Entry::getValue)
                    .sum();
        }
    }

    public Comparison {
        candidates = List.copyOf(candidates);
    }

    /** @param tubes of one type */
    public static Comparison of(TubeType type, List<Tested> tubes) {
        List<TesterReading> tests =
                tubes.stream().flatMap(tube -> tube.test().stream()).toList();
        Optional<TestedAt> commonest = TestedAt.commonest(tests);
        Map<String, List<DrawerFinding>> remarks = new LinkedHashMap<>();
        Map<String, DrawerFinding> leftOut = new LinkedHashMap<>();
        List<Candidate> candidates = new ArrayList<>();
        for (Tested tested : tubes) {
            String label = tested.tube().label();
            if (tested.test().isEmpty()) {
                leftOut.put(label, new DrawerFinding.NeverTested());
            } else if (tested.tube().state() == TubeState.WASTE
                    || tested.test().get().tap() == Microphony.RINGS_ALONE) {
                leftOut.put(
                        label,
                        tested.tube().state() == TubeState.WASTE
                                ? new DrawerFinding.Waste()
                                : new DrawerFinding.RingsByItself());
            } else {
                take(type, tested.test().get(), label, commonest.orElseThrow(), candidates, remarks, leftOut);
            }
        }
        return new Comparison(
                commonest.map(TestedAt::condition),
                commonest.map(TestedAt::current).orElse(TesterReading.Current.CATHODE),
                candidates,
                remarks,
                leftOut);
    }

    private static void take(
            TubeType type,
            TesterReading test,
            String label,
            TestedAt common,
            List<Candidate> candidates,
            Map<String, List<DrawerFinding>> remarks,
            Map<String, DrawerFinding> leftOut) {
        if (test.current() != common.current()) {
            leftOut.put(label, new DrawerFinding.OtherCurrent(test.current(), common.current()));
            return;
        }
        Optional<TestCondition.Converted> there =
                test.condition().convert(type, test.amps(), test.transconductance(), common.condition());
        if (there.isEmpty()) {
            leftOut.put(label, new DrawerFinding.OtherCondition(test.condition().told()));
            return;
        }
        OptionalDouble steepness = there.get().transconductance();
        candidates.add(new Candidate(label, there.get().amps(), steepness));
        List<DrawerFinding> said = new ArrayList<>();
        if (!test.condition().isSame(common.condition())) {
            said.add(new DrawerFinding.Converted(test.condition().told()));
        }
        if (test.isUnstable()) {
            said.add(new DrawerFinding.Unstable(test.rise().getAsDouble()));
        }
        if (!said.isEmpty()) {
            remarks.put(label, said);
        }
    }
}
