package yellowrail.web.alarm;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.words.Words;

/** Which amps are to be switched off. A run in which nothing was read for half a day is no alarm any more. */
@Service
class AlarmService {

    private static final Duration LATELY = Duration.ofHours(12);

    private final RunService runs;
    private final Words words;
    private final Clock clock;

    AlarmService(RunService runs, Words words, Clock clock) {
        this.runs = runs;
        this.words = words;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Alarm> now() {
        List<Run> lately = runs.readSince(
                clock.instant().minus(LATELY).atZone(clock.getZone()).toOffsetDateTime());
        List<Alarm> alarms = new ArrayList<>();
        runs.standings(lately)
                .forEach((run, standing) -> standing.alarm()
                        .ifPresent(alarm -> alarms.add(new Alarm(
                                run.id(),
                                words.message(
                                        "page.layout.alarm",
                                        runs.amp(run).sheet().name(),
                                        words.say(alarm.says()))))));
        return alarms;
    }
}
