package yellowrail.web.amp.document;

import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.amp.Core;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Iron;

/** What another tube would meet, as it is stored. */
record FittingsPart(
        OptionalDouble heaterAmps,
        OptionalDouble otherHeaterAmps,
        String rectifierTube,
        OptionalDouble firstFarads,
        OptionalDouble transformerAmps,
        OptionalDouble chokeAmps,
        OptionalDouble outputAmps,
        OptionalDouble heightMm,
        OptionalDouble widthMm,
        OptionalDouble gridLeakOhms,
        OptionalDouble loadOhms,
        OptionalDouble biasColdest,
        OptionalDouble biasHottest,
        OptionalDouble driveVolts,
        OptionalDouble screenVolts,
        String tiedPins,
        Fittings.PinOne pinOne,
        String familySwitch,
        IronPart iron) {

    /** The output transformer. */
    record IronPart(List<Double> taps, OptionalDouble copperOhms, List<String> hookups, CorePart core) {

        private Iron iron() {
            return new Iron(
                    taps == null ? List.of() : taps,
                    copperOhms,
                    hookups == null ? List.of() : hookups,
                    core == null ? Core.UNKNOWN : new Core(core.kind(), core.amps(), core.ratio()));
        }
    }

    /** Its core; missing on a sheet from before it was asked for. */
    record CorePart(Core.Kind kind, OptionalDouble amps, OptionalDouble ratio) {}

    static FittingsPart of(Fittings of) {
        Iron iron = of.iron();
        return new FittingsPart(
                of.heaterAmps(),
                of.otherHeaterAmps(),
                of.rectifierTube(),
                of.firstFarads(),
                of.transformerAmps(),
                of.chokeAmps(),
                of.outputAmps(),
                of.heightMm(),
                of.widthMm(),
                of.gridLeakOhms(),
                of.loadOhms(),
                of.biasColdest(),
                of.biasHottest(),
                of.driveVolts(),
                of.screenVolts(),
                of.tiedPins(),
                of.pinOne(),
                of.familySwitch(),
                new IronPart(
                        iron.taps(),
                        iron.copperOhms(),
                        iron.hookups(),
                        new CorePart(
                                iron.core().kind(),
                                iron.core().amps(),
                                iron.core().ratio())));
    }

    Fittings fittings() {
        return new Fittings(
                heaterAmps,
                otherHeaterAmps,
                rectifierTube == null ? "" : rectifierTube,
                firstFarads,
                transformerAmps,
                chokeAmps,
                outputAmps,
                heightMm,
                widthMm,
                gridLeakOhms,
                loadOhms,
                biasColdest,
                biasHottest,
                driveVolts,
                screenVolts,
                tiedPins == null ? "" : tiedPins,
                pinOne == null ? Fittings.PinOne.UNKNOWN : pinOne,
                familySwitch == null ? "" : familySwitch,
                iron == null ? Iron.UNKNOWN : iron.iron());
    }
}
