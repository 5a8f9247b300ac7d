package yellowrail.core.stage;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/** What a stage does at full drive. Power is that of the fundamental in the load. SI. */
public final class Performance {

    /** A side that carries less than this of its peak counts as cut off. */
    private static final double CUT_OFF = 0.01;
    /** Of the input at rest: what a stage gives at most while both sides carry current all the time. */
    private static final double MOST_OF_IDLE = 0.5;
    /** The output has bent over where its slope has fallen to this part of that in the middle. */
    private static final double BENT = 0.5;

    private final OutputStage stage;
    private final Idle idle;
    private final Cycle cycle;
    private final Signal.Slow slow;
    private final List<Double> harmonics;

    /** What sets the limit first as the drive rises. */
    public enum Limit {
        GRID,
        KNEE,
        CUT_OFF
    }

    /**
     * Where it first clips.
     *
     * @param drive peak drive at that point, V
     * @param watts power into the load there
     */
    public record Clipping(Limit limit, double drive, double watts) {}

    Performance(OutputStage stage, Idle idle, Cycle cycle, Signal.Slow slow) {
        this.stage = stage;
        this.idle = idle;
        this.cycle = cycle;
        this.slow = slow;
        this.harmonics = Harmonics.of(cycle.over(Sample::winding));
    }

    public OutputStage stage() {
        return stage;
    }

    public Idle idle() {
        return idle;
    }

    /** From trough to peak of one tube\u2019s drive. */
    public List<Sample> samples() {
        return List.of(cycle.samples());
    }

    /** Grid to cathode without signal, V; with cathode bias full drive has shifted it. */
    public double gridVolts() {
        return slow.grid();
    }

    /** Peak drive at each grid, V. */
    public double peakDrive() {
        return cycle.peak().drive();
    }

    Signal.Slow slow() {
        return slow;
    }

    /** Supply at the primary to the cathodes, sagged and shifted, V. */
    public double supplyVolts() {
        return slow.plateSupply();
    }

    /** The screens\u2019 own supply to the cathodes, V. */
    public double screenSupplyVolts() {
        return slow.screenSupply();
    }

    public double powerWatts() {
        return watts(harmonics.get(0));
    }

    /** Power into the load at a peak voltage across the winding. */
    private double watts(double winding) {
        double total = stage.totalOhms();
        double across = (stage.isPushPull() ? 2 : 1) * winding * stage.loadOhms() / total;
        return across * across / (2 * stage.loadOhms());
    }

    /** The second to the ninth harmonic over the fundamental, as ratios. */
    public List<Double> harmonics() {
        return harmonics.stream()
                .skip(1)
                .map(amplitude -> harmonics.get(0) == 0 ? 0 : Math.abs(amplitude / harmonics.get(0)))
                .toList();
    }

    /** Root of the squares of the second to the ninth over the fundamental, as a ratio. */
    public double distortion() {
        return Math.sqrt(
                harmonics().stream().mapToDouble(ratio -> ratio * ratio).sum());
    }

    /** Number of the strongest harmonic. */
    public int leadingHarmonic() {
        List<Double> ratios = harmonics();
        int leading = 0;
        for (int i = 1; i < ratios.size(); i++) {
            leading = ratios.get(i) > ratios.get(leading) ? i : leading;
        }
        return leading + 2;
    }

    /** Mean plate current of the whole stage, A. */
    public double plateAmps() {
        return cycle.all(Sample::plateAmps);
    }

    /** Mean screen current of the whole stage, A. */
    public double screenAmps() {
        return cycle.all(Sample::screenAmps);
    }

    /** Root of the mean of the squares of a quantity of the tube in which it is greatest. */
    public double rms(ToDoubleFunction<Sample> quantity) {
        return Math.sqrt(cycle.mean(tube -> Math.pow(quantity.applyAsDouble(tube), 2)));
    }

    /** Mean dissipation of the plate that takes most, W. */
    public double plateWatts() {
        return cycle.mean(Sample::plateWatts);
    }

    /** Mean dissipation of the screen that takes most, W. */
    public double screenWatts() {
        return cycle.mean(Sample::screenWatts);
    }

    /** Mean cathode current of the tube that carries most, A. */
    public double cathodeAmps() {
        return cycle.mean(tube -> tube.plateAmps() + tube.screenAmps());
    }

    /** DC left in the core, counted in the half primary, A; single-ended in the primary. */
    public double coreAmps() {
        return cycle.coreAmps();
    }

    public double peakPlateVolts() {
        return cycle.most(Sample::plateVolts);
    }

    /** Of one tube, A. */
    public double peakPlateAmps() {
        return cycle.most(Sample::plateAmps);
    }

    /** Load power over what plates and screens take from their supplies. */
    public double efficiency() {
        return powerWatts() / energy().supplied();
    }

    /** Where what the supplies give ends. */
    public Energy energy() {
        return Energy.of(stage, cycle, slow);
    }

    /**
     * The last moment of the drive at which both sides carry current, and no more is given than a class A stage gives
     * of its input at rest; empty single-ended and where that holds to the end.
     */
    public Optional<Sample> classAEnd() {
        Sample[] samples = cycle.samples();
        int last = samples.length - 1;
        double most = peakPlateAmps();
        double given = MOST_OF_IDLE * stage.plateVolts() * idle.allPlateAmps();
        for (int j = last / 2; stage.isPushPull() && j <= last; j++) {
            double least = Math.min(cycle.against(j).plateAmps(), samples[last - j].plateAmps());
            if (least < CUT_OFF * most || watts(samples[j].winding()) > given) {
                return Optional.of(samples[Math.max(last / 2, j - 1)]);
            }
        }
        return Optional.empty();
    }

    /**
     * The power up to which both sides carry current all the time, W; empty single-ended and where they do to the end.
     */
    public OptionalDouble classAWatts() {
        return classAEnd().map(end -> OptionalDouble.of(watts(end.winding()))).orElse(OptionalDouble.empty());
    }

    /** Where the output first bends over as the drive rises; at the grids\u2019 edge where it does not before. */
    public Clipping clipping() {
        Sample[] samples = cycle.samples();
        int middle = (samples.length - 1) / 2;
        double straight = slope(samples, middle);
        for (int away = 1; away <= middle - 1; away++) {
            Sample up = samples[middle + away];
            if (up.drive() > -slow.grid()) {
                return new Clipping(Limit.GRID, up.drive(), watts(up.winding()));
            }
            if (slope(samples, middle + away) < BENT * straight) {
                return new Clipping(Limit.KNEE, up.drive(), watts(up.winding()));
            }
            Sample down = samples[middle - away];
            if (slope(samples, middle - away - 1) < BENT * straight) {
                return new Clipping(
                        stage.isPushPull() ? Limit.KNEE : Limit.CUT_OFF, -down.drive(), watts(down.winding()));
            }
        }
        return new Clipping(Limit.GRID, peakDrive(), powerWatts());
    }

    private static double slope(Sample[] samples, int at) {
        return (samples[at + 1].winding() - samples[at].winding()) / (samples[at + 1].drive() - samples[at].drive());
    }
}
