package yellowrail.web.alarm;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.soak.Standing;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.words.Words;

/** Which amps are to be switched off. A run in which nothing was read for half a day is no alarm any more. */
@Service
class AlarmService {

    private static final Duration LATELY = Duration.ofHours(12);

    private final RunService runs;
    private final AmpService amps;
    private final Words words;
    private final Clock clock;

    AlarmService(RunService runs, AmpService amps, Words words, Clock clock) {
        this.runs = runs;
        this.amps = amps;
        this.words = words;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Alarm> now() {
        List<Run> lately = runs.readSince(
                clock.instant().minus(LATELY).atZone(clock.getZone()).toOffsetDateTime());
        Map<Run, Standing> standings = runs.standings(lately);
        List<Run> alarmed = lately.stream()
                .filter(run -> standings.get(run).alarm().isPresent())
                .toList();
        Map<Long, Amp> named = amps.newest(alarmed.stream().map(Run::ampId).toList());
        return alarmed.stream()
                .map(run -> new Alarm(
                        run.id(),
                        words.message(
                                "page.layout.alarm",
                                named.get(run.ampId()).sheet().name(),
                                words.say(
                                        standings.get(run).alarm().orElseThrow().says()))))
                .toList();
    }
}
