package yellowrail.web.run;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.bias.review.BiasRemark;
import yellowrail.core.bias.review.StopCheck;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.powerup.ColdStart;
import yellowrail.core.powerup.HeaterCheck;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.Quirks;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.SafetyItem;
import yellowrail.core.station.Station;
import yellowrail.core.station.StationGuide;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.web.words.Words;

/**
 * The station one stands at.
 *
 * @param status done, skipped or due
 * @param why it was skipped; blank otherwise
 * @param waits what live readings still wait for
 * @param gated whether this station cannot be worked at before
 * @param figures whether the socket plan and the map belong here
 * @param checks what the readings of this station amount to
 */
record StationView(
        String token,
        String name,
        int number,
        Guide guide,
        List<Tick> ticks,
        String status,
        String why,
        List<String> waits,
        boolean gated,
        boolean figures,
        List<String> quirks,
        List<Check> checks) {

    private static final double SAME_MAINS = 0.02;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    /** The guide in words. */
    record Guide(String say, List<String> todo, List<String> measure, List<String> cautions) {

        static Guide of(StationGuide guide, Words words) {
            return new Guide(
                    words.say(guide.say()),
                    words.say(guide.todo()),
                    words.say(guide.measure()),
                    words.say(guide.cautions()));
        }
    }

    /** An item to tick; {@code at} is blank until it is. */
    record Tick(String id, String text, String at, boolean fact) {}

    /** A check with its verdict in a word and in a sentence. */
    record Check(String what, String verdict, String words, boolean good) {}

    /** Whether plan, map and next move are shown. */
    public boolean drawn() {
        return figures && !gated;
    }

    /** Whether it is worked at with the meter, so that the cursor belongs on the entry line. */
    public boolean atTheMeter() {
        return number > Station.TUBES.ordinal() + 1 && number < Station.CLOSE.ordinal() + 1;
    }

    static StationView of(
            Station station, StageIdle stage, RunProgress progress, Moment now, ZoneId zone, Words words) {
        AmpSheet sheet = stage.sheet();
        boolean live = station.compareTo(Station.MEASURE) >= 0 && station != Station.CLOSE;
        List<String> waits =
                progress.missing().stream().map(item -> words.say(item.says())).toList();
        return new StationView(
                station.token(),
                words.name(station),
                station.ordinal() + 1,
                Guide.of(StationGuide.of(station, sheet), words),
                progress.items(station).stream()
                        .map(item -> new Tick(
                                item.id(),
                                words.say(item.says()),
                                progress.tickedAt(item.id())
                                        .map(at -> TIME.format(at.atZone(zone)))
                                        .orElse(""),
                                item.gate() != SafetyItem.Gate.ALWAYS))
                        .toList(),
                progress.status(station).name().toLowerCase(Locale.ROOT),
                progress.why(station),
                waits,
                live && !waits.isEmpty(),
                station == Station.MEASURE || station == Station.SET || station == Station.SOAK,
                Quirks.at(station, sheet),
                checks(station, stage, now, words));
    }

    /** Items that a line waits for. */
    static List<Tick> ticks(List<SafetyItem> items, Words words) {
        return items.stream()
                .map(item -> new Tick(item.id(), words.say(item.says()), "", false))
                .toList();
    }

    private static List<Check> checks(Station station, StageIdle stage, Moment now, Words words) {
        List<Check> checks = new ArrayList<>();
        if (station == Station.TUBES) {
            stop(stage.sheet(), now, words).ifPresent(checks::add);
        }
        if (station == Station.POWER_UP) {
            double mains = SupplyReadings.mainsRatio(now, stage.sheet());
            checks.add(now.last(ReadingKind.MAINS)
                    .map(reading -> new Check(
                            said(words, "mains"),
                            Figures.volts(reading.value()),
                            Math.abs(mains - 1) < SAME_MAINS
                                    ? said(words, "mains-as-on-sheet")
                                    : said(
                                            words,
                                            "mains-converted",
                                            Figures.volts(stage.sheet().mainsVolts())),
                            true))
                    .orElseGet(() -> new Check(
                            said(words, "mains"), said(words, "not-read"), said(words, "mains-unread"), true)));
            Optional<HeaterCheck> heater = stage.mainType()
                    .flatMap(type -> HeaterCheck.of(type, stage.sheet().mainsVolts(), now));
            checks.add(heater.map(check -> new Check(
                            said(words, "heaters"),
                            words.name(check.verdict()),
                            words.say(check.says()),
                            check.verdict() != HeaterCheck.Verdict.TOO_HIGH
                                    && check.verdict() != HeaterCheck.Verdict.TOO_LOW))
                    .orElseGet(() -> new Check(
                            said(words, "heaters"), said(words, "not-read"), said(words, "heaters-unread"), true)));
            checks.add(ColdStart.of(stage.sheet(), mains)
                    .map(start -> new Check(
                            said(words, "cold-start"),
                            coldStart(start, words),
                            words.sayAll(List.of(start.says(), start.when())),
                            !start.over()))
                    .orElseGet(() -> new Check(
                            said(words, "cold-start"),
                            said(words, "not-judged"),
                            said(words, "cold-start-unknown"),
                            true)));
        }
        return checks;
    }

    /** The bias as it was read at a stop, against the supply that is kept with the amp. */
    private static Optional<Check> stop(AmpSheet sheet, Moment now, Words words) {
        double mains = SupplyReadings.mainsRatio(now, sheet);
        return now.last(ReadingKind.BIAS_STOP)
                .flatMap(read -> BiasStops.computed(sheet)
                        .map(stops -> StopCheck.of(
                                read.value(), mains * stops.coldest(), mains * stops.hottest(), BiasStops.PARTS))
                        .map(remark -> {
                            boolean good = remark instanceof BiasRemark.StopAsComputed;
                            return new Check(
                                    said(words, "stop"),
                                    said(words, good ? "as-computed" : "not-so"),
                                    words.say(remark),
                                    good);
                        }));
    }

    private static String coldStart(ColdStart start, Words words) {
        return said(words, start.over() ? "too-high" : Double.isNaN(start.rating()) ? "not-judged" : "within");
    }

    private static String said(Words words, String key, Object... arguments) {
        return words.message("page.power-up." + key, arguments);
    }
}
