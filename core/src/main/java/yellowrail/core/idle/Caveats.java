package yellowrail.core.idle;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeType;

/** What an honest colleague would add to a figure because of how and when it was read. */
final class Caveats {

    /** Readings further apart than this may belong to different states of the amp. */
    private static final Duration TOGETHER = Duration.ofMinutes(5);
    /** Mains off by more than this from the amp's reference makes a difference worth saying: 5 % of dissipation. */
    private static final double MAINS_MATTERS = 0.02;

    private final AmpSheet sheet;
    private final TubeType type;

    Caveats(AmpSheet sheet, TubeType type) {
        this.sheet = sheet;
        this.type = type;
    }

    /** What the circumstances of the readings add. */
    List<String> circumstances(Moment moment, Reading current, Reading plate) {
        List<String> caveats = new ArrayList<>();
        Duration apart = Duration.between(current.takenAt(), plate.takenAt()).abs();
        if (apart.compareTo(TOGETHER) > 0) {
            caveats.add("Current and plate voltage were read %d min apart; read them together.".formatted(apart.toMinutes()));
        }
        moment.last(ReadingKind.MAINS).filter(mains -> Math.abs(mains.value() / sheet.mainsVolts() - 1) > MAINS_MATTERS)
                .ifPresent(mains -> caveats.add("Mains read %s, the amp is set at %s: the figures belong to the mains as read.".formatted(
                        Figures.volts(mains.value()), Figures.volts(sheet.mainsVolts()))));
        if (sheet.screen().connection() == ScreenSense.Connection.TRIODE && sheet.screen().way() != ScreenSense.Way.NOT_DEDUCTED
                && !type.isTriode()) {
            caveats.add("Triode connection: the screen works at plate voltage and its watts come on top; not deducting it is the cautious figure.");
        }
        return caveats;
    }

    /** What the way of reading cannot show. */
    List<String> hidden(Socket socket) {
        List<String> caveats = new ArrayList<>();
        CurrentSense sense = sheet.current();
        int shared = sheet.socketsAt(socket.testPoint()).size();
        boolean averageOnly = shared > 1;
        if (averageOnly) {
            caveats.add("An average of %d tubes at %s: it hides %s.".formatted(shared, socket.testPoint(),
                    sense.method().hides().isBlank() ? "the mismatch between them" : sense.method().hides()));
        } else if (sense.method() == CurrentMethod.PANEL_METER) {
            caveats.add("A panel meter hides its own error.");
        }
        if (sense.method() == CurrentMethod.SUPPLY_DROP && sense.otherAmps().isEmpty()) {
            caveats.add("The supply current includes everything else it feeds: the tubes draw less than this figure.");
        }
        if (sense.method() == CurrentMethod.HALF_PRIMARY && sense.copperHot().isEmpty()) {
            caveats.add("Copper rises 0.39 % per kelvin: a winding 25 K warmer than when measured means 8.9 % less current.");
        }
        return caveats;
    }
}
