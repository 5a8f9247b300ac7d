package yellowrail.web.drawer;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;

/**
 * Rows of a file as the database takes them, many in one statement: each tube once, as the last of its rows tells it,
 * and each test once.
 */
record DrawerRows(Collection<TubeRow> tubes, Set<Test> tests) {

    /** A test with the name of its tube. */
    record Test(String type, String label, @JsonUnwrapped TestRow test) {}

    static DrawerRows of(List<DrawerRow> rows) {
        Map<List<String>, TubeRow> tubes = new LinkedHashMap<>();
        Set<Test> tests = new LinkedHashSet<>();
        for (DrawerRow row : rows) {
            DrawerTube tube = row.tube();
            tubes.put(List.of(tube.type(), tube.label()), TubeRow.of(0, 1, tube));
            row.test().ifPresent(test -> tests.add(new Test(tube.type(), tube.label(), TestRow.of(test))));
        }
        return new DrawerRows(tubes.values(), tests);
    }
}
