package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.Thorough;
import yellowrail.core.replay.RandomLog;
import yellowrail.core.replay.Replay;
import yellowrail.web.Nonsense;
import yellowrail.web.words.BundledWords;
import yellowrail.web.words.Words;

/** Logs as in the core, as they are answered: in words, and every number one. */
class RandomLogsInWordsTest {

    /** Other logs than the core plays. */
    private static final int FIRST = 5_000;

    private static final int LOGS = Thorough.of(2_000, 500);

    @Test
    void everyAnswerIsWordsAndNumbers() {
        Words words = BundledWords.read();
        JsonMapper mapper = JsonMapper.builder().build();
        List<String> wrong = Collections.synchronizedList(new ArrayList<>());
        IntStream.range(FIRST, FIRST + LOGS).parallel().forEach(seed -> {
            RandomLog log = new RandomLog(seed);
            try {
                Replay replay = log.play();
                String answer =
                        mapper.writeValueAsString(RunResponse.of(replay, Instant.parse("2026-03-03T12:00:00Z"), words));
                Nonsense.in(answer).ifPresent(found -> wrong.add("%s: %s".formatted(log, found)));
            } catch (RuntimeException e) {
                wrong.add("%s: %s at %s".formatted(log, e, e.getStackTrace()[0]));
            }
        });
        assertThat(wrong).isEmpty();
    }
}
