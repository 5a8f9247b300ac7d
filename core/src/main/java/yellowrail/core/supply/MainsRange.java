package yellowrail.core.supply;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;

/**
 * What the hottest tube dissipates over a range of mains voltages.
 *
 * @param rows from low to high mains
 * @param from what the conversion rests on
 */
public record MainsRange(List<Row> rows, SupplyFinding from) {

    /** Half the range when nobody says another, as a ratio. */
    public static final double USUAL = 0.10;

    /**
     * One mains voltage.
     *
     * @param mains V
     * @param label of the hottest tube
     * @param watts it dissipates there
     * @param ratio of the rating
     */
    public record Row(double mains, String label, double watts, double ratio) {}

    public MainsRange {
        rows = List.copyOf(rows);
    }

    /**
     * @param tubes as read
     * @param mainsRatio mains while reading over the sheet's
     * @param span half the range, as a ratio
     */
    public static MainsRange of(StageIdle stage, List<TubeIdle> tubes, double mainsRatio, Mains mains, double span) {
        List<Row> rows = new ArrayList<>();
        for (double step : new double[] {-1, -0.5, 0, 0.5, 1}) {
            double ratio = 1 + step * span;
            tubes.stream()
                    .filter(tube -> tube.figures().isPresent())
                    .max((one, other) -> Double.compare(watts(one) / rated(one), watts(other) / rated(other)))
                    .ifPresent(hottest -> {
                        double watts = mains.convertDissipation(watts(hottest), mainsRatio, ratio);
                        rows.add(new Row(
                                ratio * stage.sheet().mainsVolts(),
                                hottest.socket().label(),
                                watts,
                                watts / rated(hottest)));
                    });
        }
        return new MainsRange(rows, mains.from());
    }

    private static double rated(TubeIdle tube) {
        return tube.occupant().rating().orElseThrow().plateWatts();
    }

    private static double watts(TubeIdle tube) {
        return tube.figures().map(IdleFigures::dissipation).orElseThrow().value();
    }
}
