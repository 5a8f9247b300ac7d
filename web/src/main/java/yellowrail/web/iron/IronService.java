package yellowrail.web.iron;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Iron;
import yellowrail.core.idle.LastKnown;
import yellowrail.core.idle.LastRead;
import yellowrail.core.quantity.Figures;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.Idle;
import yellowrail.core.stage.SupplySag;
import yellowrail.core.supply.KnownLine;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.drawer.OwnTubeService;
import yellowrail.web.form.Choice;
import yellowrail.web.run.RunService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.tubes.TypeOffers;
import yellowrail.web.words.Words;

/** What the iron\u2019s pages know of an amp, and the settings kept for it. */
@Service
class IronService {

    static final int MOST_KEPT = 12;
    private static final double SAME_GRIDS = 1;

    private final AmpService amps;
    private final RunService runs;
    private final TubeService tubes;
    private final OwnTubeService owns;
    private final KeptMapper mapper;
    private final DocumentKind<KeptDocument> documents;
    private final Clock clock;

    IronService(
            AmpService amps,
            RunService runs,
            TubeService tubes,
            OwnTubeService owns,
            KeptMapper mapper,
            JsonColumn json,
            Clock clock) {
        this.owns = owns;
        this.clock = clock;
        this.amps = amps;
        this.runs = runs;
        this.tubes = tubes;
        this.mapper = mapper;
        this.documents = KeptDocument.kind(json);
    }

    /**
     * An amp and its output stage as read last.
     *
     * @param type whose model stands for the amp\u2019s tubes
     * @param read what was read last
     * @param own its stage
     * @param other whether that is another type than the amp\u2019s, which has no model
     */
    record AmpWithStage(Amp amp, TubeType type, KnownModel model, LastRead read, AmpStage own, boolean other) {

        /** What was read and cannot be used, in words. */
        String unusable(Words words) {
            return read.unusable().map(words::say).orElse("");
        }

        /** Where the model puts the grids for the idle that was read, if that is not where they were read. */
        String grids(Words words) {
            double wanted = Idle.of(own.stage()).gridVolts();
            return read.biasVolts().isEmpty()
                            || read.plateAmps().isEmpty()
                            || Math.abs(wanted - read.biasVolts().getAsDouble()) < SAME_GRIDS
                    ? ""
                    : words.message(
                            "page.load-line.grids-differ",
                            Figures.volts(read.biasVolts().getAsDouble()),
                            Figures.volts(wanted));
        }
    }

    /** A kept setting. */
    record Kept(long id, LoadLineForm form) {}

    /** As read last. */
    @Transactional(readOnly = true)
    AmpWithStage amp(long id) {
        Amp amp = amps.newest(id);
        return amp(amp, runs.lastKnown(amp));
    }

    /** By its sheet alone: while something is dragged every figure comes with the request. */
    @Transactional(readOnly = true)
    AmpWithStage unread(long id) {
        Amp amp = amps.newest(id);
        return amp(amp, runs.unread(amp));
    }

    private AmpWithStage amp(Amp amp, LastKnown last) {
        AmpSheet sheet = amp.sheet();
        TubeType type = type(sheet.tubeType());
        Optional<KnownModel> model = TubeModels.published().of(type);
        KnownModel known = model.orElseGet(TubeModels.published()::any);
        LastRead read = last.read();
        return new AmpWithStage(
                amp,
                model.isPresent() ? type : type(known.type()),
                known,
                read,
                own(AmpStage.of(sheet, read, type, known.model()), read, sheet, last),
                model.isEmpty());
    }

    /** On the supply that the amp’s own readings tell; on a stiff one where they tell none. */
    private static AmpStage own(AmpStage stiff, LastRead read, AmpSheet sheet, LastKnown last) {
        double rest = sheet.supply().otherAmps().orElse(SupplySag.USUAL_REST);
        try {
            return stiff.asRead(
                    read.sidesApart(), last.log().map(KnownLine::measuredOhms).orElse(OptionalDouble.empty()), rest);
        } catch (UnsettledException e) {
            return stiff;
        }
    }

    /** The types that a load line can be computed for. */
    List<Choice> types() {
        return TypeOffers.modelled(tubes.catalogue());
    }

    Optional<KnownModel> model(String name) {
        return tubes.catalogue().find(name).flatMap(TubeModels.published()::of);
    }

    /** A tube of the drawer with a model of its own, if its type is listed. */
    Optional<OwnTubeService.Own> own(String typed) {
        return owns.of(typed).filter(own -> tubes.catalogue().find(own.type()).isPresent());
    }

    TubeType type(String name) {
        return tubes.catalogue().find(name).orElseThrow();
    }

    @Transactional(readOnly = true)
    List<Kept> kept(long ampId) {
        return mapper.ofAmp(ampId).stream()
                .map(row -> new Kept(row.id(), documents.read(row.setting()).form()))
                .toList();
    }

    @Transactional
    boolean keep(long ampId, KeptDocument setting) {
        amps.newest(ampId);
        if (mapper.ofAmp(ampId).size() >= MOST_KEPT) {
            return false;
        }
        mapper.keep(ampId, documents.write(setting), OffsetDateTime.now(clock));
        return true;
    }

    @Transactional
    void drop(long ampId, long id) {
        mapper.drop(ampId, id);
    }

    /**
     * Writes a measured primary and its taps on the sheet.
     *
     * @return false if somebody else has saved the sheet at the same moment; then nothing is changed
     */
    @Transactional
    boolean write(long ampId, double loadOhms, List<Double> taps) {
        Amp amp = amps.newest(ampId);
        Iron iron = amp.sheet().fittings().iron();
        return amps.save(
                        ampId,
                        amp.version(),
                        amp.sheet()
                                .with(amp.sheet()
                                        .fittings()
                                        .with(
                                                OptionalDouble.of(loadOhms),
                                                new Iron(taps, iron.copperOhms(), iron.hookups(), iron.core()))))
                .isPresent();
    }
}
