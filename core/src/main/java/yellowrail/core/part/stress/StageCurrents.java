package yellowrail.core.part.stress;

import yellowrail.core.stage.Performance;
import yellowrail.core.stage.Sample;

/**
 * What flows in one channel's output stage, of which the parts about it have to bear the most. SI.
 *
 * @param driven the stage at full drive
 * @param channels alike, on one supply
 * @param others what else the plate supply feeds, A
 */
public record StageCurrents(Performance driven, int channels, double others) {

    /** Cathode current of a tube at rest, A. */
    public double idle() {
        return driven.idle().plateAmps() + driven.idle().screenAmps();
    }

    /** The same at full drive, RMS, A. */
    public double drive() {
        return driven.rms(tube -> tube.plateAmps() + tube.screenAmps());
    }

    /** What a tube draws that has lost its bias, its plate and screen held at their idle volts, A. */
    public double most() {
        return driven.stage()
                .model()
                .cathodeCurrent(driven.stage().plateVolts(), driven.stage().screenVolts(), 0);
    }

    /** Of one half of the primary at full drive, RMS, A; single-ended of the primary. */
    public double side() {
        return driven.stage().tubesPerSide() * driven.rms(Sample::plateAmps);
    }

    /** The same with one of its tubes at its most and the others at rest, A. */
    public double sideAtMost() {
        return most() + (driven.stage().tubesPerSide() - 1) * driven.idle().plateAmps();
    }

    /** From the plate supply at rest, all channels, A. */
    public double supplyIdle() {
        return channels * driven.stage().tubes() * idle() + others;
    }

    /** The same with every channel at full drive, mean, A. */
    public double supplyDrive() {
        return channels * (driven.plateAmps() + driven.screenAmps()) + others;
    }

    /** The same at rest with one tube that has lost its bias, A. */
    public double supplyAtMost() {
        return supplyIdle() - idle() + most();
    }
}
