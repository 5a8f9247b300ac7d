package yellowrail.web.amp;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Supply;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeType;
import yellowrail.web.amp.AmpView.Fact;
import yellowrail.web.words.Words;

/** An amp sheet line by line, each with its name; what is not known of the supply is left out. */
final class SheetFacts {

    private final AmpSheet sheet;
    private final Words words;
    private final List<Fact> facts = new ArrayList<>();

    SheetFacts(AmpSheet sheet, Words words) {
        this.sheet = sheet;
        this.words = words;
    }

    List<Fact> of(Optional<TubeType> type) {
        type.map(sheet::rating)
                .ifPresent(rating -> fact(
                        "judged-by",
                        said("rating", Figures.in(Unit.WATT, rating.plateWatts()), words.say(rating.provenance()))));
        fact("target", words.say(sheet.target().told(sheet.current().shows())));
        fact("current", current(sheet.current()));
        fact("plate", plate(sheet.plate()));
        fact("screen", screen(sheet.screen()));
        fact("meter", meter(sheet.meter()));
        fact("mains", said("set-at", Figures.volts(sheet.mainsVolts()), Figures.plain(sheet.settleMinutes())));
        fact("supply", supply(sheet.supply()));
        sheet.accepted()
                .plateVolts()
                .ifPresent(volts -> fact("built-so", said("plates-up-to", Figures.in(Unit.VOLT, volts))));
        sheet.accepted()
                .screenVolts()
                .ifPresent(volts -> fact("built-so", said("screens-up-to", Figures.in(Unit.VOLT, volts))));
        if (sheet.measuring().link().isSet()) {
            fact("network-meter", sheet.measuring().link().toString());
        }
        return facts;
    }

    private void fact(String name, String value) {
        facts.add(new Fact(said("fact." + name), value));
    }

    private String said(String key, Object... arguments) {
        return words.message("page.amp." + key, arguments);
    }

    /** Nothing where it is not known. */
    private void known(List<String> parts, String key, OptionalDouble value, Unit unit) {
        value.ifPresent(si -> parts.add(said(key, Figures.in(unit, si))));
    }

    private String current(CurrentSense sense) {
        List<String> parts = new ArrayList<>(List.of(words.name(sense.method())));
        sense.ohms()
                .ifPresent(ohms -> parts.add(said("ohms", Figures.ohms(ohms), Figures.plain(100 * sense.tolerance()))));
        return String.join(", ", parts) + "; " + said("meter-shows", sense.shows());
    }

    private String plate(PlateSense plate) {
        List<String> parts =
                new ArrayList<>(List.of(said("read", words.name(plate.point()), words.name(plate.reference()))));
        known(parts, "half-primary", plate.halfPrimaryOhms(), Unit.OHM);
        return String.join("; ", parts);
    }

    private String screen(ScreenSense screen) {
        List<String> parts = new ArrayList<>();
        parts.add(
                screen.tap().isPresent()
                        ? said(
                                "tap",
                                words.name(screen.connection()),
                                Figures.in(Unit.PERCENT, screen.tap().getAsDouble()))
                        : words.name(screen.connection()));
        parts.add(said("screen-current", words.name(screen.way())));
        known(parts, "stopper", screen.stopperOhms(), Unit.OHM);
        return String.join("; ", parts);
    }

    private String meter(MeterAccuracy meter) {
        return said(
                "accuracy",
                Figures.plain(100 * meter.ofReading()),
                Figures.plain(meter.digits()),
                Figures.in(Unit.VOLT, meter.lastOfVolts()),
                Figures.in(sheet.current().shows(), meter.lastOfSense()));
    }

    private String supply(Supply supply) {
        List<String> parts = new ArrayList<>(List.of(said("rectifier", words.name(supply.rectifier()))));
        if (supply.standby()) {
            parts.add(said("standby"));
        }
        if (supply.biasRegulated()) {
            parts.add(said("bias-regulated"));
        }
        known(parts, "winding", supply.secondaryVolts(), Unit.VOLT);
        known(parts, "first-capacitor", supply.capacitorVolts(), Unit.VOLT);
        known(parts, "other-current", supply.otherAmps(), Unit.MILLIAMP);
        known(parts, "unloaded", supply.regulation(), Unit.PERCENT);
        known(parts, "rated", sheet.mostRailAmps(), Unit.MILLIAMP);
        return String.join("; ", parts);
    }
}
