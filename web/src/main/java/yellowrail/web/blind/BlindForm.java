package yellowrail.web.blind;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.blind.BlindPlan;
import yellowrail.core.blind.WithinRating;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.timeline.Snapshot;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.words.Words;

/** Two to five settings, each with its bias reading as it is typed on a run. */
record BlindForm(Map<String, String> typed) {

    static final int ROWS = BlindPlan.MOST_SETTINGS;
    private static final int LONGEST_NAME = 40;

    public String of(String field) {
        return typed.getOrDefault(field, "");
    }

    /** Of the rows that are filled in; one that is wrong is a fault beside it. */
    List<BlindDocument.Setting> read(Snapshot now, BlindPlan.Kind kind, Faults faults, Words words) {
        FormReader reader = new FormReader(faults);
        List<BlindDocument.Setting> settings = new ArrayList<>();
        for (int row : IntStream.range(0, ROWS).toArray()) {
            String name = reader.words("name" + row, of("name" + row), LONGEST_NAME);
            String line = of("line" + row).strip();
            if (!name.isBlank() || !line.isBlank()) {
                add(settings, row, name, line, now, faults, words);
            }
        }
        int most = kind == BlindPlan.Kind.GUESSES ? BlindPlan.FEWEST_SETTINGS : BlindPlan.MOST_SETTINGS;
        if (!faults.any() && (settings.size() < BlindPlan.FEWEST_SETTINGS || settings.size() > most)) {
            faults.say("name0", "page.blind.how-many", BlindPlan.FEWEST_SETTINGS, most);
        }
        if (settings.stream().map(BlindDocument.Setting::line).distinct().count() < settings.size()) {
            faults.say("line0", "page.blind.alike");
        }
        return settings;
    }

    private static void add(
            List<BlindDocument.Setting> settings,
            int row,
            String name,
            String line,
            Snapshot now,
            Faults faults,
            Words words) {
        try {
            List<Entry> said = line.isEmpty() ? List.of() : new EntryLine(now.sheet()).parse(line);
            if (said.stream().noneMatch(Entry::isCurrent)) {
                faults.say(
                        "line" + row,
                        "page.blind.no-current",
                        now.sheet().testPoints().get(0));
                return;
            }
            Optional<TubeIdle> over = WithinRating.over(said, now);
            if (over.isPresent()) {
                faults.say(
                        "line" + row,
                        "page.blind.over-rating",
                        over.get().socket().label(),
                        Figures.percent(over.get().judgement().ratio()));
                return;
            }
            settings.add(new BlindDocument.Setting(
                    name.isBlank() ? line : name,
                    line,
                    said.stream()
                            .filter(Entry::isCurrent)
                            .mapToDouble(Entry::value)
                            .average()
                            .orElseThrow()));
        } catch (BadEntryException e) {
            faults.add("line" + row, words.say(e.fault()));
        }
    }
}
