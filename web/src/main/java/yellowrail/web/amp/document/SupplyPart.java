package yellowrail.web.amp.document;

import java.util.OptionalDouble;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;

/** The supply as it is stored. */
record SupplyPart(
        Rectifier rectifier,
        boolean standby,
        OptionalDouble secondaryVolts,
        OptionalDouble capacitorVolts,
        OptionalDouble otherAmps,
        OptionalDouble resistorWatts,
        OptionalDouble biasFeedOhms,
        OptionalDouble biasShuntOhms,
        OptionalDouble regulation,
        Boolean behindStandby,
        Boolean bridge,
        Boolean biasRegulated) {

    static SupplyPart of(Supply supply) {
        return new SupplyPart(
                supply.rectifier(),
                supply.standby(),
                supply.secondaryVolts(),
                supply.capacitorVolts(),
                supply.otherAmps(),
                supply.resistorWatts(),
                supply.biasFeedOhms(),
                supply.biasShuntOhms(),
                supply.regulation(),
                supply.behindStandby(),
                supply.bridge(),
                supply.biasRegulated());
    }

    Supply supply() {
        return new Supply(
                rectifier,
                standby,
                secondaryVolts,
                capacitorVolts,
                otherAmps,
                resistorWatts,
                biasFeedOhms,
                biasShuntOhms,
                regulation,
                Boolean.TRUE.equals(behindStandby),
                Boolean.TRUE.equals(bridge),
                Boolean.TRUE.equals(biasRegulated));
    }
}
