package yellowrail.web.drawer;

import java.time.LocalDate;
import java.util.Optional;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TubeState;
import yellowrail.web.database.JsonColumn;

/** A tube as it is stored: a column each. {@code test} is one of its tests as JSON by columns, null without one. */
record TubeRow(
        long id,
        int version,
        String type,
        String label,
        String maker,
        String markings,
        LocalDate bought,
        String state,
        String notes,
        String test) {

    static TubeRow of(long id, int version, DrawerTube tube) {
        return new TubeRow(
                id,
                version,
                tube.type(),
                tube.label(),
                tube.maker(),
                tube.markings(),
                tube.bought().orElse(null),
                tube.state().name(),
                tube.notes(),
                null);
    }

    Kept kept(JsonColumn json) {
        DrawerTube tube = new DrawerTube(
                type, label, maker, markings, Optional.ofNullable(bought), TubeState.valueOf(state), notes);
        return new Kept(
                id,
                version,
                tube,
                Optional.ofNullable(test)
                        .map(row -> json.read(row, TestRow.class).test()));
    }
}
