package yellowrail.core.supply;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.timeline.Timeline;

/**
 * The supply line as far as it is known: through every setting that was read, or through the only one with a resistance
 * that is guessed, from the hardware before, from the winding's peak, or as usual for the rectifier.
 */
public final class KnownLine {

    /** A guess is halved no further than to this part of the usual resistance. */
    private static final double LEAST_GUESS = 0.1;

    private static final double MOST_OF_USUAL = 1.5;

    private final AmpSheet sheet;
    private final SupplyReadings readings;
    private final Map<Integer, Optional<SupplyLine>> lines = new HashMap<>();

    public KnownLine(AmpSheet sheet, SupplyReadings readings) {
        this.sheet = sheet;
        this.readings = readings;
    }

    /** Resistance of the supply by the readings of a run, ohm; empty where they make no line. */
    public static OptionalDouble measuredOhms(Timeline timeline) {
        StageIdle stage = StageIdle.of(timeline.present());
        return new KnownLine(stage.sheet(), new SupplyReadings(stage, timeline))
                .now()
                .filter(line -> !line.isGuessed() && line.resistance() > 0)
                .map(line -> OptionalDouble.of(line.resistance()))
                .orElse(OptionalDouble.empty());
    }

    /** As it is known now; empty before anything whole was read. */
    public Optional<SupplyLine> now() {
        return after(readings.sets().size());
    }

    /** As it was known before the newest setting; empty where there were none. */
    public Optional<SupplyLine> before() {
        return readings.sets().size() < 2
                ? Optional.empty()
                : after(readings.sets().size() - 1);
    }

    private Optional<SupplyLine> after(int settings) {
        return settings == 0
                ? Optional.empty()
                : lines.computeIfAbsent(settings, known -> Optional.of(through(readings.points(known))));
    }

    /** The line through a setting of which only a part was read. */
    public SupplyLine through(ReadingSet half) {
        return through(List.of(new SupplyPoint(
                List.of(),
                half.plateVolts(),
                half.totalAmps(),
                half.mainsRatio(),
                Math.max(0.1, 1e-4 * half.plateVolts()),
                false)));
    }

    private SupplyLine through(List<SupplyPoint> points) {
        SupplyPoint last = points.get(points.size() - 1);
        OptionalDouble before = readings.ohmsBefore();
        if (before.isPresent()) {
            return new SupplyFit(points, before.getAsDouble(), new SupplyFinding.GuessedAsBefore(before.getAsDouble()))
                    .fit();
        }
        OptionalDouble peak = sheet.supply().peakVolts(last.mainsRatio());
        double ohms = peak.isPresent() ? (peak.getAsDouble() - last.volts()) / last.amps() : 0;
        if (ohms > 0) {
            return new SupplyFit(points, ohms, new SupplyFinding.GuessedFromPeak(ohms)).fit();
        }
        Rectifier rectifier = sheet.supply().rectifier();
        double usual = usualOhms();
        return new SupplyFit(
                        points,
                        usual,
                        rectifier == Rectifier.UNKNOWN
                                ? new SupplyFinding.GuessedAsUsual(usual)
                                : new SupplyFinding.GuessedAsUsualFor(usual, rectifier))
                .fit();
    }

    /** The same settings with half the resistance; empty where it is measured or as low as a guess can be. */
    public Optional<SupplyLine> halved(SupplyLine line) {
        if (!line.isGuessed() || !(line.resistance() > LEAST_GUESS * usualOhms())) {
            return Optional.empty();
        }
        double ohms = line.resistance() / 2;
        return Optional.of(new SupplyFit(line.used(), ohms, new SupplyFinding.GuessedWithinReach(ohms)).fit());
    }

    /** More tubes hang on bigger transformers: the usual resistance is a pair's. */
    private double usualOhms() {
        return sheet.supply().rectifier().usualOhms()
                * Math.min(MOST_OF_USUAL, 2.0 / sheet.sockets().size());
    }
}
