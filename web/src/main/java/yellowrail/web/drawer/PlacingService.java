package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.drawer.Comparison;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Fill;
import yellowrail.core.match.Placing;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeType;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;
import yellowrail.web.words.Words;

/** Finds the best seating of an amp and, when it is done, seats the tubes and logs it. */
@Service
class PlacingService {

    private final DrawerService drawer;
    private final SeatService seats;
    private final AmpService amps;
    private final RunService runs;
    private final RunEntries entries;
    private final Words words;

    PlacingService(
            DrawerService drawer,
            SeatService seats,
            AmpService amps,
            RunService runs,
            RunEntries entries,
            Words words) {
        this.drawer = drawer;
        this.seats = seats;
        this.amps = amps;
        this.runs = runs;
        this.entries = entries;
        this.words = words;
    }

    /**
     * What is proposed.
     *
     * @param placing empty where it cannot be computed; {@code basis} says why then
     * @param basis what the currents are
     * @param known the drawer's number of each tube by its label; none for tubes that are not of the drawer
     * @param unnamed the socket of each that is not, by its label
     * @param isNew whether these tubes are not yet in the amp
     * @param current what their figures are
     */
    record Proposal(
            Optional<Placing> placing,
            String basis,
            Map<String, Kept> known,
            Map<String, String> unnamed,
            boolean isNew,
            TesterReading.Current current) {

        static Proposal none(String why) {
            return new Proposal(Optional.empty(), why, Map.of(), Map.of(), false, TesterReading.Current.PLATE);
        }
    }

    /** What came of it: the run it was logged on, or why it was not done. */
    record Outcome(long run, String fault) {}

    Amp amp(long id) {
        return amps.newest(id);
    }

    /**
     * @param tubes of the drawer, of which the nearest to one another are taken; none for those that sit in the amp now
     */
    @Transactional(readOnly = true)
    Proposal propose(Amp amp, List<Long> tubes) {
        return tubes.isEmpty() ? present(amp) : fromDrawer(amp, tubes);
    }

    /** The tubes in the amp, by what was read in it; where the drawer knows them they have their names. */
    private Proposal present(Amp amp) {
        AmpSheet sheet = amp.sheet();
        List<TubeIdle> idles = runs.lastKnown(amp).tubes();
        boolean each = sheet.testPoints().size() == sheet.sockets().size();
        if (!each
                || idles.isEmpty()
                || idles.stream().anyMatch(tube -> tube.figures().isEmpty())) {
            return Proposal.none(words.message(each ? "page.placing.read-each" : "page.placing.shared-point"));
        }
        Map<String, Seat> seated =
                seats.ofAmp(amp.id()).stream().collect(Collectors.toMap(Seat::socket, Function.identity()));
        Map<Long, Kept> ofSeats = drawer
                .tubes(seated.values().stream().map(Seat::tubeId).toList())
                .stream()
                .collect(Collectors.toMap(Kept::id, Function.identity()));
        List<Candidate> candidates = new ArrayList<>();
        Map<String, Kept> known = new LinkedHashMap<>();
        Map<String, String> unnamed = new LinkedHashMap<>();
        for (TubeIdle idle : idles) {
            Seat seat = seated.get(idle.socket().label());
            String label = seat == null
                    ? words.message("page.placing.tube-of", idle.socket().label())
                    : seat.label();
            candidates.add(Candidate.of(
                    label, idle.figures().orElseThrow().plateCurrent().value()));
            if (seat == null) {
                unnamed.put(label, idle.socket().label());
            } else {
                known.put(label, ofSeats.get(seat.tubeId()));
            }
        }
        return new Proposal(
                Optional.of(new Placing(candidates, sheet.sockets())),
                words.message("page.placing.as-read-last"),
                known,
                unnamed,
                false,
                TesterReading.Current.PLATE);
    }

