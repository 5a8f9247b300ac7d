package yellowrail.core.walk;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.node.ChartDefaults;
import yellowrail.core.amp.node.ChartText;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.timeline.Timeline;

/** Charts of a made-up amp, and a shorthand to walk round them. */
final class Walked {

    private Walked() {}

    static AmpSheet amp(AmpSheet sheet, String chart) {
        ChartText text = ChartText.parse(
                chart, new ChartDefaults(Expected.Source.SCHEMATIC, OptionalDouble.of(sheet.mainsVolts())));
        if (!text.faults().isEmpty()) {
            throw new IllegalArgumentException(text.faults().toString());
        }
        return sheet.with(new VoltageChart(text.nodes()));
    }

    static ChartCheck check(AmpSheet sheet, String... lines) {
        return new ChartCheck(timeline(sheet, lines), Map.of());
    }

    static Timeline timeline(AmpSheet sheet, String... lines) {
        return Amps.timeline(sheet, lines);
    }

    static NodeStanding at(ChartCheck check, String label) {
        return check.of(check.chart().node(label).orElseThrow());
    }

    static List<String> says(ChartCheck check, String label) {
        return at(check, label).says().stream().map(WalkFinding::code).toList();
    }

    static String verdict(ChartCheck check, String label) {
        return at(check, label).verdict().name().toLowerCase(Locale.ROOT);
    }
}
