package yellowrail.web.closing;

import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Snapshot;
import yellowrail.web.qr.QrCode;
import yellowrail.web.run.Run;
import yellowrail.web.words.Words;

/**
 * The card for the chassis, 90 by 55 mm.
 *
 * @param lines what was read at each test point and what that means
 * @param supply mains and plates
 * @param look when to look again; blank where nothing is planned
 * @param code opens the run
 */
record LabelView(String amp, String date, String supply, List<Line> lines, String look, QrCode code, String address) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    /** More do not fit. */
    private static final int MOST = 8;

    private static final int LONGEST = 30;

    /** A tube: its socket, what is written on it, what was read, what it means. */
    record Line(String socket, String tube, String reading, String means) {}

    static LabelView of(
            Run run,
            Snapshot now,
            List<TubeIdle> tubes,
            Map<String, String> seated,
            Optional<OffsetDateTime> look,
            String address,
            ZoneId zone,
            Words words) {
        Unit shows = now.sheet().current().shows();
        String mains = now.moment()
                .last(ReadingKind.MAINS)
                .map(reading -> words.message("page.label.mains", Figures.volts(reading.value())))
                .orElse(words.message("page.label.mains-unread"));
        String plates = now.moment()
                .last(ReadingKind.PLATE)
                .map(reading -> words.message("page.label.plates", Figures.volts(reading.value())))
                .orElse(words.message("page.label.plates-unread"));
        String name = now.sheet().name();
        return new LabelView(
                name.length() > LONGEST ? name.substring(0, LONGEST - 1) + "\u2026" : name,
                DAY.format((run.isOpen() ? run.begunAt() : run.closedAt()).atZoneSameInstant(zone)),
                mains + " \u00b7 " + plates,
                tubes.stream()
                        .limit(MOST)
                        .map(tube -> line(tube, seated, shows, words))
                        .toList(),
                look.map(at -> words.message("page.label.look-again", DAY.format(at.atZoneSameInstant(zone))))
                        .orElse(""),
                QrCode.of(address),
                address);
    }

    private static Line line(TubeIdle tube, Map<String, String> seated, Unit shows, Words words) {
        String label = tube.socket().label();
        String reading = tube.current()
                .map(read -> Figures.in(read.kind() == ReadingKind.SENSE_AMPS ? Unit.MILLIAMP : shows, read.value()))
                .orElse("\u2013");
        String means = tube.figures()
                .map(figures -> Figures.beside(
                                figures.dissipation().plusMinus(),
                                figures.dissipation().value(),
                                Unit.WATT)
                        + ", "
                        + (tube.isFresh()
                                ? Figures.percent(tube.judgement().ratio())
                                : words.message("page.label.stale")))
                .orElseGet(() -> words.name(tube.judgement().verdict()));
        return new Line(label, (tube.occupant().name() + " " + seated.getOrDefault(label, "")).strip(), reading, means);
    }

    /** Where a line of it stands, mm from the top. */
    public double at(int line) {
        return Math.round(10 * (21.5 + line * Math.min(4.6, 26.0 / Math.max(1, lines.size())))) / 10.0;
    }
}
