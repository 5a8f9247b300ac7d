package yellowrail.web.amp;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import yellowrail.core.amp.Core;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Iron;
import yellowrail.core.field.FieldFault;
import yellowrail.core.iron.BadHookupException;
import yellowrail.core.iron.Hookup;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.RectifierType;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/** The part of the amp form that tells what another tube would meet; all of it may be empty. */
record FittingsForm(
        String heaterAmps,
        String otherHeaters,
        String rectifierTube,
        String firstMicrofarads,
        String transformerMilliamps,
        String chokeMilliamps,
        String outputMilliamps,
        String heightMm,
        String widthMm,
        String gridLeak,
        String load,
        String biasColdest,
        String biasHottest,
        String driveVolts,
        String screenVolts,
        String tiedPins,
        String pinOne,
        String familySwitch,
        String taps,
        String copper,
        String hookups,
        String coreKind,
        String coreMilliamps,
        String corePercent) {

    static final FittingsForm BLANK = of(Fittings.UNKNOWN);

    private static final Pattern HEATERS =
            Pattern.compile("(?i)\\s*(?:(\\d{1,2})\\s*[x\u00d7*]\\s*)?(\\d{1,2}(?:\\.\\d{1,4})?)\\s*A?\\s*");
    private static final int LONGEST = 80;
    private static final int MOST_TAPS = 5;
    private static final int MOST_HOOKUPS = 8;

    static FittingsForm of(Fittings f) {
        return new FittingsForm(
                Figures.typed(f.heaterAmps(), 1),
                Figures.typed(f.otherHeaterAmps(), 1),
                f.rectifierTube(),
                Figures.typed(f.firstFarads(), 1e6),
                Figures.typed(f.transformerAmps(), 1e3),
                Figures.typed(f.chokeAmps(), 1e3),
                Figures.typed(f.outputAmps(), 1e3),
                Figures.typed(f.heightMm(), 1),
                Figures.typed(f.widthMm(), 1),
                Figures.typed(f.gridLeakOhms(), 1e-3),
                Figures.typed(f.loadOhms(), 1e-3),
                Figures.typed(f.biasColdest(), 1),
                Figures.typed(f.biasHottest(), 1),
                Figures.typed(f.driveVolts(), 1),
                Figures.typed(f.screenVolts(), 1),
                f.tiedPins(),
                f.pinOne().name(),
                f.familySwitch(),
                f.iron().taps().stream().map(Figures::plain).collect(Collectors.joining(" ")),
                Figures.typed(f.iron().copperOhms(), 1),
                String.join("; ", f.iron().hookups()),
                f.iron().core().kind().name(),
                Figures.typed(f.iron().core().amps(), 1e3),
                Figures.typed(f.iron().core().ratio(), 100));
    }

    Fittings fittings(FormReader read, Faults faults) {
        Fittings fittings = new Fittings(
                read.number("fittings.heaterAmps", heaterAmps, Unit.AMP, 0.1, 50),
                heaters(faults),
                rectifier(read, faults),
                plain(read, "firstMicrofarads", firstMicrofarads, 0.1, 10_000, 1e-6),
                read.number("fittings.transformerMilliamps", transformerMilliamps, Unit.MILLIAMP, 1, 5000),
                read.number("fittings.chokeMilliamps", chokeMilliamps, Unit.MILLIAMP, 1, 5000),
                read.number("fittings.outputMilliamps", outputMilliamps, Unit.MILLIAMP, 1, 5000),
                plain(read, "heightMm", heightMm, 10, 1000, 1),
                plain(read, "widthMm", widthMm, 10, 1000, 1),
                read.number("fittings.gridLeak", gridLeak, Unit.KILOHM, 1, 10_000),
                read.number("fittings.load", FormReader.load(load), Unit.KILOHM, 0.1, 100),
                read.number("fittings.biasColdest", biasColdest, Unit.VOLT, -300, 0),
                read.number("fittings.biasHottest", biasHottest, Unit.VOLT, -300, 0),
                read.number("fittings.driveVolts", driveVolts, Unit.VOLT, 1, 500),
                read.number("fittings.screenVolts", screenVolts, Unit.VOLT, 20, 2000),
                read.words("fittings.tiedPins", tiedPins, LONGEST),
                read.choice(
                        "fittings.pinOne",
                        pinOne == null || pinOne.isBlank() ? Fittings.PinOne.UNKNOWN.name() : pinOne,
                        Fittings.PinOne.class),
                read.words("fittings.familySwitch", familySwitch, LONGEST),
                new Iron(
                        taps(faults),
                        read.number("fittings.copper", copper, Unit.OHM, 1, 5000),
                        hookups(faults),
                        core(read)));
        if (fittings.biasColdest().isPresent()
                && fittings.biasHottest().isPresent()
                && fittings.biasColdest().getAsDouble()
                        >= fittings.biasHottest().getAsDouble()) {
            faults.say("fittings.biasColdest", "page.form.fittings.stops");
        }
        return fittings;
    }

    private Core core(FormReader read) {
        return new Core(
                read.choice(
                        "fittings.coreKind",
                        coreKind == null || coreKind.isBlank() ? Core.Kind.UNKNOWN.name() : coreKind,
                        Core.Kind.class),
                read.number("fittings.coreMilliamps", coreMilliamps, Unit.MILLIAMP, 0.1, 500),
                read.number("fittings.corePercent", corePercent, Unit.PERCENT, 0.1, 100));
    }

    private static OptionalDouble plain(
            FormReader read, String field, String text, double least, double most, double inSi) {
        return text == null || text.isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(read.count(
                                "fittings." + field, text.replaceAll("(?i)\\s*(uf|\u00b5f|mm)\\s*$", ""), least, most)
                        * inSi);
    }

    /** A sum of currents, as builders write it: {@code 4 x 0.3 + 0.9}. */
    private OptionalDouble heaters(Faults faults) {
        if (otherHeaters == null || otherHeaters.isBlank()) {
            return OptionalDouble.empty();
        }
        double sum = 0;
        for (String part : otherHeaters.split("\\+")) {
            Matcher heater = HEATERS.matcher(part);
            if (!heater.matches()) {
                faults.say("fittings.otherHeaters", "page.form.fittings.heaters", quote(part.strip()));
                return OptionalDouble.empty();
            }
            sum += (heater.group(1) == null ? 1 : Integer.parseInt(heater.group(1)))
                    * Double.parseDouble(heater.group(2));
        }
        return OptionalDouble.of(sum);
    }

    /** Speakers the taps are for: {@code 4 8 16}. */
    private List<Double> taps(Faults faults) {
        List<Double> found = new ArrayList<>();
        for (String tap : taps == null ? new String[0] : taps.strip().split("[\\s,;]+")) {
            if (tap.matches("\\d{1,3}(\\.\\d{1,2})?") && Double.parseDouble(tap) > 0 && found.size() < MOST_TAPS) {
                found.add(Double.parseDouble(tap));
            } else if (!tap.isEmpty()) {
                faults.say("fittings.taps", "page.form.fittings.taps", quote(taps.strip()), MOST_TAPS);
            }
        }
        return found;
    }

    private List<String> hookups(Faults faults) {
        List<String> found = new ArrayList<>();
        for (String written : hookups == null ? new String[0] : hookups.split(";")) {
            if (!written.isBlank()) {
                try {
                    Hookup.parse(written);
                    found.add(written.strip());
                } catch (BadHookupException e) {
                    faults.add("fittings.hookups", new FieldFault.NotUsable(e.fault()));
                }
            }
        }
        return found.size() > MOST_HOOKUPS ? found.subList(0, MOST_HOOKUPS) : found;
    }

    private String rectifier(FormReader read, Faults faults) {
        String typed = read.words("fittings.rectifierTube", rectifierTube, LONGEST);
        if (!typed.isEmpty() && RectifierType.find(typed).isEmpty()) {
            faults.say(
                    "fittings.rectifierTube",
                    "page.form.fittings.rectifier",
                    quote(typed),
                    String.join(
                            ", ",
                            RectifierType.published().stream()
                                    .map(RectifierType::name)
                                    .toList()));
        }
        return typed;
    }
}
