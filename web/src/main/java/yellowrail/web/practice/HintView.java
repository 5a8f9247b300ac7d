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
    private static final Map<Class<? extends RoundFinding>, String> WHERE = Map.of(
            RoundFinding.OffAtOnce.class,
            SWITCH,
            RoundFinding.SwitchOn.class,
            SWITCH,
            RoundFinding.SwitchOff.class,
            SWITCH,
            RoundFinding.TickThese.class,
            ".tick-box[aria-checked=false]",
            RoundFinding.LetItWarm.class,
            "#wait-minute",
            RoundFinding.LetItSoak.class,
            "#wait-ten",
            RoundFinding.ReadMains.class,
            LEAD + "mains",
            RoundFinding.ReadPlates.class,
            LEAD + "plate",
            RoundFinding.Turn.class,
            "#practice input[type=range]",
            RoundFinding.SayHowItSounds.class,
            "#line");

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
        if (hint instanceof RoundFinding.CloseTheRun) {
            return "#close button";
        }
        return WHERE.getOrDefault(hint.getClass(), "#done");
    }
}
