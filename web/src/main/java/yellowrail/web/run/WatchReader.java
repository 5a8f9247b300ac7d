package yellowrail.web.run;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.soak.Soak;
import yellowrail.web.meter.MeterException;
import yellowrail.web.outage.Outage;
import yellowrail.web.rounds.Rounds;
import yellowrail.web.watch.Watch;
import yellowrail.web.watch.WatchService;
import yellowrail.web.words.Words;

/**
 * Reads the meters that are being watched, whether or not anybody looks at a page. A reading that would be asked about
 * counts once the next one says the same: a lead that slipped does not, a tube that has changed does.
 */
@Component
class WatchReader extends Rounds {

    private static final Logger LOG = LoggerFactory.getLogger(WatchReader.class);
    /** How often it is seen to what is due. */
    private static final Duration LOOKS = Duration.ofMillis(500);
    /** Two readings this near to one another say the same. */
    private static final double SAME = 0.2;

    private static final int MOST_METERS_AT_ONCE = 8;

    private final WatchService watches;
    private final RunService runs;
    private final RunEntries entries;
    private final MeterReadings meter;
    private final Words words;
    private final Set<Long> beingRead = ConcurrentHashMap.newKeySet();

    WatchReader(WatchService watches, RunService runs, RunEntries entries, MeterReadings meter, Words words) {
        super("watch", MOST_METERS_AT_ONCE, LOOKS, LOOKS);
        this.watches = watches;
        this.runs = runs;
        this.entries = entries;
        this.meter = meter;
        this.words = words;
    }

    /** A database that is away for a while is no reason to stop looking. */
    @Override
    protected void look() {
        try {
            List<Watch> due = watches.due();
            due.stream().filter(watch -> beingRead.add(watch.runId())).forEach(watch -> aside(() -> read(watch)));
        } catch (RuntimeException e) {
            LOG.debug("what is to be watched cannot be seen to", e);
        }
    }

    private void read(Watch watch) {
        try {
            take(watch);
        } catch (MeterException e) {
            watches.failed(watch.runId(), words.say(e.fault()), null);
        } catch (RuntimeException e) {
            // With the database away there is nowhere to put it; the next reading is soon.
            if (Outage.of(e).isEmpty()) {
                LOG.warn("the watch of run {} could not be read", watch.runId(), e);
            }
        } finally {
            beingRead.remove(watch.runId());
        }
    }

    private void take(Watch watch) {
        Run run = runs.run(watch.runId());
        if (!Soak.isOn(runs.timeline(run))) {
            watches.failed(watch.runId(), words.message("page.soak.watch-waits"), null);
            return;
        }
        AmpSheet sheet = runs.amp(run).sheet();
        String line = meter.line(watch.place(), sheet);
        double value = value(line, sheet);
        boolean again = watch.doubted() != null && Math.abs(value / watch.doubted() - 1) < SAME;
        EntryOutcome outcome = entries.enter(watch.runId(), line, watch.byWhom(), again);
        if (outcome instanceof EntryOutcome.Accepted) {
            watches.read(watch.runId(), line);
        } else {
            watches.failed(watch.runId(), said(outcome, line), outcome instanceof EntryOutcome.Asked ? value : null);
        }
    }

    private static double value(String line, AmpSheet sheet) {
        return new EntryLine(sheet)
                .parse(line).stream().mapToDouble(Entry::value).findFirst().orElse(0);
    }

    private String said(EntryOutcome outcome, String line) {
        if (outcome instanceof EntryOutcome.Held held) {
            return entries.heldInWords(held.items());
        }
        return outcome instanceof EntryOutcome.Asked asked
                ? words.message("page.soak.watch-doubts", line, asked.asks())
                : ((EntryOutcome.Refused) outcome).message();
    }
}
