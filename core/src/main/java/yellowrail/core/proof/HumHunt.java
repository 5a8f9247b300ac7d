package yellowrail.core.proof;

import java.util.List;
import java.util.Optional;

/**
 * Where hum comes from, by what of it leads: rectified supplies leave twice the mains' frequency, which the sides of a
 * push-pull stage cancel as far as they are alike; heaters, wiring and a half-wave bias supply leave the mains' own.
 */
public final class HumHunt {

    /** So much stronger leads. */
    private static final double LEADS = 2;

    /** Less is no cause to hunt, V RMS at the load. */
    private static final double QUIET = 1e-3;

    private HumHunt() {}

    /**
     * @param figures of one setting, oldest first; only a recording parts the two
     * @return empty where that is not known, or both are quiet
     */
    public static Optional<ProofFinding> of(List<Measured> figures) {
        Optional<Double> hum = last(figures, ProofKind.HUM);
        Optional<Double> ripple = last(figures, ProofKind.RIPPLE);
        return hum.isEmpty() || ripple.isEmpty() || Math.max(hum.get(), ripple.get()) < QUIET
                ? Optional.empty()
                : Optional.of(told(hum.get(), ripple.get()));
    }

    private static ProofFinding told(double hum, double ripple) {
        if (ripple > LEADS * hum) {
            return new ProofFinding.MostlyRipple(ripple, hum);
        }
        return hum > LEADS * ripple
                ? new ProofFinding.MostlyMains(hum, ripple)
                : new ProofFinding.BothHums(hum, ripple);
    }

    private static Optional<Double> last(List<Measured> figures, ProofKind kind) {
        return figures.stream()
                .filter(each -> each.kind() == kind && each.recorded())
                .map(each -> each.value().value())
                .reduce((one, later) -> later);
    }
}
