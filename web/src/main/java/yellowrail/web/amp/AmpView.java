package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.Supply;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * The amp sheet as it is shown.
 *
 * @param id      the amp's number
 * @param version of the sheet
 * @param what    what it is, in one line
 * @param facts   the rest, as name and value
 * @param pots    each pot in one line
 * @param quirks  in the builder's words
 * @param notes   in the builder's words
 * @param drawing the stage drawn
 * @param occupants what is written on the tube in each socket, blank where none of the drawer sits
 */
record AmpView(long id, int version, String what, List<Fact> facts, List<String> pots, String quirks, String notes, StageDrawing drawing,
               List<String> occupants) {

    /** A line of the sheet. */
    record Fact(String name, String value) {
    }

    static AmpView of(Amp amp, TubeCatalogue catalogue, Map<String, String> seated) {
        AmpSheet sheet = amp.sheet();
        Optional<TubeType> type = catalogue.find(sheet.tubeType());
        List<Fact> facts = new ArrayList<>();
        type.map(sheet::rating).ifPresent(rating -> facts.add(new Fact("Judged by", Figures.watts(rating.plateWatts()) + " plate dissipation, "
                + rating.provenance())));
        facts.add(new Fact("Target", sheet.target().inWords(sheet.current().shows())));
        facts.add(new Fact("Current", current(sheet.current())));
        facts.add(new Fact("Plate voltage", "read " + sheet.plate().point().inWords() + ", " + sheet.plate().reference().inWords()
                + (sheet.plate().halfPrimaryOhms().isPresent() ? "; half primary " + Figures.ohms(sheet.plate().halfPrimaryOhms().getAsDouble()) : "")));
        facts.add(new Fact("Screen", sheet.screen().connection().inWords()
                + (sheet.screen().tap().isPresent() ? ", tap " + Figures.percent(sheet.screen().tap().getAsDouble()) : "")
                + "; current " + sheet.screen().way().inWords()
                + (sheet.screen().stopperOhms().isPresent() ? "; stopper " + Figures.ohms(sheet.screen().stopperOhms().getAsDouble()) : "")));
        facts.add(new Fact("Meter", meter(sheet.meter(), sheet.current().shows())));
        facts.add(new Fact("Mains", "set at " + Figures.volts(sheet.mainsVolts()) + "; settles in " + Figures.plain(sheet.settleMinutes()) + " min"));
        facts.add(new Fact("Supply", supply(sheet.supply()) + (sheet.mostRailAmps().isPresent() ? "; transformer or choke rated " + Figures.in(Unit.MILLIAMP, sheet.mostRailAmps().getAsDouble()) : "")));
        sheet.accepted().plateVolts().ifPresent(volts -> facts.add(new Fact("Built so", "plates up to " + Figures.in(Unit.VOLT, volts))));
        sheet.accepted().screenVolts().ifPresent(volts -> facts.add(new Fact("Built so", "screens up to " + Figures.in(Unit.VOLT, volts))));
        if (sheet.meterLink().isSet()) {
            facts.add(new Fact("Network meter", sheet.meterLink().toString()));
        }
        List<String> pots = sheet.pots().stream().map(pot -> pot.name() + ": " + pot.action().inWords()
                + (pot.acts().isBlank() ? "" : " (" + pot.acts() + ")") + "; hotter " + pot.hotter().inWords()
                + (pot.verified() ? ", verified" : ", not verified")).toList();
        return new AmpView(amp.id(), amp.version(), sheet.inWords(), facts, pots, sheet.quirks(), sheet.notes(), StageDrawing.of(sheet),
                sheet.sockets().stream().map(socket -> seated.getOrDefault(socket.label(), "").replace('|', '/')).toList());
    }

    /** What is known of the supply; a first amp knows nothing of it. */
    private static String supply(Supply supply) {
        List<String> known = new ArrayList<>();
        known.add("rectifier " + supply.rectifier().inWords());
        if (supply.standby()) {
            known.add("standby switch");
        }
        supply.secondaryVolts().ifPresent(volts -> known.add("plate winding " + Figures.in(Unit.VOLT, volts) + " AC"));
        supply.capacitorVolts().ifPresent(volts -> known.add("first capacitor " + Figures.in(Unit.VOLT, volts)));
        supply.otherAmps().ifPresent(amps -> known.add(Figures.in(Unit.MILLIAMP, amps) + " of other current"));
        supply.regulation().ifPresent(ratio -> known.add("unloaded " + Figures.in(Unit.PERCENT, ratio) + " higher"));
        return String.join("; ", known);
    }

    private static String current(CurrentSense sense) {
        return sense.method().inWords() + (sense.ohms().isPresent() ? ", " + Figures.ohms(sense.ohms().getAsDouble()) + " \u00b1"
                + Figures.plain(100 * sense.tolerance()) + " %" : "") + "; the meter shows " + sense.shows();
    }

    private static String meter(MeterAccuracy meter, Unit shows) {
        return "\u00b1(%s %% + %s digits); last digit %s on plates, %s at the test point".formatted(Figures.plain(100 * meter.ofReading()),
                Figures.plain(meter.digits()), Figures.in(Unit.VOLT, meter.lastOfVolts()), Figures.in(shows, meter.lastOfSense()));
    }
}
