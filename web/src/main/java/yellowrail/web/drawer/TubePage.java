package yellowrail.web.drawer;

import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.drawer.Tap;
import yellowrail.core.drawer.TubeTest;
import yellowrail.core.quantity.Figures;

/** One tube's page: what it is, its tests, where it sat. */
final class TubePage {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private TubePage() {
    }

    /** One test as it is shown. */
    record TestLine(String day, String tester, String condition, String figure, String warmUp, String steepness, String remarks) {
    }

    /** A stay in an amp. */
    record StayLine(String where, String from, String to, String hours, List<String> findings) {
    }

    static ModelAndView of(Kept kept, List<TubeTest> tests, List<DrawerService.Stay> stays) {
        Duration on = stays.stream().map(stay -> stay.sitting().on()).reduce(Duration.ZERO, Duration::plus);
        return new ModelAndView("drawer/tube").addObject("kept", kept).addObject("tests", tests.stream().map(TubePage::line).toList())
                .addObject("stays", stays.stream().map(TubePage::line).toList()).addObject("hours", hours(on))
                .addObject("bought", kept.tube().bought().map(DAY::format).orElse("not noted"));
    }

    private static TestLine line(TubeTest test) {
        List<String> remarks = new ArrayList<>();
        if (test.isUnstable()) {
            remarks.add("unstable");
        }
        if (test.tap() != Tap.UNKNOWN) {
            remarks.add("tap: " + test.tap().inWords());
        }
        if (!test.gas().isBlank()) {
            remarks.add(test.gas());
        }
        return new TestLine(test.tested().map((LocalDate day) -> DAY.format(day)).orElse("no date"), test.tester(), test.condition().inWords(),
                "%s %s".formatted(Figures.milliamps(test.amps()), test.current().inWords()),
                test.before().isEmpty() ? "" : "%s before, %+.1f %%%s".formatted(Figures.milliamps(test.before().getAsDouble()), 100 * test.rise().getAsDouble(),
                        test.warmMinutes().isPresent() ? " in %s min".formatted(Figures.plain(test.warmMinutes().getAsDouble())) : ""),
                test.transconductance().isPresent() ? DrawerLine.steepness(test.transconductance().getAsDouble()) : "", String.join("; ", remarks));
    }

    private static StayLine line(DrawerService.Stay stay) {
        return new StayLine("%s of %s".formatted(stay.seat().socket(), stay.amp()), DAY.format(stay.seat().since()),
                stay.seat().until() == null ? "now" : DAY.format(stay.seat().until()), hours(stay.sitting().on()), stay.sitting().findings());
    }

    private static String hours(Duration on) {
        return on.isZero() ? "no time" : on.toMinutes() < 60 ? on.toMinutes() + " min" : Figures.plain(Math.round(on.toMinutes() / 6.0) / 10.0) + " h";
    }
}
