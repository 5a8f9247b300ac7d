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

    private HumHunt() {}

    /** @param figures of one setting, oldest first; only a recording parts the two */
    public static Optional<ProofFinding> of(List<Measured> figures) {
        return last(figures, ProofKind.HUM)
                .flatMap(hum -> last(figures, ProofKind.RIPPLE)
                        .map(ripple -> ripple > LEADS * hum
                                ? new ProofFinding.MostlyRipple(ripple, hum)
                                : hum > LEADS * ripple
                                        ? new ProofFinding.MostlyMains(hum, ripple)
                                        : new ProofFinding.BothHums(hum, ripple)));
    }

    private static Optional<Double> last(List<Measured> figures, ProofKind kind) {
        return figures.stream()
                .filter(each -> each.kind() == kind && each.recorded())
                .map(each -> each.value().value())
                .reduce((one, later) -> later);
    }
}
