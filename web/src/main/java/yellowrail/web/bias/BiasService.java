package yellowrail.web.bias;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.bias.cathode.OwnResistor;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.idle.LastKnown;
import yellowrail.core.idle.LastRead;
import yellowrail.core.quantity.Figures;
import yellowrail.core.swap.GridNeeds;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.form.Choice;
import yellowrail.web.run.RunService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.tubes.TypeOffers;
import yellowrail.web.words.Words;

/** What the bias bench knows of an amp. */
@Service
class BiasService {

    private static final double USUAL_LEAK = 220_000;

    private final AmpService amps;
    private final RunService runs;
    private final TubeService tubes;

    BiasService(AmpService amps, RunService runs, TubeService tubes) {
        this.amps = amps;
        this.runs = runs;
        this.tubes = tubes;
    }

    /**
     * An amp on the bench.
     *
     * @param supply its bias supply, or one to begin with
     * @param type whose needs are asked for
     * @param need what its grids need; empty where the type has no model or the plates were not read
     * @param read what was read last
     * @param tubes each as it was read; none where another type is to go in, or fewer than two were read
     */
    record OnTheBench(
            Amp amp,
            BiasSupply supply,
            boolean example,
            TubeType type,
            Optional<GridNeed> need,
            LastRead read,
            List<OwnResistor.Tube> tubes) {

        /** What the cathodes stand at, V. */
        double lift() {
            return read.cathodeVolts();
        }

        AmpSheet sheet() {
            return amp.sheet();
        }

        /** Whether that is another type than the amp's. */
        boolean isSwap() {
            return !sheet().isOf(type);
        }
    }

    /** As it was read. */
    @Transactional(readOnly = true)
    OnTheBench amp(long id, String wanted) {
        return amp(id, wanted, OptionalDouble.empty());
    }

    /** The types that what they need can be computed for. */
    List<Choice> types() {
        return TypeOffers.modelled(tubes.catalogue());
    }

    /**
     * @param wanted a type that is to go in; blank for the amp's own
     * @param plates to plan by, V; empty for what was read
     */
    @Transactional(readOnly = true)
    OnTheBench amp(long id, String wanted, OptionalDouble plates) {
        Amp amp = amps.newest(id);
        AmpSheet sheet = amp.sheet();
        TubeType own = tubes.catalogue().find(sheet.tubeType()).orElseThrow();
        TubeType type = tubes.catalogue().find(wanted).orElse(own);
        LastKnown last = runs.lastKnown(amp);
        LastRead read = last.read().withPlates(plates);
        boolean isIn = sheet.isOf(type);
        Optional<GridNeed> need = GridNeeds.of(SwapAmp.of(sheet, read), type, isIn);
        return new OnTheBench(
                amp,
                sheet.biasSupply().orElseGet(() -> example(sheet)),
                sheet.biasSupply().isEmpty(),
                type,
                need,
                read,
                need.filter(found -> isIn)
                        .flatMap(found -> TubeModels.published()
                                .of(type)
                                .map(known -> GridNeeds.each(last.tubes(), found, known)))
                        .filter(found -> found.size() > 1)
                        .orElse(List.of()));
    }

    /** Something to begin with, which is not this amp's and says so; what its sheet knows is in it. */
    private static BiasSupply example(AmpSheet sheet) {
        Kind kind = sheet.pots().isEmpty() ? Kind.FIXED : Kind.DIVIDER_POT;
        return new BiasSupply(
                new BiasSource(50, 30, sheet.mainsHertz(), Rectification.HALF_WAVE, OptionalDouble.empty()),
                new Smoothing(
                        1000,
                        47e-6,
                        OptionalDouble.of(100),
                        sheet.supply().biasFeedOhms().orElse(4700),
                        47e-6,
                        OptionalDouble.of(100)),
                BiasNetwork.of(kind, 0, 10_000, sheet.supply().biasShuntOhms().orElse(22_000)),
                sheet.fittings().gridLeakOhms().orElse(USUAL_LEAK),
                OptionalDouble.empty());
    }

    /** What the needed volts rest on. */
    String basis(OnTheBench amp, Words words) {
        if (amp.need().isEmpty()) {
            return words.message(
                    amp.read().plateVolts().isPresent() ? "page.bias.no-model" : "page.bias.plates-not-read",
                    amp.type().name());
        }
        GridNeed need = amp.need().get();
        return words.message(
                need.read().isPresent() ? "page.bias.by-reading" : "page.bias.by-model",
                need.type(),
                Figures.volts(need.plate()),
                Figures.milliamps(need.amps()),
                Figures.volts(need.volts()),
                Figures.fixed(need.plusMinus(), 1));
    }

    /** @return the version now saved; empty where somebody else has saved one in the meantime */
    Optional<Integer> save(Amp amp, int version, BiasSupply supply) {
        return amps.save(amp.id(), version, amp.sheet().with(Optional.of(supply)));
    }
}
