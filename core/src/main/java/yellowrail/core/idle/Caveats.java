package yellowrail.core.idle;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
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
    /** One of several tubes on a test point may draw this much more than their average, as a ratio. */
    static final double ONE_MORE = 0.10;

    private final AmpSheet sheet;
    private final TubeType type;

    Caveats(AmpSheet sheet, TubeType type) {
        this.sheet = sheet;
        this.type = type;
    }

    /** What the circumstances of the readings add. */
    List<IdleFinding> circumstances(Moment moment, Reading current, Reading plate) {
        List<IdleFinding> caveats = new ArrayList<>();
        Duration apart = Duration.between(current.takenAt(), plate.takenAt()).abs();
        if (apart.compareTo(TOGETHER) > 0) {
            caveats.add(new IdleFinding.ReadApart(apart.toMinutes()));
        }
        moment.last(ReadingKind.MAINS)
                .filter(mains -> Math.abs(mains.value() / sheet.mainsVolts() - 1) > MAINS_MATTERS)
                .ifPresent(mains -> caveats.add(new IdleFinding.OtherMains(mains.value(), sheet.mainsVolts())));
        if (sheet.screen().connection() == ScreenSense.Connection.TRIODE
                && sheet.screen().way() != ScreenSense.Way.NOT_DEDUCTED
                && !type.isTriode()) {
            caveats.add(new IdleFinding.TriodeScreens());
        }
        return caveats;
    }

    /** What the way of reading cannot show; for an average also what one tube of it may do. */
    List<IdleFinding> hidden(Socket socket, Optional<Double> ratio, Optional<Double> edge) {
        List<IdleFinding> caveats = new ArrayList<>();
        CurrentSense sense = sheet.current();
        int shared = sheet.socketsAt(socket.testPoint()).size();
        if (shared > 1) {
            ratio.map(average -> average * (1 + ONE_MORE))
                    .ifPresent(more -> caveats.add(
                            edge.isPresent() && more > edge.get()
                                    ? new IdleFinding.OneMayBeHot(more, edge.get())
                                    : new IdleFinding.OneDrawsMore(more)));
            caveats.add(new IdleFinding.Average(shared, socket.testPoint(), IdleFinding.hides(sense.method())));
        } else if (sense.method() == CurrentMethod.PANEL_METER) {
            caveats.add(new IdleFinding.PanelMeterHides());
        }
        if (sense.method() == CurrentMethod.SUPPLY_DROP && sense.otherAmps().isEmpty()) {
            caveats.add(new IdleFinding.SupplyIncludesAll());
        }
        if (sense.method() == CurrentMethod.HALF_PRIMARY && sense.copperHot().isEmpty()) {
            caveats.add(new IdleFinding.CopperWarms());
        }
        return caveats;
    }
}
