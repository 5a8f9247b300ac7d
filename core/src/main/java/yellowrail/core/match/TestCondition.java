package yellowrail.core.match;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/**
 * The voltages at which a tube was tested, or the setting of a tester that does not tell them. Figures of different
 * conditions are never mixed; between nearby ones the type's model converts: made to pass through the figure at its own
 * condition, it tells the figure at the other.
 *
 * @param plate V
 * @param screen V; the plate's in triode connection or for a triode
 * @param grid V, negative; empty where the tester does not tell it, which then fits only its like
 * @param setting of a tester with a scale of its own, in the builder's words; then it has no volts, and fits only its
 *     like
 */
public record TestCondition(double plate, double screen, OptionalDouble grid, String setting) {

    /** Two settings of one knob. */
    private static final double SAME = 0.01;
    /** As far as a fitted model is trusted to carry a figure. */
    private static final double NEARBY = 0.20;

    /** Volts that the tester tells. */
    public TestCondition(double plate, double screen, OptionalDouble grid) {
        this(plate, screen, grid, "");
    }

    /** The setting of a tester that tells no volts. */
    public static TestCondition at(String setting) {
        return new TestCondition(0, 0, OptionalDouble.empty(), setting);
    }

    public boolean isOwnScale() {
        return !setting.isEmpty();
    }

    /** A figure at another condition than its own. */
    public record Converted(double amps, OptionalDouble transconductance) {}

    public boolean isSame(TestCondition other) {
        return within(other, SAME);
    }

    /** Whether the model may convert between the two. */
    public boolean isNearby(TestCondition other) {
        return within(other, NEARBY) && grid.isPresent() && other.grid.isPresent();
    }

    private boolean within(TestCondition other, double ratio) {
        boolean grids = grid.isPresent() == other.grid.isPresent()
                && (grid.isEmpty() || near(grid.getAsDouble(), other.grid.getAsDouble(), ratio));
        return near(plate, other.plate, ratio)
                && near(screen, other.screen, ratio)
                && grids
                && (setting.equals(other.setting) || called(setting).equals(called(other.setting)));
    }

    /** As spoken: capitals and blanks make no other setting. */
    private static String called(String setting) {
        return setting.toLowerCase(Locale.ROOT).replaceAll("\\s+", "");
    }

    private static boolean near(double one, double other, double ratio) {
        return Math.abs(one - other) <= ratio * Math.max(Math.abs(one), Math.abs(other));
    }

    /** @return what a tube that showed these figures here would show there; empty if not nearby or without a model */
    public Optional<Converted> convert(
            TubeType type, double amps, OptionalDouble transconductance, TestCondition there) {
        if (isSame(there)) {
            return Optional.of(new Converted(amps, transconductance));
        }
        if (!isNearby(there)) {
            return Optional.empty();
        }
        return TubeModels.published().of(type).map(known -> {
            TubeModel model = known.model();
            double amount = model.plateCurrent(there.plate, there.screen, there.grid.getAsDouble())
                    / model.plateCurrent(plate, screen, grid.getAsDouble());
            double steepness = model.transconductance(there.plate, there.screen, there.grid.getAsDouble())
                    / model.transconductance(plate, screen, grid.getAsDouble());
            return new Converted(
                    amps * amount,
                    transconductance.isPresent()
                            ? OptionalDouble.of(transconductance.getAsDouble() * steepness)
                            : OptionalDouble.empty());
        });
    }

    public MatchFinding told() {
        if (isOwnScale()) {
            return new MatchFinding.TesterSetting(setting);
        }
        return grid.isPresent()
                ? new MatchFinding.Condition(plate, screen, grid.getAsDouble())
                : new MatchFinding.ConditionWithoutGrid(plate, screen);
    }
}
