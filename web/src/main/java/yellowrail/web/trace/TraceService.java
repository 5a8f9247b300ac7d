package yellowrail.web.trace;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.MeterLink;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.trace.PointSource;
import yellowrail.core.trace.PracticeStand;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.drawer.Kept;
import yellowrail.web.drawer.OwnTubeService;
import yellowrail.web.drawer.PointRow;
import yellowrail.web.drawer.PointService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.meter.ScpiMeter;

/** A tube on the stand. */
@Service
class TraceService {

    private static final int MOST_PRACTICE = 100;

    private final DrawerService drawer;
    private final PointService points;
    private final OwnTubeService own;
    private final ScpiMeter meter;

    TraceService(DrawerService drawer, PointService points, OwnTubeService own, ScpiMeter meter) {
        this.drawer = drawer;
        this.points = points;
        this.own = own;
        this.meter = meter;
    }

    /**
     * A tube with what was read of it.
     *
     * @param type of the catalogue; empty where it lists none of that number
     * @param seed of a made-up tube
     */
    record OnStand(
            Kept kept,
            Optional<TubeType> type,
            Optional<KnownModel> typical,
            Optional<OwnTubeService.Own> own,
            List<PointRow> points,
            OptionalLong seed) {

        List<TracedPoint> counted() {
            return points.stream()
                    .filter(point -> !point.leftOut())
                    .map(PointRow::point)
                    .toList();
        }

        /** What to expect of it. */
        Optional<TubeModel> expected() {
            return own.map(found -> found.model().model()).or(() -> typical.map(KnownModel::model));
        }

        /** Fitted to its own points. */
        Optional<TubeModel> traced() {
            return own.flatMap(OwnTubeService.Own::traced).map(found -> found.model());
        }
    }

    @Transactional(readOnly = true)
    OnStand tube(long id) {
        Kept kept = drawer.tube(id);
        Optional<TubeType> type = drawer.type(kept.tube().type());
        return new OnStand(
                kept,
                type,
                type.flatMap(TubeModels.published()::of),
                own.of(id),
                points.ofTube(id),
                points.practice(id));
    }

    /**
     * What a meter on the network shows.
     *
     * @param sense that the current runs through, ohm; empty where the meter reads amperes
     * @return A
     * @throws yellowrail.web.meter.MeterException if there is no usable answer
     */
    double amps(MeterLink link, OptionalDouble sense) {
        BigDecimal read = meter.read(link, sense.isPresent() ? ScpiMeter.Asks.DC_VOLTS : ScpiMeter.Asks.DC_AMPS);
        return read.doubleValue() / sense.orElse(1);
    }

    /** What the meters of the practice stand show. */
    TracedPoint practice(OnStand tube, TracedPoint at) {
        return new PracticeStand(
                        tube.typical().orElseThrow().model(), tube.seed().orElseThrow())
                .read(at.plate(), at.screen(), at.grid());
    }

    @Transactional
    void keep(long id, List<TracedPoint> read, PointSource by) {
        points.keep(id, read, by);
    }

    @Transactional
    void leave(long id, long point, boolean out) {
        points.leave(id, point, out);
    }

    /**
     * Makes up a tube of the same type, to practise on.
     *
     * @param markings that say what it is
     * @return its number
     */
    @Transactional
    long makePractice(long id, String label, String markings) {
        Kept kept = drawer.tube(id);
        for (int number = 1; number <= MOST_PRACTICE; number++) {
            DrawerTube made = new DrawerTube(
                    kept.tube().type(), label + " " + number, "", markings, Optional.empty(), TubeState.USED, "");
            Optional<Long> added = drawer.add(new DrawerRow(made, Optional.empty(), Map.of()));
            if (added.isPresent()) {
                points.makePractice(
                        added.get(), 1000L * number + kept.tube().type().hashCode());
                return added.get();
            }
        }
        throw new NotFoundException("There are %d practice tubes of %s."
                .formatted(MOST_PRACTICE, kept.tube().type()));
    }
}
