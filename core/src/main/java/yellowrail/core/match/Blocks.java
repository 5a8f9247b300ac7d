package yellowrail.core.match;

import java.util.ArrayList;
import java.util.List;

/**
 * Groups of neighbours in order of current. Of two groups that reach into one another, the lower half and the upper
 * half of both together are never worse, and a tube left out between two of a group can take the place of an outer one;
 * so some best grouping consists of blocks of the sorted row, and dynamic programming over the row finds it: after each
 * tube the most groups so far, and the least total spread with so many.
 */
final class Blocks {

    private final List<Candidate> tubes;
    private final int size;
    private final double tolerance;

    /** @param tubes in order of current */
    Blocks(List<Candidate> tubes, int size, double tolerance) {
        this.tubes = tubes;
        this.size = size;
        this.tolerance = tolerance;
    }

    List<List<Candidate>> find() {
        int n = tubes.size();
        int[] groups = new int[n + 1];
        double[] spread = new double[n + 1];
        boolean[] ends = new boolean[n + 1];
        for (int i = 1; i <= n; i++) {
            groups[i] = groups[i - 1];
            spread[i] = spread[i - 1];
            if (i >= size) {
                double block = tubes.get(i - 1).amps() - tubes.get(i - size).amps();
                int more = groups[i - size] + 1;
                double total = spread[i - size] + block;
                if (block <= tolerance && (more > groups[i] || more == groups[i] && total < spread[i])) {
                    groups[i] = more;
                    spread[i] = total;
                    ends[i] = true;
                }
            }
        }
        List<List<Candidate>> found = new ArrayList<>();
        for (int i = n; i > 0; i -= ends[i] ? size : 1) {
            if (ends[i]) {
                found.add(tubes.subList(i - size, i));
            }
        }
        return found;
    }
}
