package yellowrail.web.drawer;

import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.drawer.Microphony;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.quantity.Figures;
import yellowrail.web.sitting.Sat;
import yellowrail.web.words.Words;

/** One tube's page: what it is, its tests, where it sat. */
final class TubePage {

    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private TubePage() {}

    /** One test as it is shown. */
    record TestLine(
            String day,
            String tester,
            String condition,
            String figure,
            String warmUp,
            WarmUpView curve,
            String steepness,
            String remarks) {}

    /** A stay in an amp. */
    record StayLine(String where, String from, String to, String hours, List<String> findings) {}

    static ModelAndView of(Kept kept, List<TesterReading> tests, List<Sat> stays, Words words) {
        Duration on = stays.stream().map(stay -> stay.sitting().on()).reduce(Duration.ZERO, Duration::plus);
        return new ModelAndView("drawer/tube")
                .addObject("kept", kept)
                .addObject("told", told(kept, on, words))
                .addObject(
                        "tests", tests.stream().map(test -> line(test, words)).toList())
                .addObject(
                        "seated",
                        stays.stream()
                                .map(Sat::seat)
                                .filter(seat -> seat.until() == null)
                                .findFirst()
                                .orElse(null))
                .addObject(
                        "stays", stays.stream().map(stay -> line(stay, words)).toList());
    }

    /** What it is in one line. */
    private static String told(Kept kept, Duration on, Words words) {
        String what = Stream.of(
                        words.name(kept.tube().state()),
                        kept.tube().maker(),
                        kept.tube().markings())
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
        return words.message(
                "page.drawer.tube.told",
                what,
                kept.tube().bought().map(DAY::format).orElse(words.message("page.drawer.not-noted")),
                hours(on, words));
    }

    private static TestLine line(TesterReading test, Words words) {
        List<String> remarks = new ArrayList<>();
        if (test.isUnstable()) {
            remarks.add(words.message("page.drawer.unstable"));
        }
        if (test.tap() != Microphony.UNKNOWN) {
            remarks.add(words.message("page.drawer.tap", words.name(test.tap())));
        }
        if (!test.gas().isBlank()) {
            remarks.add(test.gas());
        }
        return new TestLine(
                test.tested().map((LocalDate day) -> DAY.format(day)).orElse(words.message("page.drawer.no-date")),
                test.tester(),
                words.say(test.condition().told()),
                TestFigure.told(test, words),
                warmUp(test, words),
                WarmUpView.of(test, words),
                test.transconductance().isPresent()
                        ? DrawerLine.steepness(test.transconductance().getAsDouble())
                        : "",
                String.join("; ", remarks));
    }

    private static String warmUp(TesterReading test, Words words) {
        if (test.before().isEmpty()) {
            return "";
        }
        String before = TestFigure.of(test.current(), test.before().getAsDouble());
        double rise = test.rise().orElseThrow();
        String change = (rise < 0 ? "" : "+") + Figures.percent(rise);
        return test.warmMinutes().isPresent()
                ? words.message(
                        "page.drawer.rise-in",
                        before,
                        change,
                        Figures.plain(test.warmMinutes().getAsDouble()))
                : words.message("page.drawer.rise", before, change);
    }

    private static StayLine line(Sat stay, Words words) {
        return new StayLine(
                words.message(
                        "page.drawer.socket-of",
                        stay.seat().socket(),
                        stay.seat().amp()),
                DAY.format(stay.seat().since()),
                stay.seat().until() == null
                        ? words.message("page.drawer.now")
                        : DAY.format(stay.seat().until()),
                hours(stay.sitting().on(), words),
                words.say(stay.sitting().findings()));
    }

    private static String hours(Duration on, Words words) {
        return on.isZero()
                ? words.message("page.drawer.no-time")
                : on.toMinutes() < 60
                        ? on.toMinutes() + " min"
                        : Figures.plain(Math.round(on.toMinutes() / 6.0) / 10.0) + " h";
    }
}
