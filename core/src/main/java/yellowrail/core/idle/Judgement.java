package yellowrail.core.idle;

import java.util.List;

/**
 * A verdict and what has to be said with it.
 *
 * @param verdict the word
 * @param early taken before the amp had settled
 * @param ratio plate dissipation over the limit; NaN when not judged
 * @param notes what a careful colleague would add, most important first
 * @param limits what it is over
 */
public record Judgement(Verdict verdict, boolean early, double ratio, List<IdleFinding> notes, Limits limits) {

    private static final Limits NONE = new Limits(List.of(), false, false);

    public Judgement {
        notes = List.copyOf(notes);
    }

    public static Judgement notJudged(List<IdleFinding> reasons) {
        return new Judgement(Verdict.NOT_JUDGED, false, Double.NaN, reasons, NONE);
    }

    Judgement with(List<IdleFinding> others) {
        return new Judgement(verdict, early, ratio, others, limits);
    }
}
