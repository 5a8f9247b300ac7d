package yellowrail.web.practice;

import java.util.Map;
import yellowrail.core.practice.round.RoundFinding;
import yellowrail.core.station.Station;
import yellowrail.web.words.Words;

/**
 * A hint of the first round as it is shown.
 *
 * @param name what tells it from others
 * @param station the number of the one it belongs to
 * @param says the hint
 * @param points what on the page it speaks of, as a CSS selector
 */
record HintView(String name, int station, String says, String points) {

    private static final String LEAD = "#probe-";
    private static final String SWITCH = "#bench-power";
    /** Those that always speak of the same; of the rest, what is done with a station. */
    private static final Map<Class<? extends RoundFinding>, String> WHERE = Map.ofEntries(
            Map.entry(RoundFinding.OffAtOnce.class, SWITCH),
            Map.entry(RoundFinding.SwitchOn.class, SWITCH),
            Map.entry(RoundFinding.SwitchOff.class, SWITCH),
            Map.entry(RoundFinding.TickThese.class, ".tick-box[aria-checked=false]"),
            Map.entry(RoundFinding.LetItWarm.class, "#wait-minute"),
            Map.entry(RoundFinding.LetItSoak.class, "#wait-ten"),
            Map.entry(RoundFinding.ReadMains.class, LEAD + "mains"),
            Map.entry(RoundFinding.ReadPlates.class, LEAD + "plate"),
            Map.entry(RoundFinding.Turn.class, "#practice input[type=range]"),
            Map.entry(RoundFinding.SayHowItSounds.class, "#line"),
            Map.entry(RoundFinding.CloseTheRun.class, "#close button"));

    static HintView of(RoundFinding hint, Station at, Words words) {
        String says = words.say(hint);
        return new HintView(Integer.toHexString(says.hashCode()), at.ordinal() + 1, says, points(hint));
    }

    private static String points(RoundFinding hint) {
        if (hint instanceof RoundFinding.BackTo back) {
            return ".rail li:nth-child(%d) a".formatted(back.key());
        }
        if (hint instanceof RoundFinding.ReadPoint point) {
            return LEAD + point.point();
        }
        if (hint instanceof RoundFinding.WatchPoint point) {
            return LEAD + point.point();
        }
        if (hint instanceof RoundFinding.AllReadAgain all) {
            return LEAD + all.place();
        }
        return WHERE.getOrDefault(hint.getClass(), "#done");
    }
}
