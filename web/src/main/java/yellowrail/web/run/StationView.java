package yellowrail.web.run;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
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
 * @param status  done, skipped or due
 * @param why     it was skipped; blank otherwise
 * @param waits   what live readings still wait for
 * @param gated   whether this station cannot be worked at before
 * @param figures whether the socket plan and the map belong here
 * @param checks  what the readings of this station amount to
 */
record StationView(String token, String name, int number, StationGuide guide, List<Tick> ticks, String status, String why, List<String> waits, boolean gated,
                   boolean figures, List<String> quirks, List<Check> checks) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    /** An item to tick; {@code at} is blank until it is. */
    record Tick(String id, String text, String at, boolean fact) {
    }

    /** A check with its verdict in a word and in a sentence. */
    record Check(String what, String verdict, String words, boolean good) {
    }

    /** Whether plan, map and next move are shown. */
    public boolean drawn() {
        return figures && !gated;
    }

    static StationView of(Station station, StageIdle stage, RunProgress progress, Moment now, ZoneId zone, Words words) {
        AmpSheet sheet = stage.sheet();
        boolean live = station.compareTo(Station.MEASURE) >= 0 && station != Station.CLOSE;
        List<String> waits = progress.missing().stream().map(SafetyItem::text).toList();
        return new StationView(station.token(), station.inWords(), station.ordinal() + 1, StationGuide.of(station, sheet),
                progress.items(station).stream().map(item -> new Tick(item.id(), item.text(), progress.tickedAt(item.id()).map(at -> TIME.format(at.atZone(zone))).orElse(""),
                        !item.gates())).toList(),
                progress.status(station).name().toLowerCase(Locale.ROOT), progress.why(station), waits, live && !waits.isEmpty(),
                station == Station.MEASURE || station == Station.SET || station == Station.SOAK, Quirks.at(station, sheet), checks(station, stage, now, words));
    }

    private static List<Check> checks(Station station, StageIdle stage, Moment now, Words words) {
        List<Check> checks = new ArrayList<>();
        if (station == Station.POWER_UP) {
            double mains = SupplyReadings.mainsRatio(now, stage.sheet());
            checks.add(now.last(ReadingKind.MAINS).map(reading -> new Check("Mains", Figures.volts(reading.value()),
                    Math.abs(mains - 1) < 0.02 ? "as on the sheet." : "the sheet says %s: readings are converted.".formatted(Figures.volts(stage.sheet().mainsVolts())), true))
                    .orElse(new Check("Mains", "not read", "Everything scales with it: type mains and the volts.", true)));
            Optional<HeaterCheck> heater = stage.mainType().flatMap(type -> HeaterCheck.of(type, stage.sheet().mainsVolts(), now));
            checks.add(heater.map(check -> new Check("Heaters", check.verdict().inWords(), check.words(),
                    check.verdict() != HeaterCheck.Verdict.TOO_HIGH && check.verdict() != HeaterCheck.Verdict.TOO_LOW))
                    .orElse(new Check("Heaters", "not read", "AC volts between the heater pins: type heater 6.9 bare without tubes, heater 6.4 with them.", true)));
            checks.add(ColdStart.of(stage.sheet(), mains).map(start -> new Check(words.message("station.cold-start"), coldStart(start, words),
                    words.say(start.says()) + " " + words.say(start.when()), !start.over()))
                    .orElse(new Check(words.message("station.cold-start"), words.message("station.not-judged"), words.message("station.cold-start-unknown"), true)));
        }
        return checks;
    }

    private static String coldStart(ColdStart start, Words words) {
        return words.message(start.over() ? "station.too-high" : Double.isNaN(start.rating()) ? "station.not-judged" : "station.within");
    }
}
