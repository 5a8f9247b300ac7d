package yellowrail.web.amp;

import java.util.OptionalDouble;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

/** Fills the form from a sheet, in the units the form asks in. */
final class AmpFormWriter {

    private AmpFormWriter() {}

    static AmpForm form(AmpSheet sheet, int version) {
        CurrentSense current = sheet.current();
        Unit window = sheet.target().school().unit(current.shows());
        return new AmpForm(
                version,
                sheet.name(),
                sheet.identity().notes(),
                sheet.identity().quirks(),
                new AmpForm.Stage(
                        sheet.topology().name(),
                        sheet.tubeType(),
                        sheet.stage().ratingSystem().name(),
                        shown(sheet.stage().ownPlateWatts(), Unit.WATT),
                        String.valueOf(sheet.sockets().size()),
                        sheet.sockets().stream().anyMatch(socket -> socket.channel() != Channel.MONO) ? "on" : "",
                        sheet.bias().name()),
                sheet.sockets().stream()
                        .map(socket -> new AmpForm.SocketRow(
                                socket.label(),
                                socket.side().name(),
                                socket.channel().name(),
                                isItsOwn(socket, sheet) ? "" : socket.testPoint()))
                        .toList(),
                sheet.pots().stream()
                        .map(pot -> new AmpForm.PotRow(
                                pot.name(),
                                pot.action().name(),
                                pot.acts(),
                                pot.hotter().name(),
                                pot.verified() ? "on" : ""))
                        .toList(),
                new AmpForm.Current(
                        current.method().name(),
                        shown(current.ohms(), Unit.OHM),
                        shown(current.tolerance(), Unit.PERCENT),
                        current.shows().name(),
                        shown(current.copperCold(), Unit.CELSIUS),
                        shown(current.copperHot(), Unit.CELSIUS),
                        shown(current.otherAmps(), Unit.MILLIAMP)),
                new AmpForm.Plate(
                        sheet.plate().point().name(),
                        sheet.plate().reference().name(),
                        shown(sheet.plate().halfPrimaryOhms(), Unit.OHM)),
                new AmpForm.Screen(
                        sheet.screen().way().name(),
                        shown(sheet.screen().stopperOhms(), Unit.OHM),
                        sheet.screen().connection().name(),
                        shown(sheet.screen().tap(), Unit.PERCENT)),
                new AmpForm.Meter(
                        shown(sheet.meter().ofReading(), Unit.PERCENT),
                        Figures.plain(sheet.meter().digits()),
                        shown(sheet.meter().lastOfVolts(), Unit.VOLT),
                        shown(sheet.meter().lastOfSense(), current.shows()),
                        shown(sheet.mainsVolts(), Unit.VOLT),
                        Figures.plain(sheet.settleMinutes())),
                new AmpForm.Window(
                        sheet.target().school().name(),
                        shown(sheet.target().low(), window),
                        shown(sheet.target().aim(), window),
                        shown(sheet.target().high(), window),
                        bands(sheet.target(), window)),
                supply(sheet.supply()),
                new AmpForm.Link(
                        sheet.measuring().link().host(),
                        sheet.measuring().link().isSet()
                                ? String.valueOf(sheet.measuring().link().port())
                                : ""),
                FittingsForm.of(sheet.fittings()),
                new AmpForm.Accepted(
                        shown(sheet.accepted().plateVolts(), Unit.VOLT),
                        shown(sheet.accepted().screenVolts(), Unit.VOLT)),
                null);
    }

    /** The table of a current window, a line for each plate voltage. */
    private static String bands(Target target, Unit unit) {
        return target.bands().stream()
                .map(band -> "%s: %s %s %s"
                        .formatted(
                                Figures.plain(band.volts()),
                                shown(band.low(), unit),
                                shown(band.aim(), unit),
                                shown(band.high(), unit)))
                .collect(Collectors.joining("\n"));
    }

    private static AmpForm.Supply supply(Supply supply) {
        return new AmpForm.Supply(
                supply.rectifier().name(),
                supply.standby() ? "on" : "",
                shown(supply.secondaryVolts(), Unit.VOLT),
                shown(supply.capacitorVolts(), Unit.VOLT),
                shown(supply.otherAmps(), Unit.MILLIAMP),
                shown(supply.resistorWatts(), Unit.WATT),
                shown(supply.biasFeedOhms(), Unit.OHM),
                shown(supply.biasShuntOhms(), Unit.OHM),
                shown(supply.regulation(), Unit.PERCENT),
                supply.behindStandby() ? "on" : "",
                supply.bridge() ? "on" : "",
                supply.biasRegulated() ? "on" : "");
    }

    private static String shown(OptionalDouble si, Unit unit) {
        return si.isPresent() ? shown(si.getAsDouble(), unit) : "";
    }

    private static String shown(double si, Unit unit) {
        return Figures.plain(unit.fromSi(si));
    }

    /** A test point that is called as its socket, and is no other's, follows when the socket is called otherwise. */
    private static boolean isItsOwn(Socket socket, AmpSheet sheet) {
        return socket.testPoint().equals(socket.label())
                && sheet.sockets().stream()
                                .filter(other -> other.testPoint().equals(socket.testPoint()))
                                .count()
                        == 1;
    }
}
