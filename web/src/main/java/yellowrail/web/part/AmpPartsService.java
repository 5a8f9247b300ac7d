package yellowrail.web.part;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.LastRead;
import yellowrail.core.part.stress.MainsDraw;
import yellowrail.core.part.stress.StageCurrents;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunService;
import yellowrail.web.tubes.TubeService;

/** What the page of an amp's parts knows of it. */
@Service
class AmpPartsService {

    private final AmpService amps;
    private final RunService runs;
    private final TubeService tubes;

    AmpPartsService(AmpService amps, RunService runs, TubeService tubes) {
        this.amps = amps;
        this.runs = runs;
        this.tubes = tubes;
    }

    /**
     * An amp whose parts are looked at.
     *
     * @param stage one channel and what was taken for what is not known; empty where the type has no model
     * @param flows at rest, driven and without bias; empty likewise, and where the driven stage does not settle
     */
    record AmpWithParts(
            Amp amp, LastRead read, Optional<AmpStage> stage, Optional<StageCurrents> flows, double heaterWatts) {

        AmpSheet sheet() {
            return amp.sheet();
        }
    }

    @Transactional(readOnly = true)
    AmpWithParts amp(long id) {
        Amp amp = amps.newest(id);
        AmpSheet sheet = amp.sheet();
        TubeType type = tubes.catalogue().find(sheet.tubeType()).orElseThrow();
        LastRead read = runs.lastKnown(amp).read();
        Optional<AmpStage> stage =
                TubeModels.published().of(type).map(known -> AmpStage.of(sheet, read, type, known.model()));
        return new AmpWithParts(
                amp,
                read,
                stage,
                stage.flatMap(one -> flows(one, sheet)),
                MainsDraw.heaters(sheet, type, tubes.catalogue()));
    }

    private static Optional<StageCurrents> flows(AmpStage one, AmpSheet sheet) {
        try {
            return Optional.of(new StageCurrents(
                    new FullDrive(one.stage()).compute(),
                    sheet.channels(),
                    sheet.supply().otherAmps().orElse(0)));
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }
}
