package yellowrail.web.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.postgres.PrivatePostgres;
import yellowrail.web.words.Words;

@ExtendWith(RunningApplication.class)
class BackupsTest {

    private static final Instant DAY = Instant.parse("2026-03-01T12:00:00Z");

    private final PrivatePostgres postgres = RunningApplication.bean(PrivatePostgres.class);

    @TempDir
    private Path data;

    private Backups at(Duration later) {
        return new Backups(data, Clock.fixed(DAY.plus(later), ZoneOffset.UTC));
    }

    @Test
    void oneADayIsMadeAndSevenAreKeptAndThoseBeforeSomethingRiskyStay() {
        at(Duration.ZERO).named("before-step-19").write(postgres, Clock.fixed(DAY, ZoneOffset.UTC));
        for (int day = 1; day <= 9; day++) {
            Backups backups = at(Duration.ofDays(day));
            assertThat(backups.isDue()).isTrue();
            backups.make(postgres);
            assertThat(backups.isDue()).isFalse();
        }
        assertThat(at(Duration.ofDays(9)).all())
                .extracting(Backups.Kept::name)
                .hasSize(8)
                .startsWith("daily-2026-03-10-120000.zip")
                .endsWith("daily-2026-03-04-120000.zip", "before-step-19-2026-03-01-120000.zip");
        assertThat(at(Duration.ofDays(9).plusHours(23)).isDue()).isFalse();
        assertThat(at(Duration.ofDays(10)).isDue()).isTrue();
    }

    @Test
    void aClockThatWasSetBackDoesNotStopThemNorTakeTheNewOne() throws Exception {
        for (int day = 1; day <= 8; day++) {
            at(Duration.ofDays(day)).make(postgres);
        }
        Backups setBack = at(Duration.ofDays(-3650));
        assertThat(setBack.isDue()).isTrue();
        setBack.make(postgres);
        assertThat(setBack.isDue()).isFalse();
        assertThat(setBack.all())
                .hasSize(Backups.DAILY_KEPT)
                .last()
                .satisfies(kept -> assertThat(kept.name()).startsWith("daily-2016-"));
        Files.writeString(data.resolve("backups/daily-2026-03-09-999999.zip"), "cut off");
        assertThat(setBack.all()).hasSize(Backups.DAILY_KEPT);
    }

    @Test
    void agesAreToldInMinutesHoursAndDays() {
        OffsetDateTime made = OffsetDateTime.ofInstant(DAY, ZoneOffset.UTC);
        Words words = RunningApplication.bean(Words.class);
        assertThat(List.of(-60, 0, 1, 59, 60, 60 * 47, 60 * 48))
                .extracting(minutes -> KeepingView.age(made, made.plusMinutes(minutes), words))
                .containsExactly(
                        "made just now",
                        "made just now",
                        "1 min old",
                        "59 min old",
                        "1 h old",
                        "47 h old",
                        "2 days old");
    }

    @Test
    void thePageMakesOneTellsItsAgeAndGivesItOut() {
        Visitor visitor = new Visitor(RunningApplication.url());
        assertThat(visitor.post("/keeping", visitor.form("/keeping", "/keeping"))
                        .statusCode())
                .isEqualTo(302);
        Document page = visitor.page("/keeping");
        assertThat(page.select(".say").text()).contains("The newest backup: made just now");
        assertThat(page.select("td").text()).contains("readings");
        String file = page.select("td a").attr("href");
        assertThat(visitor.get(file).headers().firstValue("Content-Type")).hasValue("application/zip");
        assertThat(visitor.get("/keeping/daily-2020-01-01-000000.zip").statusCode())
                .isEqualTo(404);
        assertThat(visitor.get("/keeping/..%2Fpostgres-password").statusCode()).isIn(400, 404);
        assertThat(visitor.get("/keeping/everything.json").body())
                .startsWith("{\n\"amp\": [")
                .endsWith("]\n}\n");
    }
}
