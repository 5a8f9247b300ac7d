package yellowrail.core.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import org.jgrapht.alg.matching.blossom.v5.KolmogorovWeightedPerfectMatching;
import org.jgrapht.alg.matching.blossom.v5.ObjectiveSense;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * The pairs of least total difference by minimum-weight matching (Blossom V). So that tubes may be left over, every
 * tube has a twin that pairs as it does at no cost; a tube left over is paired with its own twin, at a cost above any
 * sum of differences, so that the number of pairs comes first.
 */
final class Pairs {

    /** Up to so many tubes every pair is considered. */
    private static final int COMPLETE = 120;
    /** Beyond, those of each tube and its nearest. */
    private static final int NEAREST = 10;

    private final List<Candidate> tubes;
    private final double tolerance;
    private final Measure measure;

    Pairs(List<Candidate> tubes, double tolerance, Measure measure) {
        this.tubes = tubes;
        this.tolerance = tolerance;
        this.measure = measure;
    }

    MatchFinding method() {
        return tubes.size() <= COMPLETE ? new MatchFinding.PairsExact() : new MatchFinding.PairsOfNearest(NEAREST);
    }

    List<List<Candidate>> find() {
        int n = tubes.size();
        SimpleWeightedGraph<Integer, DefaultWeightedEdge> graph = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        for (int i = 0; i < 2 * n; i++) {
            graph.addVertex(i);
        }
        double dearest = 1;
        for (int i = 0; i < n; i++) {
            for (int j : partners(i)) {
                double difference = measure.between(tubes.get(i), tubes.get(j));
                if (Math.abs(tubes.get(i).amps() - tubes.get(j).amps()) <= tolerance && !graph.containsEdge(i, j)) {
                    graph.setEdgeWeight(graph.addEdge(i, j), difference);
                    graph.setEdgeWeight(graph.addEdge(n + i, n + j), 0);
                    dearest = Math.max(dearest, difference);
                }
            }
        }
        for (int i = 0; i < n; i++) {
            graph.setEdgeWeight(graph.addEdge(i, n + i), n * dearest);
        }
        List<List<Candidate>> pairs = new ArrayList<>();
        for (DefaultWeightedEdge edge :
                new KolmogorovWeightedPerfectMatching<>(graph, ObjectiveSense.MINIMIZE).getMatching()) {
            int one = graph.getEdgeSource(edge);
            int other = graph.getEdgeTarget(edge);
            if (one < n && other < n) {
                pairs.add(List.of(tubes.get(one), tubes.get(other)));
            }
        }
        return pairs;
    }

    private List<Integer> partners(int i) {
        List<Integer> partners = new ArrayList<>();
        if (tubes.size() <= COMPLETE) {
            for (int j = i + 1; j < tubes.size(); j++) {
                partners.add(j);
            }
            return partners;
        }
        Comparator<Integer> nearer = Comparator.comparingDouble(j -> measure.between(tubes.get(i), tubes.get(j)));
        PriorityQueue<Integer> nearest = new PriorityQueue<>(nearer.reversed());
        for (int step : new int[] {-1, 1}) {
            for (int j = i + step; j >= 0 && j < tubes.size() && mayBeNear(i, j, nearest); j += step) {
                nearest.add(j);
                if (nearest.size() > NEAREST) {
                    nearest.poll();
                }
            }
        }
        partners.addAll(nearest);
        return partners;
    }

    /**
     * Along the row the current alone grows apart: once that exceeds what the farthest of the nearest has, none can
     * follow.
     */
    private boolean mayBeNear(int i, int j, PriorityQueue<Integer> nearest) {
        return nearest.size() < NEAREST
                || Math.abs(tubes.get(i).amps() - tubes.get(j).amps())
                        < measure.between(tubes.get(i), tubes.get(nearest.peek()));
    }
}
