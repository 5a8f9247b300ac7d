package yellowrail.web.run;

import java.util.Locale;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.IdleProblem;
import yellowrail.core.idle.Slot;
import yellowrail.core.quantity.Figures;
import yellowrail.web.words.Words;

/** Names the numbers that went into a tube\u2019s idle, and tells where each is from. */
record InputWords(IdleFigures figures, Words words) {

    String name(Slot slot) {
        return words.message(key(slot));
    }

    String from(Slot slot) {
        IdleProblem problem = figures.problem();
        String key = key(slot) + ".from";
        return switch (slot) {
            case PLATE_READING ->
                words.message(
                        key,
                        words.name(problem.plate().point()),
                        words.name(problem.plate().reference()));
            case SENSE_READING -> words.message(key, words.name(problem.sense().method()));
            case SENSE_OHMS, SCREEN_SHARE, HALF_PRIMARY, OTHER_AMPS -> words.message(key, spread(slot));
            case COPPER -> words.message(problem.sense().copperHot().isPresent() ? key : key(slot) + ".assumed");
            case CATHODE_VOLTS, SCREEN_AMPS -> words.message(key);
            case SCREEN_VOLTS -> words.message(key, words.name(problem.plate().reference()));
        };
    }

    /** The plus-minus as a part of the value. */
    private String spread(Slot slot) {
        return Figures.percent(
                figures.input(slot).plusMinus() / figures.input(slot).value());
    }

    private static String key(Slot slot) {
        return "input." + slot.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
