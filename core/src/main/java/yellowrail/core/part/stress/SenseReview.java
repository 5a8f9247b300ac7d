package yellowrail.core.part.stress;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.part.SenseResistor;

/**
 * A sense resistor as a fuse: it should never open in use, and should have opened before a tube without bias has burnt
 * or the output transformer has.
 */
public final class SenseReview {

    /** Within which it, and the copper, are compared, s. */
    private static final double A_MINUTE = 60;

    private SenseReview() {}

    /** @param flows what flows through it: the cathode current of one tube */
    public static List<PartRemark> of(SenseResistor resistor, StageCurrents flows) {
        List<PartRemark> remarks = new ArrayList<>();
        double burns = resistor.watts(flows.drive());
        if (burns > resistor.ratedWatts()) {
            remarks.add(new PartRemark.SenseOverAtDrive(burns, resistor.ratedWatts()));
        }
        double most = flows.most();
        if (resistor.opensFrom() <= flows.drive()) {
            remarks.add(new PartRemark.SenseOpensInUse(resistor.opensFrom(), flows.drive()));
        } else if (resistor.opensBy() <= most) {
            remarks.add(new PartRemark.SenseOpens(resistor.opensBy(), most));
        } else if (resistor.opensFrom() <= most) {
            remarks.add(new PartRemark.SenseMayOpen(resistor.opensFrom(), resistor.opensBy(), most));
        } else {
            remarks.add(new PartRemark.SenseNeverOpens(resistor.opensFrom(), most));
        }
        if (resistor.kind() != SenseResistor.Kind.FUSIBLE) {
            remarks.add(new PartRemark.NotMadeToOpen());
        }
        OutputCopper copper = new OutputCopper(flows.side());
        double seconds = copper.seconds(flows.sideAtMost());
        remarks.add(
                Double.isInfinite(seconds)
                        ? new PartRemark.CopperBearsForGood(flows.sideAtMost())
                        : new PartRemark.CopperBears(flows.sideAtMost(), seconds));
        if (resistor.opensFrom() > copper.ampsFor(A_MINUTE)) {
            remarks.add(new PartRemark.CopperGoesFirst(resistor.opensFrom(), copper.ampsFor(A_MINUTE)));
        }
        return remarks;
    }
}
