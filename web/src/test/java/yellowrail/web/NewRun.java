package yellowrail.web;

import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunService;

/** A run on a new amp: a pair of one type, fixed bias. */
public final class NewRun {

    private NewRun() {}

    /** @return its number */
    public static long of(String type) {
        long amp = RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find(type).orElseThrow(),
                                2,
                                false)
                        .sheet());
        return RunningApplication.bean(RunService.class).begin(amp).id();
    }
}
