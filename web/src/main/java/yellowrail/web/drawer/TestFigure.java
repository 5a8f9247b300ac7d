package yellowrail.web.drawer;

import yellowrail.core.drawer.TesterReading;
import yellowrail.core.quantity.Figures;
import yellowrail.web.words.Words;

/** A tester's figure as it is shown: a current in mA and whose it is, or a mark of the tester's own scale. */
final class TestFigure {

    private TestFigure() {}

    static String of(TesterReading.Current current, double amps) {
        return current == TesterReading.Current.SCALE ? Figures.plain(1e3 * amps) : Figures.milliamps(amps);
    }

    /** With whose current it is. */
    static String told(TesterReading test, Words words) {
        return test.current() == TesterReading.Current.SCALE
                ? words.message("page.drawer.figure-of-scale", of(test.current(), test.amps()))
                : words.message("page.drawer.figure", of(test.current(), test.amps()), words.name(test.current()));
    }
}
