package yellowrail.core.stage;

/**
 * A stage on a supply that gives way. Screens a little below the plates hang on the same supply behind a resistor or a
 * choke, from which the rest of the amp is fed too: its resistance is what drops that little by both currents, and the
 * screens fall with the plates as well, as if their own supply had just the resistance for that at full drive.
 */
public final class SupplySag {

    /** Of a preamplifier and a phase splitter, where nothing is on the sheet, A. */
    public static final double USUAL_REST = 0.01;

    /** A supply of more gives no stage anything, ohm. */
    public static final double MOST = 10_000;

    /** Of the screens\u2019 own: what they draw more at full drive hardly shows any more. */
    public static final double MOST_SCREENS = 100_000;

    /** Screens farther below have a supply of their own. */
    private static final double NEAR = 0.15;

    private static final int STEPS = 64;
    private static final int ROUNDS = 4;

    private SupplySag() {}

    /**
     * @param stiff the stage on supplies that do not sag
     * @param ohms of the supply; 0 for a stiff one
     * @param restAmps what the rest of the amp draws behind the screens, A
     */
    public static OutputStage of(OutputStage stiff, double ohms, double restAmps) {
        double behind = Math.min(MOST_SCREENS, behind(stiff, restAmps));
        double screens = behind;
        for (int round = 0; round < ROUNDS && ohms > 0 && !stiff.isTapped(); round++) {
            Performance at = new FullDrive(stiff.sagging(ohms, screens), STEPS).compute();
            double more = at.screenAmps() - at.idle().allScreenAmps();
            double fall = ohms * (at.plateAmps() - at.idle().allPlateAmps() + more);
            screens = Math.min(MOST_SCREENS, behind + (more > 0 ? Math.max(0, fall / more) : 0));
        }
        return stiff.sagging(ohms, screens);
    }

    private static double behind(OutputStage stage, double restAmps) {
        double drop = stage.plateVolts() - stage.screenVolts();
        return stage.isTapped() || drop > NEAR * stage.plateVolts()
                ? 0
                : Math.max(0, drop) / (restAmps + Idle.of(stage).allScreenAmps());
    }
}
