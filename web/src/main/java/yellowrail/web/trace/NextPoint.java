package yellowrail.web.trace;

import yellowrail.core.quantity.Figures;
import yellowrail.core.trace.TracePlan;
import yellowrail.core.tube.TubeType;
import yellowrail.web.words.Words;

/**
 * The point to read now, as it is told and as it fills the form.
 *
 * @param stop at which current to go back at once
 * @param number of the step, to touch another by
 */
record NextPoint(String plate, String screen, String grid, String says, String stop, int number) {

    /** @param touched the number of the step that was touched, else blank */
    static NextPoint of(TracePlan plan, String touched, TubeType type, Words words) {
        int number = touched.matches("\\d{1,3}") ? Integer.parseInt(touched) : -1;
        TracePlan.Step step = number >= 0 && number < plan.steps().size()
                ? plan.steps().get(number)
                : plan.next().orElse(null);
        if (step == null) {
            return null;
        }
        String screen = step.screen().isPresent() ? Figures.plain(step.screen().getAsDouble()) : "";
        return new NextPoint(
                Figures.plain(step.plate()),
                screen,
                Figures.plain(step.grid()),
                words.message(
                        screen.isEmpty() ? "page.trace.next" : "page.trace.next-with-screen",
                        Figures.plain(step.grid()),
                        Figures.plain(step.plate()),
                        milliamps(step.expected()),
                        screen),
                step.isLimited()
                        ? words.message(
                                "page.trace.stop",
                                milliamps(step.stop()),
                                type.name(),
                                Figures.plain(type.customaryRating().plateWatts()))
                        : words.message("page.trace.stop-at-twice", milliamps(step.stop())),
                plan.steps().indexOf(step));
    }

    static String milliamps(double amps) {
        return Figures.fixed(1e3 * amps, 1) + " mA";
    }
}
