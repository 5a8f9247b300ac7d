package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.proof.Measured;
import yellowrail.core.proof.Measured.Conditions;
import yellowrail.core.proof.ProofKind;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.tone.CardScale;
import yellowrail.web.prove.ProveService.Kept;

/** What a recording answers of the questions of a proof. */
final class HeardFigures {

    /** A meter tells full scale by so much of itself. */
    private static final double METER = 0.01;
    /** The fit, of itself; the study of the proof measures less. */
    private static final double FIT = 0.01;
    /** Less than it is no tone that was played, where it lies on a multiple of the mains, W. */
    private static final double PLAYED = 0.05;

    private static final double ON_THE_MAINS = 0.005;

    private HeardFigures() {}

    static List<Measured> of(List<Kept> recordings, Optional<CardScale> card) {
        return recordings.stream().flatMap(kept -> of(kept, card).stream()).toList();
    }

    private static List<Measured> of(Kept kept, Optional<CardScale> card) {
        HeardDocument heard = kept.heard();
        HeardDocument.Figures figures = kept.figures();
        OptionalDouble none = OptionalDouble.empty();
        OptionalDouble load = heard.loadOhms() == null ? none : OptionalDouble.of(heard.loadOhms());
        OptionalDouble volts = card.map(scale -> OptionalDouble.of(scale.volts() * figures.level()))
                .orElse(none);
        OptionalDouble watts = volts.isPresent() && load.isPresent()
                ? OptionalDouble.of(volts.getAsDouble() * volts.getAsDouble() / load.getAsDouble())
                : none;
        OptionalDouble band = OptionalDouble.of(heard.highHertz());
        Conditions tone = new Conditions(load, OptionalDouble.of(figures.hertz()), watts, band, none);
        Conditions quiet = new Conditions(load, none, none, band, none);
        double multiple = figures.hertz() / heard.mainsHertz();
        boolean onTheMains = Math.abs(multiple - Math.rint(multiple)) < ON_THE_MAINS * multiple && multiple < 2.5;
        List<Measured> all = new ArrayList<>();
        if (onTheMains && watts.orElse(1) < PLAYED) {
            volts.ifPresent(rms -> all.add(
                    heard(kept, Math.rint(multiple) == 1 ? ProofKind.HUM : ProofKind.RIPPLE, rms, METER, quiet)));
        } else if (figures.intermodulation() != null) {
            all.add(heard(kept, ProofKind.INTERMODULATION, figures.intermodulation(), FIT, tone));
        } else {
            all.add(heard(kept, ProofKind.DISTORTION, figures.distortion(), FIT, tone));
            all.add(heard(kept, ProofKind.DISTORTION_AND_NOISE, figures.distortionAndNoise(), FIT, tone));
        }
        card.map(CardScale::volts).ifPresent(full -> {
            if (figures.hum() != null) {
                all.add(heard(kept, ProofKind.HUM, full * figures.hum(), METER, quiet));
            }
            if (figures.ripple() != null) {
                all.add(heard(kept, ProofKind.RIPPLE, full * figures.ripple(), METER, quiet));
            }
            all.add(heard(kept, ProofKind.NOISE, full * figures.noise(), METER, quiet));
        });
        return all;
    }

    private static Measured heard(Kept kept, ProofKind kind, double value, double part, Conditions at) {
        return new Measured(
                kind,
                new Estimate(value, part * value, List.of()),
                at,
                kept.at().toInstant(),
                true);
    }
}