    private Proposal fromDrawer(Amp amp, List<Long> tubes) {
        Map<Long, Kept> found = drawer.tubes(tubes).stream().collect(Collectors.toMap(Kept::id, Function.identity()));
        if (found.size() < tubes.size()) {
            throw new NotFoundException("Not all of the tubes %s are in the drawer.".formatted(tubes));
        }
        List<Kept> kept = tubes.stream().map(found::get).toList();
        AmpSheet sheet = amp.sheet();
        int wanted = sheet.sockets().size();
        if (kept.size() < wanted) {
            return Proposal.none(words.message("page.placing.as-many", kept.size(), wanted));
        }
        Optional<TubeType> type = drawer.type(kept.get(0).tube().type());
        if (type.isEmpty()
                || kept.stream()
                        .anyMatch(tube -> !tube.tube().type().equals(type.get().name()))) {
            return Proposal.none(words.message("page.placing.other-types"));
        }
        Comparison comparison =
                Comparison.of(type.get(), kept.stream().map(Kept::tested).toList());
        if (comparison.candidates().size() < wanted) {
            return Proposal.none(words.message(
                    "page.placing.not-comparable",
                    comparison.leftOut().entrySet().stream()
                            .map(left -> left.getKey() + " " + words.say(left.getValue()))
                            .collect(Collectors.joining("; "))));
        }
        List<Candidate> chosen =
                kept.size() == wanted ? comparison.candidates() : Fill.of(comparison.candidates(), sheet.sockets());
        Map<String, Kept> known = new LinkedHashMap<>();
        kept.forEach(tube -> known.put(tube.tube().label(), tube));
        String other = type.get().name().equals(sheet.tubeType())
                ? ""
                : " "
                        + words.message(
                                "page.placing.swap-first",
                                sheet.tubeType(),
                                type.get().name());
        return new Proposal(
                Optional.of(new Placing(chosen, sheet.sockets())),
                words.message(
                                "page.placing.by-test",
                                words.name(comparison.current()),
                                words.say(comparison.condition().orElseThrow().told()))
                        + (kept.size() == wanted
                                ? ""
                                : " " + words.message("page.placing.nearest", wanted, kept.size()))
                        + other,
                known,
                Map.of(),
                true,
                comparison.current());
    }

    /** Seats the tubes as proposed and logs every move on the run. */
    @Transactional
    Outcome place(long ampId, List<Long> tubes, String by) {
        Amp amp = amp(ampId);
        Proposal proposal = propose(amp, tubes);
        if (proposal.placing().isEmpty()) {
            return new Outcome(0, proposal.basis());
        }
        Run run = runs.begin(ampId);
        if (new WarmUp(runs.timeline(run).present().moment(), amp.sheet().settleMinutes()).isOn()) {
            return new Outcome(0, words.message("page.placing.amp-is-on"));
        }
        Placing placing = proposal.placing().get();
        Placing.Seating best = placing.best();
        List<Socket> moved = proposal.isNew() ? amp.sheet().sockets() : placing.moved(best);
        for (Socket socket : moved) {
            Candidate tube = best.tubes().get(best.sockets().indexOf(socket));
            Optional<Kept> kept = Optional.ofNullable(proposal.known().get(tube.label()));
            Entry entry = kept.map(known -> Entry.said(
                            ReadingKind.TUBE,
                            socket.label(),
                            "%s %s%s"
                                    .formatted(
                                            known.tube().type(),
                                            known.tube().label(),
                                            known.tube().state() == TubeState.NEW ? " new" : "")))
                    .orElseGet(() -> Entry.said(
                            ReadingKind.NOTE,
                            "",
                            words.message("page.placing.now-holds", socket.label(), tube.label())));
            EntryOutcome outcome = entries.enter(run.id(), List.of(entry), by);
            if (outcome instanceof EntryOutcome.Refused refused) {
                throw new IllegalStateException(refused.message());
            }
        }
        return new Outcome(run.id(), "");
    }
}
