package yellowrail.web.bias;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PotReach;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.cathode.CathodeDesign;
import yellowrail.core.bias.cathode.CathodeIdle;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.Safety;
import yellowrail.core.work.CathodePower;
import yellowrail.core.work.CathodeWork;
import yellowrail.core.work.SupplyWork;
import yellowrail.core.work.WorkPlan;
import yellowrail.web.amp.Amp;
import yellowrail.web.bias.BiasService.OnTheBench;
import yellowrail.web.form.Faults;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.station.StationService;

/** Plans the work at an amp's bias and begins the run that it belongs to. */
@Service
class WorkService {

    private final BiasService bench;
    private final RunService runs;
    private final StationService stations;
    private final RunEntries entries;

    WorkService(BiasService bench, RunService runs, StationService stations, RunEntries entries) {
        this.bench = bench;
        this.runs = runs;
        this.stations = stations;
        this.entries = entries;
    }

    /** @return the plan; empty where a field is at fault */
    Optional<WorkPlan> ofSupply(OnTheBench amp, BiasForm form, Faults faults) {
        Optional<BiasSupply> supply = form.supply(faults);
        double high = form.high(faults);
        return faults.any()
                ? Optional.empty()
                : supply.map(drawn ->
                        SupplyWork.of(amp.sheet(), new BiasRange(drawn, high), amp.need(), amp.type(), amp.lift()));
    }

    /** @return the plan; empty where a field is at fault, or the type has no model */
    Optional<WorkPlan> ofCathodes(OnTheBench amp, CathodeForm form, Faults faults) {
        CathodeForm.Asked asked = form.read(faults);
        if (amp.need().isEmpty()) {
            faults.say("type", "page.cathode.no-plan");
        }
        if (faults.any()) {
            return Optional.empty();
        }
        GridNeed need = amp.need().get();
        AmpSheet sheet = amp.sheet();
        CathodeDesign design = asked.design(amp);
        CathodeIdle idle = design.group().at(asked.taken(design));
        return Optional.of(CathodeWork.of(
                sheet,
                design,
                idle,
                need,
                amp.type(),
                CathodeView.HIGH,
                CathodePower.of(sheet, amp.read(), amp.type(), need, idle)));
    }

    /** @return the run; empty where somebody else has saved another sheet in the meantime */
    @Transactional
    Optional<Long> begin(Amp amp, int version, BiasSupply supply) {
        return bench.save(amp, version, supply).map(saved -> {
            long run = runs.begin(amp.id()).id();
            stations.progress(run, amp.sheet().with(Optional.of(supply)))
                    .item(Safety.BIAS_WORK)
                    .ifPresent(item -> stations.tick(run, item, true));
            entries.enter(run, soldered(amp.sheet()), "");
            return run;
        });
    }

    /** It was off, and its pots go to their coldest stops: what was read before is of another setting. */
    private static List<Entry> soldered(AmpSheet sheet) {
        List<Entry> said = new ArrayList<>(List.of(Entry.said(ReadingKind.POWER_OFF, "", "")));
        PotReach.levels(sheet)
                .forEach(pot -> said.add(
                        pot.hotter() == Pot.Turn.UNKNOWN
                                ? Entry.said(ReadingKind.TURN, pot.name(), "")
                                : Entry.turned(pot.name(), pot.hotter().opposite())));
        return said;
    }
}
