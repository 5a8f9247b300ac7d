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

    /** As the builder calls it: type and label. */
    public String name() {
        return "%s %s".formatted(tube.type(), tube.label());
    }

    Comparison.Tested tested() {
        return new Comparison.Tested(tube, test);
    }
}
