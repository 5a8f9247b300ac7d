package yellowrail.web.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.ChartDefaults;
import yellowrail.core.amp.node.ChartText;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.heater.HeaterText;

/** The voltage charts of the made-up workshop's amps, as they would be pasted. */
final class DemoCharts {

    private static final ChartDefaults AS_DRAWN = new ChartDefaults(Expected.Source.SCHEMATIC, OptionalDouble.of(120));

    private static final Map<String, String> HEATERS = Map.of(
            "bogbean", "main 6.3V 5A bare 6.95 loaded 6.42: 2 6L6GC, 4 12AX7, 1 lamp 0.15A",
            "sedge", "main 6.3V 4.5A: 4 EL84, 3 12AX7\nrectifier 5V 3A: 1 GZ34",
            "water-mint", "left 6.3V 5A: 2 EL34, 1 12AX7\nright 6.3V 5A: 2 EL34, 1 12AX7\nrectifier 5V 3A: 1 GZ34",
            "reedmace", "main 6.3V 3A: 1 KT88, 1 12AU7");

    private DemoCharts() {}

    static VoltageChart of(String amp) {
        try (InputStream file = DemoCharts.class.getResourceAsStream("charts/" + amp + ".csv")) {
            ChartText read = ChartText.parse(new String(file.readAllBytes(), StandardCharsets.UTF_8), AS_DRAWN);
            if (!read.faults().isEmpty()) {
                throw new IllegalStateException("chart of " + amp + ": " + read.faults());
            }
            return new VoltageChart(
                    read.nodes(),
                    HeaterText.parse(HEATERS.getOrDefault(amp, "")).windings());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
