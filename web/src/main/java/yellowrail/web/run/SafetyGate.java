package yellowrail.web.run;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Safety;
import yellowrail.core.station.SafetyItem;
import yellowrail.web.words.Words;

/** Holds a line until the amp is safe to read. */
@Component
class SafetyGate {

    /** What can be read without a lead inside the chassis, or with the power off. */
    private static final Set<ReadingKind> LIVE = EnumSet.complementOf(EnumSet.of(
            ReadingKind.MAINS,
            ReadingKind.RESISTOR_COLD,
            ReadingKind.DRAINED,
            ReadingKind.TURN,
            ReadingKind.TUBE,
            ReadingKind.SHEET,
            ReadingKind.POWER_ON,
            ReadingKind.POWER_OFF,
            ReadingKind.NOTE,
            ReadingKind.FINDING,
            ReadingKind.MARK,
            ReadingKind.UNDO,
            ReadingKind.TICK));

    private final Words words;

    SafetyGate(Words words) {
        this.words = words;
    }

    /** What makes the amp unsafe to read: nothing live before the safety items are ticked. */
    Optional<EntryOutcome> held(RunProgress progress, Set<String> seenTo, List<Entry> entries, String typed) {
        boolean closed = seenTo.contains(Safety.CLOSED);
        boolean biasOnly = entries.stream().noneMatch(entry -> LIVE.contains(entry.kind()) && !isBias(entry));
        List<SafetyItem> waits = progress.missing().stream()
                .filter(item -> !seenTo.contains(item.id()))
                .filter(item -> item.gate() == SafetyItem.Gate.WITH_BIAS_WORK ? !biasOnly : !closed)
                .toList();
        if (!waits.isEmpty() && entries.stream().anyMatch(entry -> LIVE.contains(entry.kind()))) {
            return Optional.of(new EntryOutcome.Held(typed, waits));
        }
        boolean on = entries.stream().anyMatch(entry -> entry.kind() == ReadingKind.POWER_ON);
        boolean loaded = progress.isTicked(Safety.LOAD)
                || progress.isTicked(Safety.CLOSED)
                || seenTo.contains(Safety.LOAD)
                || seenTo.contains(Safety.CLOSED);
        return on && !loaded
                ? Optional.of(new EntryOutcome.Asked(
                        typed,
                        "",
                        words.message("run.no-load"),
                        List.of(EntryOutcome.Asked.Choice.instead("tick load; " + typed, words)),
                        false))
                : Optional.empty();
    }

    /** What is read with the tubes out after work at the bias supply, so that its items can be ticked. */
    private static boolean isBias(Entry entry) {
        return entry.kind() == ReadingKind.BIAS || entry.kind() == ReadingKind.BIAS_STOP;
    }

    /** What a line waits for, where it cannot be ticked on the spot. */
    String inWords(List<SafetyItem> items) {
        return words.message(
                "run.held",
                words.name(items.get(0).station()),
                items.stream().map(item -> words.say(item.says())).collect(Collectors.joining("; ")));
    }
}
