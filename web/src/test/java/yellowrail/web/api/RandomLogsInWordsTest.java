package yellowrail.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.replay.RandomLog;
import yellowrail.core.replay.Replay;
import yellowrail.web.words.BundledWords;
import yellowrail.web.words.Words;

/** The same logs as in the core, as they are answered: in words, and every number one. */
class RandomLogsInWordsTest {

    private static final int LOGS = Integer.getInteger("random.logs", 5_000);
    private static final Pattern NO_WORDS = Pattern.compile("NaN|Infinity|\\bnull\\b(?!,|})|Optional|\\{\\d|@[0-9a-f]{5,}");

    @Test
    void everyAnswerIsWordsAndNumbers() {
        Words words = BundledWords.read();
        JsonMapper mapper = JsonMapper.builder().build();
        List<String> wrong = Collections.synchronizedList(new ArrayList<>());
        IntStream.range(LOGS, 2 * LOGS).parallel().forEach(seed -> {
            RandomLog log = new RandomLog(seed);
            try {
                Replay replay = log.play();
                String answer = mapper.writeValueAsString(RunResponse.of(replay, Instant.parse("2026-03-03T12:00:00Z"), words));
                NO_WORDS.matcher(answer).results().findFirst()
                        .ifPresent(found -> wrong.add("%s: %s".formatted(log, answer.substring(Math.max(0, found.start() - 150), Math.min(answer.length(), found.end() + 80)))));
            } catch (RuntimeException e) {
                wrong.add("%s: %s at %s".formatted(log, e, e.getStackTrace()[0]));
            }
        });
        assertThat(wrong).isEmpty();
    }
}
