package yellowrail.web.prove;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.proof.ByCard;
import yellowrail.core.proof.Measured;
import yellowrail.core.tone.CardScale;
import yellowrail.web.prove.ProveService.Kept;

/** Kept recordings as the core takes them. */
final class HeardFigures {

    private HeardFigures() {}

    /** What they answer of the questions of a proof. */
    static List<Measured> of(List<Kept> recordings, Optional<CardScale> card) {
        return recordings.stream()
                .flatMap(kept -> heard(kept).figures(known(kept, card)).stream())
                .toList();
    }

    static ByCard.Known known(Kept kept, Optional<CardScale> card) {
        return new ByCard.Known(
                card.map(scale -> OptionalDouble.of(scale.volts())).orElse(OptionalDouble.empty()),
                optional(kept.heard().loadOhms()),
                kept.heard().mainsHertz(),
                kept.heard().highHertz(),
                kept.at().toInstant());
    }

    static ByCard heard(Kept kept) {
        HeardDocument.Figures figures = kept.figures();
        return new ByCard(
                figures.hertz(),
                figures.level(),
                figures.distortion(),
                figures.distortionAndNoise(),
                optional(figures.intermodulation()),
                optional(figures.hum()),
                optional(figures.ripple()),
                figures.noise(),
                figures.steps().stream()
                        .map(step -> new ByCard.Step(
                                step.hertz(),
                                step.level(),
                                step.distortion(),
                                optional(step.roundness()),
                                optional(step.second()),
                                optional(step.third())))
                        .toList());
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
