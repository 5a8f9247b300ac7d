package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.finding.Finding;
import yellowrail.core.iron.RatioMeasurement;
import yellowrail.core.iron.lead.LeadFinding;
import yellowrail.core.iron.lead.LeadMap;
import yellowrail.core.iron.lead.LeadReading;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.words.Words;

/** Puts the ratio bench on a page. */
final class LeadBench {

    /** What a hand may touch, V. */
    private static final double TOUCH = 50;
    /** On a transformer nobody knows: the highest load on the smallest speaker. */
    private static final double MOST_TURNS = 100;

    private LeadBench() {}

    /** @param loadOhms the amp\u2019s own load with each tap on its speaker, ohm */
    static void put(
            ModelAndView page, AmpSheet sheet, double loadOhms, Map<String, String> asked, Faults faults, Words words) {
        LeadForm form = LeadForm.read(asked, faults);
        Leads leads = Leads.of(sheet, form.isKnown());
        LeadMap map = form.map(leads);
        List<Finding> says = new ArrayList<>();
        form.source()
                .ifPresent(pair -> farSide(pair, form, leads, map, loadOhms).ifPresent(says::add));
        says.addAll(map.says());
        List<Finding> more = WindingForm.say(asked, loadOhms, faults);
        page.addObject("bench", form.typed())
                .addObject("faults", faults)
                .addObject("drawing", LeadView.of(form, leads, map, words))
                .addObject("leadsSay", words.say(says))
                .addObject("windingsSay", words.say(more))
                .addObject(
                        "knowns",
                        List.of(
                                new Choice("known", words.message("page.leads.known")),
                                new Choice("numbered", words.message("page.leads.numbered"))))
                .addObject(
                        "ratio",
                        map.ratio()
                                .filter(found -> !faults.any())
                                .map(found -> RatioView.of(found, leads.pushPull(), words))
                                .orElse(null));
    }

    /** What stands at the other winding before anything is read there. */
    private static Optional<Finding> farSide(
            LeadReading.Pair source, LeadForm form, Leads leads, LeadMap map, double loadOhms) {
        boolean primary = map.windings().size() > 1
                ? map.windings().get(0).of(source.one()).isPresent()
                : leads.isPrimary(source.one());
        if (primary || form.sourceVolts().isEmpty()) {
            return Optional.empty();
        }
        double turns = map.ratio()
                .map(found -> turns(found, source))
                .orElseGet(() ->
                        tap(source).map(ohms -> Math.sqrt(loadOhms / ohms)).orElse(MOST_TURNS));
        double volts = form.sourceVolts().getAsDouble();
        return Optional.of(
                volts * turns > TOUCH
                        ? new LeadFinding.FarSideDangerous(volts * turns, TOUCH / turns, TOUCH)
                        : new LeadFinding.FarSide(volts, volts * turns));
    }

    /** Of the tap the source is on; of the smallest, which steps up most, where that is none. */
    private static double turns(RatioMeasurement ratio, LeadReading.Pair source) {
        return ratio.found().stream()
                .filter(found -> List.of(source.one(), source.other())
                        .contains(found.tap().label()))
                .findFirst()
                .orElse(ratio.found().get(0))
                .turns();
    }

    private static Optional<Double> tap(LeadReading.Pair source) {
        for (String lead : List.of(source.one(), source.other())) {
            if (lead.matches("[1-9]\\d?")
                    && List.of(source.one(), source.other()).contains("0")) {
                return Optional.of(Double.valueOf(lead));
            }
        }
        return Optional.empty();
    }
}
