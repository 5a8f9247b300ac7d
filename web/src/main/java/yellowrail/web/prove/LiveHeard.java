package yellowrail.web.prove;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import yellowrail.core.proof.ByCard;
import yellowrail.core.proof.Climb;
import yellowrail.core.tone.Tone;

/**
 * The newest of a recording that goes on: its first channel with a tone.
 *
 * @param fullScale peak V at the amp; empty where nobody told
 * @param load ohm; empty where it was not told
 */
record LiveHeard(double[] samples, int perSecond, Optional<Tone> tone, OptionalDouble fullScale, OptionalDouble load) {

    static LiveHeard of(ProveService.Measured measured, OptionalDouble fullScale, OptionalDouble load) {
        int channel = IntStream.range(0, measured.channels().size())
                .filter(i -> measured.channels().get(i).outcome().tone().isPresent())
                .findFirst()
                .orElse(0);
        return new LiveHeard(
                measured.sound().channels().get(channel),
                measured.sound().hertz(),
                measured.channels().get(channel).outcome().tone(),
                fullScale,
                load);
    }

    OptionalDouble watts() {
        return tone.map(each -> ByCard.watts(each.fundamental().rms(), fullScale, load))
                .orElse(OptionalDouble.empty());
    }

    /** @param level of the test tone while it was heard, dB */
    Climb.Heard at(double level, Climb climb) {
        double peak = Arrays.stream(samples).map(Math::abs).max().orElse(0);
        return climb.heard(level, tone, watts(), peak);
    }
}
