package yellowrail.core.walk;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.audit.PartCurrent;
import yellowrail.core.stage.Performance;

/**
 * The same supply with the output stage at full drive: what it draws then, by its load line, above what it draws at
 * idle flows through every part between it and the source. The rest of the amp is taken to draw what it did.
 */
public final class DrivenAudit {

    private final AmpAudit audit;
    private final ChartCheck check;
    private final Map<String, Double> more = new HashMap<>();
    private double total;

    /** @param driven the stage of one channel */
    public DrivenAudit(AmpAudit audit, ChartCheck check, AmpSheet sheet, Performance driven) {
        this.audit = audit;
        this.check = check;
        for (ChartNode node : check.chart().nodes()) {
            int channels = node.channel() == Channel.MONO ? sheet.channels() : 1;
            double full = (node.hangs().plates() ? driven.plateAmps() : 0)
                    + (node.hangs().screens() ? driven.screenAmps() : 0);
            double idle = audit.idleAt(node);
            if (full > 0 && idle > 0) {
                add(node, channels * full - idle);
            }
        }
    }

    private void add(ChartNode at, double amps) {
        total += amps;
        Optional<ChartNode> node = Optional.of(at);
        while (node.isPresent()) {
            more.merge(ChartNode.key(node.get().label()), amps, Double::sum);
            node = check.chart().feeder(node.get());
        }
    }

    /** What a part carries then, A. */
    public double amps(PartCurrent current) {
        ChartNode node = audit.nodeOf(current);
        boolean feeds = current.part().to().equals(node.label());
        return current.amps() + (feeds ? more.getOrDefault(ChartNode.key(node.label()), 0.0) : 0);
    }

    /** What it burns then, W. */
    public double watts(PartCurrent current) {
        double amps = amps(current);
        return amps * amps * current.part().ohms();
    }

    /** What the stage draws above its idle, A; 0 where it hangs nowhere, or was not read. */
    public double total() {
        return total;
    }
}
