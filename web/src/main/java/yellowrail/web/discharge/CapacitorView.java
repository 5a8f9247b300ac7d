package yellowrail.web.discharge;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.capacitor.SeriesStack;
import yellowrail.core.discharge.BankCheck;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/**
 * A capacitor or a stack as the page shows it.
 *
 * @param share of the bar that the worst placed of a stack takes, px; 0 for a single one
 * @param rated of the bar that one is rated for, px
 * @param says its sentences, what matters most first
 */
record CapacitorView(String label, String what, boolean over, double share, double rated, List<String> says) {

    private static final double WIDTH = 400;
    private static final double MINUTES_FROM = 120;

    /**
     * @param known whether anybody knows what it stands at
     * @param seconds until it is under 5 V by itself; empty where nothing drains it
     */
    static CapacitorView of(String label, BankCheck check, boolean known, OptionalDouble seconds, Words words) {
        double volts = Math.abs(check.volts());
        List<String> says = new ArrayList<>();
        says.add(words.message(
                stands(check, known), volts(volts), volts(check.bank().ratedVolts())));
        check.bare().ifPresent(bare -> sharing(check, bare, volts, says, words));
        says.add(words.message(
                "page.capacitors.stored",
                Figures.fixed(check.joules(), 1),
                time(seconds, words),
                time(OptionalDouble.of(check.secondsByResistor()), words),
                Figures.in(Unit.KILOHM, check.resistorOhms()),
                Figures.fixed(check.resistorWatts(), 1)));
        double worst = check.stack().map(stack -> stack.worst(volts) / volts).orElse(0.0);
        return new CapacitorView(
                label,
                words.message(
                        "page.capacitors.what",
                        String.valueOf(check.bank().inSeries()),
                        Figures.in(Unit.MICROFARAD, check.bank().farads()),
                        Figures.in(Unit.VOLT, check.bank().volts())),
                check.isOver()
                        || check.stack()
                                .filter(stack ->
                                        stack.worst(volts) > check.bank().volts())
                                .isPresent(),
                WIDTH * worst,
                WIDTH * check.bank().volts() / volts,
                says);
    }

    private static String stands(BankCheck check, boolean known) {
        if (!known) {
            return "page.capacitors.not-known";
        } else if (check.isOver()) {
            return "page.capacitors.over";
        }
        return check.cold().isMost() ? "page.capacitors.within" : "page.capacitors.or-more";
    }

    private static void sharing(BankCheck check, SeriesStack bare, double volts, List<String> says, Words words) {
        says.add(words.message(
                "page.capacitors.bare",
                volts(bare.worst(volts)),
                volts(check.bank().volts())));
        SeriesStack stack = check.stack().orElseThrow();
        if (stack.bleeder().isPresent()) {
            says.add(words.message(
                    "page.capacitors.with-bleeders",
                    Figures.in(Unit.KILOHM, stack.bleeder().getAsDouble()),
                    volts(stack.worst(volts)),
                    Figures.milliamps(stack.amps(volts)),
                    Figures.watts(stack.watts(volts)),
                    Figures.watts(stack.worstWatts(volts))));
        }
        bare.largestBleeder(volts)
                .ifPresent(ohms -> says.add(words.message("page.capacitors.largest", Figures.in(Unit.KILOHM, ohms))));
    }

    private static String volts(double volts) {
        return Figures.fixed(volts, 0) + " V";
    }

    private static String time(OptionalDouble seconds, Words words) {
        if (seconds.isEmpty()) {
            return words.message("page.capacitors.never");
        }
        double value = seconds.getAsDouble();
        return value < MINUTES_FROM
                ? Figures.fixed(value, value < 10 ? 1 : 0) + " s"
                : Figures.fixed(Unit.MINUTE.fromSi(value), 1) + " min";
    }
}
