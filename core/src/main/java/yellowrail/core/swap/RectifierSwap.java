package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.RectifierType;

/**
 * A tube rectifier for silicon and back: what the plates then stand at, and the current that keeps the dissipation equal,
 * {@code I' = I Va / (Va + dV)}, with {@code dV} the difference of the typical drops.
 */
public final class RectifierSwap {

    private final SwapAmp amp;
    private final RectifierType in;
    private final RectifierType wants;

    public RectifierSwap(SwapAmp amp, RectifierType in, RectifierType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
    }

    public SwapReport report() {
        List<Line> lines = new ArrayList<>(List.of(heater(), current(), capacitor(), volts()));
        return new SwapReport(in.name(), wants.name(), lines);
    }

    private String source() {
        return "Published data sheets%s.".formatted(in.sure() && wants.sure() ? "" : ", verify with your maker\u2019s sheet");
    }

    private Line heater() {
        if (wants.isSilicon()) {
            return new Line("rectifier heater", Outcome.HOLDS, "Silicon needs none.", "", source());
        }
        String wanted = "%s V, %s A".formatted(Figures.plain(wants.heaterVolts()), Figures.plain(wants.heaterAmps()));
        if (in.isSilicon()) {
            return new Line("rectifier heater", Outcome.UNKNOWN, "%s needs a winding of %s of its own: is there one?".formatted(wants.name(), wanted), "", source());
        }
        boolean volts = in.heaterVolts() == wants.heaterVolts();
        boolean amps = wants.heaterAmps() <= in.heaterAmps();
        return new Line("rectifier heater", !volts ? Outcome.STOP : amps ? Outcome.HOLDS : Outcome.UNKNOWN, "%s for %s V, %s A%s.".formatted(wanted, Figures.plain(in.heaterVolts()), Figures.plain(in.heaterAmps()),
                volts && !amps ? ": find out what the winding is rated for" : ""), "", source());
    }

    private Line current() {
        if (amp.cathodeAmps().isEmpty()) {
            return new Line("rectifier current", Outcome.UNKNOWN, "%s at most: read the currents first.".formatted(SwapCheck.rated(wants.dcAmps())), "", source());
        }
        double total = amp.tubes() * amp.cathodeAmps().getAsDouble() + amp.otherAmps().orElse(0);
        return new Line("rectifier current", total > wants.dcAmps() ? Outcome.STOP : Outcome.HOLDS, "%s at idle of %s.".formatted(Figures.milliamps(total), SwapCheck.rated(wants.dcAmps())),
                "%d \u00d7 %s + %s; full drive takes more.".formatted(amp.tubes(), Figures.milliamps(amp.cathodeAmps().getAsDouble()), amp.otherInWords()), source());
    }

    private Line capacitor() {
        OptionalDouble first = amp.fittings().firstFarads();
        String most = String.format(Locale.ROOT, "%.0f", wants.firstFarads() * 1e6);
        if (wants.isSilicon()) {
            return new Line("first capacitor", Outcome.HOLDS, "Silicon charges any; look at its voltage when cold: B+ stands at the winding\u2019s peak.", "", source());
        }
        if (first.isEmpty()) {
            return new Line("first capacitor", Outcome.UNKNOWN, "At most %s \u00b5F: find out what is in.".formatted(most), "", source());
        }
        boolean holds = first.getAsDouble() <= wants.firstFarads() * (1 + 1e-9);
        return new Line("first capacitor", holds ? Outcome.HOLDS : Outcome.CHANGE, "%s \u00b5F of at most %s \u00b5F%s.".formatted(Figures.plain(first.getAsDouble() * 1e6), most, holds ? "" : ": a smaller one first"), "",
                source());
    }

    private Line volts() {
        double rise = in.dropVolts() - wants.dropVolts();
        String arithmetic = "Typical drops: %s %s V, %s %s V.".formatted(in.name(), Figures.plain(in.dropVolts()), wants.name(), Figures.plain(wants.dropVolts()));
        if (amp.plateVolts().isEmpty() || amp.cathodeAmps().isEmpty()) {
            return new Line("plates and dissipation", Outcome.UNKNOWN, "The plates move by about %+.0f V: read them to know the current that keeps the dissipation.".formatted(rise), arithmetic, source());
        }
        double plate = amp.plateVolts().getAsDouble();
        double amps = amp.cathodeAmps().getAsDouble() * plate / (plate + rise);
        boolean same = Math.abs(rise) < 0.01 * plate;
        return new Line("plates and dissipation", same ? Outcome.HOLDS : Outcome.CHANGE, "The plates move by about %+.0f V to %s; %s each keeps the dissipation equal, not the present %s.".formatted(rise,
                Figures.volts(plate + rise), Figures.milliamps(amps), Figures.milliamps(amp.cathodeAmps().getAsDouble())),
                arithmetic + " %s \u00d7 %s / %s.".formatted(Figures.milliamps(amp.cathodeAmps().getAsDouble()), Figures.volts(plate), Figures.volts(plate + rise)), source());
    }
}
