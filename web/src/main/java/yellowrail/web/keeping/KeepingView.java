package yellowrail.web.keeping;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import yellowrail.web.words.Words;

/**
 * The page of the backups.
 *
 * @param ours whether the database is our own: of another's, whoever runs it makes the backups
 * @param says how old the newest is
 * @param stale whether it is older than it should be
 * @param trouble what went wrong when one was made last; blank for nothing
 * @param folder where they lie
 * @param command what brings one back
 * @param rows newest first
 */
record KeepingView(
        boolean ours, String says, boolean stale, String trouble, String folder, String command, List<Row> rows) {

    private static final Duration STALE = Duration.ofDays(2);
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
    private static final double MEGABYTE = 1 << 20;

    /** A backup on the page. */
    record Row(String name, String made, String age, String size, String holds) {}

    static KeepingView of(DailyBackup daily, OffsetDateTime now, Words words) {
        Optional<Backups> backups = daily.backups();
        if (backups.isEmpty()) {
            return new KeepingView(false, words.message("page.keeping.theirs"), false, "", "", "", List.of());
        }
        List<Backups.Kept> all = backups.get().all();
        Optional<OffsetDateTime> newest =
                all.stream().findFirst().map(kept -> kept.manifest().made());
        return new KeepingView(
                true,
                newest.map(made -> words.message("page.keeping.newest", age(made, now, words)))
                        .orElseGet(() -> words.message("page.keeping.none")),
                newest.map(made -> Duration.between(made, now).compareTo(STALE) > 0)
                        .orElse(true),
                daily.trouble(),
                backups.get().folder().toString(),
                "./yellow-rail restore FILE --replace --data "
                        + backups.get().folder().getParent(),
                all.stream().map(kept -> row(kept, now, words)).toList());
    }

    private static Row row(Backups.Kept kept, OffsetDateTime now, Words words) {
        Manifest manifest = kept.manifest();
        return new Row(
                kept.name(),
                manifest.made().atZoneSameInstant(now.getOffset()).format(WHEN),
                age(manifest.made(), now, words),
                words.message("page.keeping.megabytes", Math.max(0.1, kept.bytes() / MEGABYTE)),
                words.message(
                        "page.keeping.holds",
                        manifest.rows("amp"),
                        manifest.rows("bench_run"),
                        manifest.rows("reading"),
                        manifest.rows("drawer_tube")));
    }

    /** A clock that was set back makes an age negative: then it is told as none. */
    static String age(OffsetDateTime made, OffsetDateTime now, Words words) {
        Duration age = Duration.between(made, now);
        if (age.isNegative() || age.toMinutes() == 0) {
            return words.message("page.keeping.just-now");
        }
        if (age.toHours() == 0) {
            return words.message("page.keeping.minutes", age.toMinutes());
        }
        return age.toDays() < 2
                ? words.message("page.keeping.hours", age.toHours())
                : words.message("page.keeping.days", age.toDays());
    }
}
