package yellowrail.core.discharge;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.Bank;
import yellowrail.core.capacitor.Discharge;
import yellowrail.core.capacitor.SeriesStack;

/**
 * A capacitor, or a stack of them, at the highest volts it may stand at: its rating, how a stack shares, what bleeders
 * cost, what is stored and how long that lasts.
 *
 * @param bank as it is built
 * @param cold over the whole
 * @param leak how much its capacitors leak
 * @param resistorOhms the builder's own bleeding resistor
 */
public record BankCheck(Bank bank, ColdVolts cold, Leak leak, double resistorOhms) {

    /**
     * Leakage of capacitors of one kind at their rating.
     *
     * @param least of the tightest, A
     * @param most of the leakiest, A
     */
    public record Leak(double least, double most) {

        /** Of electrolytics of some hundred microfarads, some years old. */
        public static final Leak USUAL = new Leak(1e-4, 3e-4);

        public Leak {
            if (!(least > 0) || !(most >= least)) {
                throw new IllegalArgumentException(
                        "leakage runs from least to most, was %s to %s".formatted(least, most));
            }
        }
    }

    /** A bleeding resistor that is neither hot nor slow. */
    public static final double USUAL_RESISTOR = 10e3;

    /** Over the whole, V. */
    public double volts() {
        return cold.volts();
    }

    /** Whether the whole, sharing alike, stands above what it is rated for. */
    public boolean isOver() {
        return Math.abs(volts()) > bank.ratedVolts();
    }

    /** How they share with their bleeders, or without where they have none; empty for a single one. */
    public Optional<SeriesStack> stack() {
        return stack(bank.bleederOhms());
    }

    /** The same without any bleeders. */
    public Optional<SeriesStack> bare() {
        return stack(OptionalDouble.empty());
    }

    private Optional<SeriesStack> stack(OptionalDouble bleeder) {
        return bank.inSeries() < 2
                ? Optional.empty()
                : Optional.of(new SeriesStack(
                        bank.inSeries(), bank.farads(), bank.volts(), leak.least(), leak.most(), bleeder));
    }

    /** What is stored, J. */
    public double joules() {
        return bank.wholeFarads() * volts() * volts() / 2;
    }

    /** Until its own bleeders have it under 5 V, s; empty without them. */
    public OptionalDouble secondsByBleeders() {
        return bank.wholeBleeder().isPresent()
                ? OptionalDouble.of(seconds(bank.wholeBleeder().getAsDouble()))
                : OptionalDouble.empty();
    }

    /** Until the builder's resistor has it under 5 V, s. */
    public double secondsByResistor() {
        return seconds(resistorOhms);
    }

    private double seconds(double ohms) {
        return Discharge.seconds(bank.wholeFarads(), ohms, Math.abs(volts()), DischargeWalk.SAFE);
    }

    /** What that resistor burns in the first moment, W. */
    public double resistorWatts() {
        return volts() * volts() / resistorOhms;
    }
}
