package yellowrail.core.timeline;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.tube.TubeCatalogue;

/**
 * Everything a timeline is made of.
 *
 * @param catalogue the published types and the builder's own
 * @param versions of the amp's sheet, at least one; the last is the one in force
 * @param before what counted before the first of the readings
 * @param readings in the order of entry, none struck
 */
public record Log(TubeCatalogue catalogue, List<SheetVersion> versions, Moment before, List<Reading> readings) {

    public Log {
        versions = List.copyOf(versions);
        readings = List.copyOf(readings);
    }

    public Timeline timeline() {
        return new Timeline(catalogue, versions, before, readings);
    }

    /** The log one reading later. */
    public Log with(Reading reading) {
        List<Reading> all = new ArrayList<>(readings);
        all.add(reading);
        return new Log(catalogue, versions, before, all);
    }

    /** The log with another version of the sheet in force. */
    public Log with(AmpSheet sheet) {
        List<SheetVersion> all = new ArrayList<>(versions);
        all.add(new SheetVersion(newest().number() + 1, sheet));
        return new Log(catalogue, all, before, readings);
    }

    /** The log as it was when no more than these of its readings had been taken, under the sheet of then. */
    public Log only(List<Reading> then) {
        int version = then.isEmpty()
                ? versions.get(0).number()
                : then.get(then.size() - 1).sheet();
        List<SheetVersion> known =
                versions.stream().filter(each -> each.number() <= version).toList();
        return new Log(catalogue, known.isEmpty() ? versions.subList(0, 1) : known, before, then);
    }

    public SheetVersion newest() {
        return versions.get(versions.size() - 1);
    }
}
