package yellowrail.web.amp.document;

import java.util.OptionalDouble;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Measuring;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.MeterLink;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.quantity.Unit;

/** How an amp is measured, as it is stored. */
record MeasuringPart(
        CurrentPart current,
        PlatePart plate,
        ScreenPart screen,
        MeterPart meter,
        double mainsVolts,
        double settleMinutes,
        LinkPart meterLink) {

    /** How current is read. */
    record CurrentPart(
            CurrentMethod method,
            OptionalDouble ohms,
            double tolerance,
            Unit shows,
            double copperCold,
            OptionalDouble copperHot,
            OptionalDouble otherAmps) {}

    /** Where plate voltage is read. */
    record PlatePart(PlateSense.Point point, PlateSense.Reference reference, OptionalDouble halfPrimaryOhms) {}

    /** How screen current is counted. */
    record ScreenPart(
            ScreenSense.Way way, OptionalDouble stopperOhms, ScreenSense.Connection connection, OptionalDouble tap) {}

    /** The meter's accuracy. */
    record MeterPart(double ofReading, double digits, double lastOfVolts, double lastOfSense) {}

    /** Where the meter can be asked. */
    record LinkPart(String host, int port) {}

    static MeasuringPart of(Measuring of) {
        CurrentSense current = of.current();
        PlateSense plate = of.plate();
        ScreenSense screen = of.screen();
        MeterAccuracy meter = of.meter();
        return new MeasuringPart(
                new CurrentPart(
                        current.method(),
                        current.ohms(),
                        current.tolerance(),
                        current.shows(),
                        current.copperCold(),
                        current.copperHot(),
                        current.otherAmps()),
                new PlatePart(plate.point(), plate.reference(), plate.halfPrimaryOhms()),
                new ScreenPart(screen.way(), screen.stopperOhms(), screen.connection(), screen.tap()),
                new MeterPart(meter.ofReading(), meter.digits(), meter.lastOfVolts(), meter.lastOfSense()),
                of.mainsVolts(),
                of.settleMinutes(),
                new LinkPart(of.link().host(), of.link().port()));
    }

    Measuring measuring() {
        return new Measuring(
                new CurrentSense(
                        current.method(),
                        current.ohms(),
                        current.tolerance(),
                        current.shows(),
                        current.copperCold(),
                        current.copperHot(),
                        current.otherAmps()),
                new PlateSense(plate.point(), plate.reference(), plate.halfPrimaryOhms()),
                new ScreenSense(screen.way(), screen.stopperOhms(), screen.connection(), screen.tap()),
                new MeterAccuracy(meter.ofReading(), meter.digits(), meter.lastOfVolts(), meter.lastOfSense()),
                mainsVolts,
                settleMinutes,
                meterLink == null ? MeterLink.NONE : new MeterLink(meterLink.host(), meterLink.port()));
    }
}
