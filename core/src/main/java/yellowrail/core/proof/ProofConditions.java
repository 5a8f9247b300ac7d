package yellowrail.core.proof;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Socket;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Occupant;
import yellowrail.core.timeline.Snapshot;

/**
 * What an amp was like while its output was measured.
 *
 * @param idle of one tube, the mean, A; its plus-minus is the largest of theirs; empty where nothing was read
 * @param plateVolts to the cathode, the mean, V
 * @param input of a channel's tubes at idle, W; empty where not all of them were read
 * @param mains V, as read last
 * @param tubes the types that sat in it, each once
 * @param rectifier what made its DC
 */
public record ProofConditions(
        Optional<Estimate> idle,
        OptionalDouble plateVolts,
        OptionalDouble input,
        OptionalDouble mains,
        List<String> tubes,
        Rectifier rectifier) {

    public static ProofConditions of(Snapshot then) {
        List<TubeIdle> tubes = StageIdle.of(then).at(then);
        List<IdleFigures> figures = tubes.stream()
                .filter(TubeIdle::isFresh)
                .flatMap(tube -> tube.figures().stream())
                .toList();
        boolean all = !figures.isEmpty() && figures.size() == tubes.size();
        return new ProofConditions(
                figures.isEmpty() ? Optional.empty() : Optional.of(mean(figures)),
                figures.stream().mapToDouble(tube -> tube.plateVolts().value()).average(),
                all ? OptionalDouble.of(input(figures) / channels(then)) : OptionalDouble.empty(),
                then.moment()
                        .last(ReadingKind.MAINS)
                        .map(Reading::value)
                        .map(OptionalDouble::of)
                        .orElse(OptionalDouble.empty()),
                then.occupants().stream().map(Occupant::name).distinct().toList(),
                then.sheet().supply().rectifier());
    }

    /**
     * Watts of the output for a watt that the tubes take at idle; 1 is all of it. With fixed bias in class AB drive
     * brings more in, so that it is no efficiency at full drive, and may pass 1.
     */
    public OptionalDouble ofInput(double watts) {
        return input.isPresent() ? OptionalDouble.of(watts / input.getAsDouble()) : input;
    }

    private static Estimate mean(List<IdleFigures> figures) {
        return new Estimate(
                figures.stream()
                        .mapToDouble(tube -> tube.cathode().value())
                        .average()
                        .orElseThrow(),
                figures.stream()
                        .mapToDouble(tube -> tube.cathode().plusMinus())
                        .max()
                        .orElseThrow(),
                List.of());
    }

    /** Cathode bias costs its volts of the supply too. */
    private static double input(List<IdleFigures> figures) {
        return figures.stream()
                .mapToDouble(tube -> (tube.plateVolts().value() + tube.cathodeVolts())
                        * tube.cathode().value())
                .sum();
    }

    private static long channels(Snapshot then) {
        return then.sheet().sockets().stream().map(Socket::channel).distinct().count();
    }
}
