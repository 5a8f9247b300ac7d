package yellowrail.web.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yellowrail.core.practice.Bench;
import yellowrail.core.practice.BenchState;
import yellowrail.core.practice.Exercise;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;
import yellowrail.web.words.Words;

/** The practice bench as it is shown. */
record PracticeView(
        long runId,
        boolean on,
        String reading,
        String where,
        String clock,
        List<Probe> probes,
        List<Knob> knobs,
        List<String> plates,
        String says,
        List<Diagnosis> diagnoses,
        MarkingDocument marking) {

    /** A place for the lead; {@code placed} where it is now. */
    record Probe(String name, boolean placed) {}

    /** A pot with its position, 0 to 100 clockwise. */
    record Knob(int number, String name, int position) {}

    /** What may be said to be wrong. */
    record Diagnosis(String value, String text) {}

    static PracticeView of(PracticeService.Done done, MarkingDocument marking, Words words) {
        Bench bench = done.bench();
        BenchState state = bench.state();
        List<Knob> knobs = IntStream.range(0, state.pots().size())
                .mapToObj(i -> new Knob(i, bench.sheet().pots().get(i).name(), (int)
                        Math.round(100 * state.pots().get(i))))
                .toList();
        List<String> plates = new ArrayList<>();
        for (int i = 0; i < state.heat().size(); i++) {
            String label = bench.sheet().sockets().get(i).label();
            if (bench.isDead(i)) {
                plates.add(words.message("page.practice.dead", label));
            } else if (bench.glows(i)) {
                plates.add(words.message("page.practice.glows", label));
            }
        }
        return new PracticeView(
                done.row().runId(),
                bench.isOn(),
                state.probe().isBlank() ? "\u2013" : shown(bench.read(state.probe())),
                state.probe(),
                String.format(Locale.ROOT, "%d:%02d", (long) state.seconds() / 60, (long) state.seconds() % 60),
                bench.probes().stream()
                        .map(probe -> new Probe(probe, probe.equals(state.probe())))
                        .toList(),
                knobs,
                plates,
                done.says(),
                Stream.of(Exercise.values())
                        .map(Exercise::diagnosis)
                        .distinct()
                        .map(exercise -> new Diagnosis(exercise.name(), words.name(exercise)))
                        .sorted((one, other) -> one.text().compareTo(other.text()))
                        .toList(),
                marking);
    }

    private static String shown(Entry entry) {
        if (entry.kind() == ReadingKind.SENSE_VOLTS) {
            return Figures.toTurnTo(Unit.MILLIVOLT, entry.value());
        }
        return entry.kind() == ReadingKind.HEATER
                ? Figures.fixed(entry.value(), 2) + " V"
                : Figures.volts(entry.value());
    }
}
