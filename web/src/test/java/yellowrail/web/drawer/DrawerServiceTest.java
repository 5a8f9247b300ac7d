package yellowrail.web.drawer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.web.RunningApplication;

@ExtendWith(RunningApplication.class)
class DrawerServiceTest {

    private static DrawerRow row(String type, String label) {
        Map<String, String> cells = Map.of("type", type, "label", label);
        return DrawerRow.read(column -> cells.getOrDefault(column, ""));
    }

    /** Of two who add a tube of one name at the same moment, one is told that there is such a tube. */
    @Test
    void aNameIsGivenOnce() throws Exception {
        DrawerService drawer = RunningApplication.bean(DrawerService.class);
        ExecutorService both = Executors.newFixedThreadPool(2);
        for (int i = 0; i < 20; i++) {
            DrawerRow row = row("EL84", "twice " + i);
            Callable<Optional<Long>> adds = () -> drawer.add(row);
            int given = 0;
            for (Future<Optional<Long>> each : both.invokeAll(List.of(adds, adds))) {
                given += each.get().isPresent() ? 1 : 0;
            }
            assertThat(given).isEqualTo(1);
        }
        both.shutdown();
    }

    @Test
    void anImportTellsHowFarItIs() {
        List<Integer> told = new ArrayList<>();
        DrawerService drawer = RunningApplication.bean(DrawerService.class);
        drawer.keep(IntStream.range(0, 2500).mapToObj(i -> row("PL36", "I" + i)).toList(), told::add);
        assertThat(told).containsExactly(1000, 2000, 2500);
    }
}
