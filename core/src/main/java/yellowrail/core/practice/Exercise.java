package yellowrail.core.practice;

import java.util.Arrays;
import java.util.Optional;

/** What is wrong with a practice amp. The number is all that is told before it is marked. */
public enum Exercise {

    NOTHING_WRONG("nothing is wrong: it only wants setting", true, Evidence.A_TURN),
    LEAKY_CAPACITOR("a coupling capacitor leaks: the trouble stays with the socket", false, Evidence.AN_EXCHANGE),
    BALANCE_ONLY("the pot is a balance pot: one side goes up as the other goes down", false, Evidence.A_TURN),
    MAINS_LOW("the mains is low: at the sheet\u2019s voltage it would run hotter", true, Evidence.A_TURN),
    CREEPING_TUBE("one tube creeps: the trouble goes with the tube", false, Evidence.READINGS),
    UNLOADED_VOLTAGE("the plate voltage in the log was taken with the tubes pulled", true, Evidence.A_TURN),
    MISMATCHED_PAIR("the tubes are mismatched", true, Evidence.A_TURN),
    OPEN_POT("the bias pot has lost its wiper: turning it does nothing", false, Evidence.A_TURN),
    SHARED_RESISTOR("one resistor carries both tubes: each reading is the sum", true, Evidence.A_TURN),
    WRONG_DIRECTION("the pot turns the other way than the sheet says", true, Evidence.A_TURN);

    /** What a diagnosis must rest on besides a reading at every test point: without it, it is a guess. */
    enum Evidence {
        READINGS, A_TURN, AN_EXCHANGE
    }

    private final String fault;
    private final boolean settable;
    private final Evidence evidence;

    Exercise(String fault, boolean settable, Evidence evidence) {
        this.fault = fault;
        this.settable = settable;
        this.evidence = evidence;
    }

    Evidence evidence() {
        return evidence;
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
