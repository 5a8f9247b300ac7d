package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import yellowrail.core.finding.Shown;
import yellowrail.core.proof.ByHand;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ProofLine;
import yellowrail.core.reading.ProofLine.Figure;
import yellowrail.core.reading.ProofLine.Role;
import yellowrail.core.reading.ProofLine.What;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Occupant;

/** What comes out of an amp and cannot. */
final class OutputMistakes {

    /** Watts out for a watt of plate rating: ideal class B makes 3.7 of a sine, and no amp is ideal. */
    private static final double MOST = 4;
    /** An amp that hums so is broken, V. */
    private static final double MUCH_HUM = 0.3;

    /** RMS of a sine for a volt from its top to its bottom. */
    private static final double PEAK_TO_PEAK = Math.sqrt(0.125);

    private OutputMistakes() {}

    /** Watts that the tubes' plates do not stand for: a unit or a point slipped, or peaks were taken for RMS. */
    static Optional<Question> moreThanTheStage(Entry entry, Situation now) {
        Optional<ProofLine> line =
                ProofLine.of(entry).filter(said -> said.what() == What.CLIPS || said.what() == What.OUT);
        double rated = now.stage().occupants().stream()
                .map(Occupant::rating)
                .flatMap(Optional::stream)
                .mapToDouble(rating -> rating.plateWatts())
                .sum();
        if (line.isEmpty() || line.get().figure(Role.OUTPUT).isEmpty() || rated == 0) {
            return Optional.empty();
        }
        List<ByHand> all = ByHand.all(Stream.concat(now.everything().stream(), Stream.of(now.read(entry)))
                .toList());
        ByHand read = all.get(all.size() - 1);
        if (read.load().isEmpty()) {
            return Optional.empty();
        }
        double ohms = read.load().get().value();
        double volts = line.get().figure(Role.OUTPUT).get().value();
        DoublePredicate plausible = rms -> rms * rms / ohms <= MOST * rated;
        return plausible.test(volts)
                ? Optional.empty()
                : Optional.of(Situation.ask(
                        entry,
                        new MistakeFinding.MoreThanTheStage(
                                Shown.of(Unit.VOLT, volts), ohms, volts * volts / ohms, MOST * rated),
                        slipped(line.get(), plausible, PEAK_TO_PEAK, 0.1)));
    }

    static Optional<Question> muchHum(Entry entry, Situation now) {
        return ProofLine.of(entry)
                .filter(line -> line.what() == What.HUM || line.what() == What.NOISE)
                .filter(line -> line.figure(Role.OUTPUT).orElseThrow().value() > MUCH_HUM)
                .map(line -> Situation.ask(
                        entry,
                        new MistakeFinding.MuchHum(Shown.of(
                                Unit.VOLT, line.figure(Role.OUTPUT).get().value())),
                        slipped(line, rms -> rms <= MUCH_HUM, 1e-3, 0.1)));
    }

    /** What may have been meant; not of a scope's picture, whose digits are not those of the volts. */
    private static List<List<Entry>> slipped(ProofLine line, DoublePredicate plausible, double... slips) {
        Figure figure = line.figure(Role.OUTPUT).orElseThrow();
        return line.scope()
                ? List.of()
                : DoubleStream.of(slips)
                        .filter(slip -> plausible.test(slip * figure.value()))
                        .mapToObj(slip -> List.of(Situation.words(
                                ReadingKind.PROOF,
                                line.with(Role.OUTPUT, figure.times(slip)).words())))
                        .toList();
    }
}
