package yellowrail.core.stage;

/**
 * Where what the supplies give ends, means over the cycle, W: {@code supplied} is the sum of all others. The cathode
 * resistor’s part is not in it, for the supplies are counted to the cathodes.
 *
 * @param supplied by the plate and screen supplies
 * @param load all of what reaches it, harmonics and all
 * @param copper of both windings
 * @param plates of all tubes
 * @param screens of all tubes
 * @param stoppers of all tubes
 */
public record Energy(double supplied, double load, double copper, double plates, double screens, double stoppers) {

    static Energy of(OutputStage stage, Cycle cycle, Signal.Slow slow) {
        double own = stage.isTapped() ? 0 : slow.screenSupply() * cycle.all(Sample::screenAmps);
        double turns = stage.isPushPull() ? 2 : 1;
        double across = Harmonics.mean(cycle.over(sample -> Math.pow(turns * sample.winding(), 2)));
        double output = across / stage.totalOhms();
        double perSide = stage.losses().primary() * stage.tubesPerSide();
        return new Energy(
                slow.plateSupply() * cycle.all(stage::throughPrimary) + own,
                output * stage.loadOhms() / stage.totalOhms(),
                output * stage.losses().secondary() / stage.totalOhms()
                        + cycle.all(tube -> perSide * Math.pow(stage.throughPrimary(tube), 2)),
                cycle.all(tube -> tube.plateVolts() * tube.plateAmps()),
                cycle.all(Sample::screenWatts),
                cycle.all(tube -> stage.losses().stopper() * Math.pow(tube.screenAmps(), 2)));
    }
}
