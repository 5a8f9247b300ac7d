package yellowrail.web.drawer;

import java.util.Optional;
import yellowrail.core.drawer.Comparison;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TesterReading;

/**
 * A tube of the drawer with its number and its newest test.
 *
 * @param version of what is told of it, from 1
 */
public record Kept(long id, int version, DrawerTube tube, Optional<TesterReading> test) {

    Comparison.Tested tested() {
        return new Comparison.Tested(tube, test);
    }
}
