package yellowrail.core.practice;

import java.util.Arrays;
import java.util.Optional;

/** What is wrong with a practice amp. The number is all that is told before it is marked. */
public enum Exercise {

    NOTHING_WRONG("nothing is wrong: it only wants setting", true),
    LEAKY_CAPACITOR("a coupling capacitor leaks: the trouble stays with the socket", false),
    BALANCE_ONLY("the pot is a balance pot: one side goes up as the other goes down", false),
    MAINS_LOW("the mains is low: at the sheet\u2019s voltage it would run hotter", true),
    CREEPING_TUBE("one tube creeps: the trouble goes with the tube", false),
    UNLOADED_VOLTAGE("the plate voltage in the log was taken with the tubes pulled", true),
    MISMATCHED_PAIR("the tubes are mismatched", true),
    OPEN_POT("the bias pot has lost its wiper: turning it does nothing", false),
    SHARED_RESISTOR("one resistor carries both tubes: each reading is the sum", true),
    WRONG_DIRECTION("the pot turns the other way than the sheet says", true);

    private final String fault;
    private final boolean settable;

    Exercise(String fault, boolean settable) {
        this.fault = fault;
        this.settable = settable;
    }

    /** What is wrong, in words. */
    public String fault() {
        return fault;
    }

    /** Whether it can be set right with its pot. */
    public boolean isSettable() {
        return settable;
    }

    public static Optional<Exercise> of(String name) {
        return Arrays.stream(values()).filter(exercise -> exercise.name().equals(name)).findFirst();
    }
}
