package yellowrail.web.discharge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.node.Bank;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.capacitor.Emptying;
import yellowrail.core.discharge.BankCheck;
import yellowrail.core.discharge.Charge;
import yellowrail.core.discharge.ColdVolts;
import yellowrail.core.discharge.DischargeWalk;
import yellowrail.core.quantity.Unit;
import yellowrail.core.station.Station;
import yellowrail.web.amp.AmpService;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/**
 * The capacitors of an amp: each against its own rating before anything draws, how stacks share, how long they last.
 */
@Controller
class CapacitorsController {

    private final AmpService amps;
    private final Words words;

    CapacitorsController(AmpService amps, Words words) {
        this.amps = amps;
        this.words = words;
    }

    @GetMapping("/amps/{id}/capacitors")
    ModelAndView capacitors(@PathVariable long id, @RequestParam Map<String, String> typed) {
        AmpSheet sheet = amps.newest(id).sheet();
        Faults faults = new Faults(words);
        FormReader read = new FormReader(faults);
        OptionalDouble least = read.number("least", typed.getOrDefault("least", ""), Unit.MILLIAMP, 0.001, 100);
        OptionalDouble most = read.number("most", typed.getOrDefault("most", ""), Unit.MILLIAMP, 0.001, 100);
        double resistor = read.number("resistor", typed.getOrDefault("resistor", ""), Unit.OHM, 10, 1e6)
                .orElse(BankCheck.USUAL_RESISTOR);
        double tightest = least.orElse(BankCheck.Leak.USUAL.least());
        double leakiest = most.orElse(Math.max(BankCheck.Leak.USUAL.most(), tightest));
        if (leakiest < tightest) {
            faults.say("most", "page.capacitors.leak-backwards");
            leakiest = tightest;
        }
        BankCheck.Leak leak = new BankCheck.Leak(tightest, leakiest);
        List<CapacitorView> views = new ArrayList<>();
        Optional<Emptying> emptying = Charge.of(sheet);
        for (ChartNode node : sheet.chart().nodes()) {
            node.bank().ifPresent(bank -> {
                Optional<ColdVolts> cold = ColdVolts.at(node, sheet);
                BankCheck check =
                        new BankCheck(bank, cold.orElse(new ColdVolts(bank.ratedVolts(), false)), leak, resistor);
                OptionalDouble seconds = emptying.orElseThrow().seconds(node.label(), DischargeWalk.SAFE);
                views.add(CapacitorView.of(node.label(), check, cold.isPresent(), seconds, words));
            });
        }
        whatIf(typed, read, faults, leak, resistor)
                .ifPresent(check -> views.add(
                        0,
                        CapacitorView.of(
                                words.message("page.capacitors.what-if"),
                                check,
                                true,
                                check.secondsByBleeders(),
                                words)));
        return new ModelAndView("discharge/capacitors")
                .addObject("rail", Rail.ofAmp(id, sheet.name(), Station.PLAN, words))
                .addObject("id", id)
                .addObject("typed", typed)
                .addObject("faults", faults)
                .addObject("rows", views);
    }

    /** A stack that is only thought of; empty until all of it is typed. */
    private static Optional<BankCheck> whatIf(
            Map<String, String> typed, FormReader read, Faults faults, BankCheck.Leak leak, double resistor) {
        OptionalDouble volts = read.number("volts", typed.getOrDefault("volts", ""), Unit.VOLT, 1, 3000);
        OptionalDouble farads = read.number("farads", typed.getOrDefault("farads", ""), Unit.MICROFARAD, 0.01, 100_000);
        OptionalDouble rated = read.number("rated", typed.getOrDefault("rated", ""), Unit.VOLT, 1, 3000);
        OptionalDouble bleeder = read.number("bleeder", typed.getOrDefault("bleeder", ""), Unit.OHM, 100, 1e8);
        String count = typed.getOrDefault("count", "").strip();
        if (!count.isEmpty() && !count.matches("[1-4]")) {
            faults.say("count", "page.capacitors.one-to-four");
        }
        if (faults.any() || volts.isEmpty() || farads.isEmpty() || rated.isEmpty()) {
            return Optional.empty();
        }
        Bank bank = new Bank(
                farads.getAsDouble(), rated.getAsDouble(), count.isEmpty() ? 1 : Integer.parseInt(count), bleeder);
        return Optional.of(new BankCheck(bank, new ColdVolts(volts.getAsDouble(), true), leak, resistor));
    }
}
