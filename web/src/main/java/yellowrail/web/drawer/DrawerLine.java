package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.drawer.DrawerFinding;
import yellowrail.core.drawer.Microphony;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.quantity.Figures;
import yellowrail.web.words.Words;

/** A tube as the drawer lists it; what is not known is blank. */
record DrawerLine(
        long id,
        String type,
        String label,
        String maker,
        String state,
        boolean doubtful,
        String sits,
        String figure,
        String condition,
        String steepness,
        String tap,
        List<String> flags) {

    /** @param suspect what its runs speak against it */
    static DrawerLine of(Kept kept, String sits, Optional<String> suspect, Words words) {
        List<String> flags = new ArrayList<>();
        suspect.ifPresent(flags::add);
        kept.test()
                .filter(TesterReading::isUnstable)
                .ifPresent(test -> flags.add(
                        words.say(new DrawerFinding.Unstable(test.rise().getAsDouble()))));
        TubeState state = suspect.isPresent() && kept.tube().state() != TubeState.WASTE
                ? TubeState.SUSPECT
                : kept.tube().state();
        return new DrawerLine(
                kept.id(),
                kept.tube().type(),
                kept.tube().label(),
                kept.tube().maker(),
                words.name(state),
                state == TubeState.SUSPECT || state == TubeState.WASTE,
                sits,
                kept.test().map(test -> TestFigure.told(test, words)).orElse(""),
                kept.test().map(test -> words.say(test.condition().told())).orElse(""),
                kept.test()
                        .filter(test -> test.transconductance().isPresent())
                        .map(test -> steepness(test.transconductance().getAsDouble()))
                        .orElse(""),
                kept.test()
                        .map(TesterReading::tap)
                        .filter(tap -> tap != Microphony.UNKNOWN)
                        .map(words::name)
                        .orElse(""),
                flags);
    }

    static String steepness(double siemens) {
        return Figures.fixed(siemens * 1e3, 2) + " mA/V";
    }
}
