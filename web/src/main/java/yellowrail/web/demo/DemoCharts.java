package yellowrail.web.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.ChartDefaults;
import yellowrail.core.amp.node.ChartText;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.VoltageChart;

/** The voltage charts of the made-up workshop's amps, as they would be pasted. */
final class DemoCharts {

    private static final ChartDefaults AS_DRAWN = new ChartDefaults(Expected.Source.SCHEMATIC, OptionalDouble.of(120));

    private DemoCharts() {}

    static VoltageChart of(String amp) {
        try (InputStream file = DemoCharts.class.getResourceAsStream("charts/" + amp + ".csv")) {
            ChartText read = ChartText.parse(new String(file.readAllBytes(), StandardCharsets.UTF_8), AS_DRAWN);
            if (!read.faults().isEmpty()) {
                throw new IllegalStateException("chart of " + amp + ": " + read.faults());
            }
            return new VoltageChart(read.nodes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
