package yellowrail.core.part.stress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.part.Fuse;

/** A fuse against what it has to carry and what it is to stop. */
public final class FuseReview {

    private FuseReview() {}

    /**
     * @param fitted the one that is in; empty where that is not known
     * @param carries RMS current it has to carry, A
     */
    public static List<PartRemark> carrying(Optional<Fuse> fitted, double carries) {
        Fuse take = Fuse.carrying(carries);
        if (fitted.isEmpty()) {
            return List.of(new PartRemark.Take(take.amps(), carries));
        }
        Fuse fuse = fitted.get();
        if (!fuse.carries(carries)) {
            return List.of(new PartRemark.FuseTires(fuse.amps(), carries, take.amps()));
        }
        return List.of(
                fuse.amps() > take.amps()
                        ? new PartRemark.FuseTooStrong(fuse.amps(), take.amps())
                        : new PartRemark.FuseHolds(fuse.amps(), carries));
    }

    /** The plate supply's, which is thought to stop a tube that has lost its bias, and mostly does not. */
    public static List<PartRemark> ofPlateSupply(Optional<Fuse> fitted, StageCurrents flows) {
        List<PartRemark> remarks = new ArrayList<>(carrying(fitted, flows.supplyDrive()));
        Fuse fuse = fitted.orElse(Fuse.carrying(flows.supplyDrive()));
        double lost = flows.supplyAtMost();
        remarks.add(
                fuse.opensAt(lost)
                        ? new PartRemark.LostBiasOpens(lost, fuse.amps())
                        : fuse.mayHold(lost)
                                ? new PartRemark.LostBiasDoesNot(lost, fuse.amps())
                                : new PartRemark.LostBiasMayOpen(lost, fuse.amps()));
        return remarks;
    }
}
