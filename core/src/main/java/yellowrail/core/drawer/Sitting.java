package yellowrail.core.drawer;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.mistake.Creep;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * What a run tells of the tube that sat in one of its sockets: how long it was on, and whether it crept.
 *
 * @param on       time under power
 * @param findings what speaks against the tube, in words
 */
public record Sitting(Duration on, List<String> findings) {

    /**
     * @param readings of the run while the tube sat there, in the order of entry, none struck
     */
    public static Sitting of(AmpSheet sheet, Socket socket, List<Reading> readings) {
        List<String> findings = new ArrayList<>();
        boolean alone = sheet.socketsAt(socket.testPoint()).size() == 1;
        List<Reading> still = new ArrayList<>();
        Duration on = Duration.ZERO;
        Instant since = null;
        for (Reading reading : readings) {
            ReadingKind kind = reading.entry().kind();
            if (kind == ReadingKind.TURN || kind == ReadingKind.POWER_ON || kind == ReadingKind.POWER_OFF) {
                crept(sheet, socket, alone, still, findings);
                still.clear();
            }
            if (kind == ReadingKind.POWER_OFF || kind == ReadingKind.POWER_ON) {
                on = on.plus(between(since, reading.takenAt()));
                since = kind == ReadingKind.POWER_ON ? reading.takenAt() : null;
            }
            still.add(reading);
        }
        crept(sheet, socket, alone, still, findings);
        return new Sitting(readings.isEmpty() ? on : on.plus(between(since, readings.get(readings.size() - 1).takenAt())), findings);
    }

    private static Duration between(Instant since, Instant until) {
        return since == null || until.isBefore(since) ? Duration.ZERO : Duration.between(since, until);
    }

    private static void crept(AmpSheet sheet, Socket socket, boolean alone, List<Reading> still, List<String> findings) {
        if (alone) {
            Creep.in(sheet, still).stream().filter(creep -> creep.point().equals(socket.testPoint())).forEach(creep -> findings.add("crept by %s in %d min while the others stood still"
                    .formatted(Figures.percent(creep.by()), creep.over().toMinutes())));
        }
    }
}
