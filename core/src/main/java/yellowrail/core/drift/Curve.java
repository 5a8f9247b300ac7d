package yellowrail.core.drift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The readings of a test point made ready to be judged: in the order of time, one a moment, of one sitting, no more
 * than are needed, in percent above their middle.
 *
 * @param minutes rising
 * @param percent above {@code middle}
 * @param middle the value that is 0 %
 * @param notes what had to be done to them
 */
record Curve(double[] minutes, double[] percent, double middle, Set<SeriesNote> notes) {

    /** More say no more: they are averaged over equal spans of time. */
    static final int MOST = 400;
    /** Hand readings of a soak are an hour apart at most; after a longer while it is another one, min. */
    static final double GAP = 90;

    /** Two readings so near in time, min, that differ by so much, %: somebody turned something. */
    private static final double HASTE = 3;

    private static final double TURNED = 4.5;
    /** A runaway gets faster too, but never so many times from one reading to the next. */
    private static final double SUDDEN = 3;

    static Curve of(List<Sample> samples) {
        Set<SeriesNote> notes = EnumSet.noneOf(SeriesNote.class);
        List<Sample> ready = thinned(merged(lastSitting(inOrder(samples, notes), notes), notes), notes);
        double[] values = ready.stream().mapToDouble(Sample::value).sorted().toArray();
        double middle = values.length == 0 ? 1 : values[values.length / 2];
        return new Curve(
                ready.stream().mapToDouble(Sample::minutes).toArray(),
                ready.stream()
                        .mapToDouble(sample -> 100 * (sample.value() / middle - 1))
                        .toArray(),
                middle,
                notes);
    }

    /** A clock that was set back once begins another sitting; times that go back more often are only out of order. */
    private static List<Sample> inOrder(List<Sample> samples, Set<SeriesNote> notes) {
        int back = 0;
        int setBackAt = 0;
        for (int i = 1; i < samples.size(); i++) {
            if (samples.get(i).minutes() < samples.get(i - 1).minutes()) {
                back++;
                setBackAt = i;
            }
        }
        if (back == 0) {
            return samples;
        }
        boolean goesOn = samples.size() - setBackAt >= 3 && setBackAt >= 3;
        notes.add(back == 1 && goesOn ? SeriesNote.CLOCK_SET_BACK : SeriesNote.OUT_OF_ORDER);
        return back == 1 && goesOn
                ? samples.subList(setBackAt, samples.size())
                : samples.stream()
                        .sorted(Comparator.comparingDouble(Sample::minutes))
                        .toList();
    }

    private static List<Sample> lastSitting(List<Sample> samples, Set<SeriesNote> notes) {
        int from = 0;
        for (int i = 1; i < samples.size(); i++) {
            if (samples.get(i).minutes() - samples.get(i - 1).minutes() > GAP) {
                from = i;
                notes.add(SeriesNote.GAP);
            }
        }
        return samples.subList(from, samples.size());
    }

    private static List<Sample> merged(List<Sample> samples, Set<SeriesNote> notes) {
        List<Sample> merged = new ArrayList<>();
        for (int i = 0; i < samples.size(); ) {
            int to = i;
            while (to < samples.size()
                    && samples.get(to).minutes() == samples.get(i).minutes()) {
                to++;
            }
            merged.add(mean(samples.subList(i, to)));
            if (to - i > 1) {
                notes.add(SeriesNote.SAME_TIME);
            }
            i = to;
        }
        return merged;
    }

    private static List<Sample> thinned(List<Sample> samples, Set<SeriesNote> notes) {
        if (samples.size() <= MOST) {
            return samples;
        }
        notes.add(SeriesNote.THINNED);
        double first = samples.get(0).minutes();
        double span = samples.get(samples.size() - 1).minutes() - first;
        List<Sample> thinned = new ArrayList<>();
        for (int i = 0; i < samples.size(); ) {
            int bin = bin(samples.get(i), first, span);
            int to = i;
            while (to < samples.size() && bin(samples.get(to), first, span) == bin) {
                to++;
            }
            thinned.add(mean(samples.subList(i, to)));
            i = to;
        }
        return thinned;
    }

    private static int bin(Sample sample, double first, double span) {
        return (int) Math.min(MOST - 1, MOST * (sample.minutes() - first) / span);
    }

    private static Sample mean(List<Sample> samples) {
        return samples.size() == 1
                ? samples.get(0)
                : new Sample(
                        samples.stream().mapToDouble(Sample::minutes).average().orElseThrow(),
                        samples.stream().mapToDouble(Sample::value).average().orElseThrow());
    }

    int size() {
        return minutes.length;
    }

    double first() {
        return minutes[0];
    }

    double last() {
        return minutes[minutes.length - 1];
    }

    double span() {
        return size() < 2 ? 0 : last() - first();
    }

    /** How far the last readings stand above the least of the later half, %. */
    double rise() {
        double half = (first() + last()) / 2;
        double least = IntStream.range(0, size())
                .filter(i -> minutes[i] >= half)
                .mapToDouble(i -> percent[i])
                .min()
                .orElse(0);
        return Math.min(percent[size() - 1], percent[Math.max(0, size() - 2)]) - least;
    }

    /**
     * The last reading that stands far off the one just before it, though nothing led up to that: a pot was turned; 0
     * where there is none.
     */
    int turnedAt() {
        for (int i = size() - 1; i > 0; i--) {
            double jump = Math.abs(percent[i] - percent[i - 1]);
            double before = i > 1
                    ? Math.abs(percent[i - 1] - percent[i - 2])
                            * (minutes[i] - minutes[i - 1])
                            / (minutes[i - 1] - minutes[i - 2])
                    : 0;
            if (minutes[i] - minutes[i - 1] < HASTE && jump > TURNED && jump > SUDDEN * before) {
                return i;
            }
        }
        return 0;
    }

    /** The same from a sample on. */
    Curve from(int index) {
        return new Curve(
                Arrays.copyOfRange(minutes, index, size()), Arrays.copyOfRange(percent, index, size()), middle, notes);
    }

    /** Its value at any time between its first and its last, %; NaN outside. */
    double at(double when) {
        if (size() == 0 || when < first() || when > last()) {
            return Double.NaN;
        }
        int after = Arrays.binarySearch(minutes, when);
        if (after >= 0) {
            return percent[after];
        }
        int next = -after - 1;
        double part = (when - minutes[next - 1]) / (minutes[next] - minutes[next - 1]);
        return percent[next - 1] + part * (percent[next] - percent[next - 1]);
    }
}
