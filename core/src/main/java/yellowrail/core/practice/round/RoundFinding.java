package yellowrail.core.practice.round;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;
import yellowrail.core.station.Station;

/** The one thing to do next on the first round. */
public sealed interface RoundFinding extends Finding {

    record OffAtOnce(String socket) implements RoundFinding {}

    /** Somebody looks at another station than the one whose turn it is. */
    record BackTo(Station due, int key) implements RoundFinding {}

    record ReadTheSheet() implements RoundFinding {}

    record TickThese(int left) implements RoundFinding {}

    record TubesAreIn() implements RoundFinding {}

    record SwitchOn() implements RoundFinding {}

    record LetItWarm() implements RoundFinding {}

    record ReadMains() implements RoundFinding {}

    record ReadPoint(String point) implements RoundFinding {}

    record ReadPlates() implements RoundFinding {}

    record WatchPoint(String point) implements RoundFinding {}

    record Turn(String pot, String point, Shown reading) implements RoundFinding {}

    record AllReadAgain(String place) implements RoundFinding {}

    record Onward(Station from) implements RoundFinding {}

    record LetItSoak() implements RoundFinding {}

    record SayHowItSounds() implements RoundFinding {}

    record SwitchOff() implements RoundFinding {}

    record CloseTheRun() implements RoundFinding {}
}
