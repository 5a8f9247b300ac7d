package yellowrail.web.tubes;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Base;
import yellowrail.core.tube.PinOut;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeKind;
import yellowrail.core.tube.TubeType;
import yellowrail.core.typed.Quantity;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/** A tube type as typed: a type of the builder's, or another maker's figures for a published one. */
record TubeForm(
        int version,
        String name,
        String kind,
        String heaterVolts,
        String heaterAmps,
        String base,
        String pins,
        String screenShare,
        String plateWatts,
        String plateVolts,
        String screenWatts,
        String screenVolts,
        String cathodeMilliamps,
        String gridLeakFixed,
        String gridLeakCathode,
        String source) {

    static TubeForm empty() {
        return new TubeForm(0, "", "pentode", "6.3", "", "octal", "", "5", "", "", "", "", "", "", "", "");
    }

    /** Prefilled from a type, for another maker's figures or to change the builder's own. */
    static TubeForm of(TubeType type, Rating rating, int version) {
        return new TubeForm(
                version,
                type.name(),
                Code.of(type.kind()),
                Figures.plain(type.heaterVolts()),
                Figures.plain(type.heaterAmps()),
                type.base().name(),
                type.pins().text(),
                Figures.plain(100 * type.screenShare()),
                Figures.plain(rating.plateWatts()),
                shown(rating.plateVolts(), Unit.VOLT),
                shown(rating.screenWatts(), Unit.WATT),
                shown(rating.screenVolts(), Unit.VOLT),
                shown(rating.cathodeAmps(), Unit.MILLIAMP),
                shown(rating.gridLeakFixed(), Unit.KILOHM),
                shown(rating.gridLeakCathode(), Unit.KILOHM),
                rating.source() instanceof TubeFinding.ToldByBuilder told ? told.words() : "");
    }

    TubeForm withVersion(int other) {
        return new TubeForm(
                other,
                name,
                kind,
                heaterVolts,
                heaterAmps,
                base,
                pins,
                screenShare,
                plateWatts,
                plateVolts,
                screenWatts,
                screenVolts,
                cathodeMilliamps,
                gridLeakFixed,
                gridLeakCathode,
                source);
    }

    private static String shown(OptionalDouble si, Unit unit) {
        return si.isPresent() ? Figures.plain(unit.fromSi(si.getAsDouble())) : "";
    }

    TubeType type(Faults faults) {
        FormReader read = new FormReader(faults);
        String typed = read.requiredWords("name", name, 24, "page.form.needed.type-number");
        if (!typed.isEmpty() && !typed.matches("[\\p{L}\\p{N}][\\p{L}\\p{N} ./-]*")) {
            faults.say("name", "page.form.type-number");
        }
        TubeKind of = read.choice("kind", kind == null ? "" : kind.toUpperCase(Locale.ROOT), TubeKind.class);
        Optional<PinOut> pinOut = PinOut.parse(read.words("pins", pins, 120));
        if (pinOut.isEmpty()) {
            faults.say("pins", "page.form.pins", Quantity.quote(pins.strip()));
        }
        double share = read.required("screenShare", screenShare, Unit.PERCENT, 0, 40);
        Rating rating = new Rating(
                RatingSystem.OWN,
                read.number("plateVolts", plateVolts, Unit.VOLT, 50, 5000),
                read.number("screenVolts", screenVolts, Unit.VOLT, 50, 2000),
                read.required("plateWatts", plateWatts, Unit.WATT, 0.5, 1000),
                read.number("screenWatts", screenWatts, Unit.WATT, 0.1, 100),
                read.number("cathodeMilliamps", cathodeMilliamps, Unit.MILLIAMP, 1, 2000),
                read.number("gridLeakFixed", gridLeakFixed, Unit.KILOHM, 1, 10_000),
                read.number("gridLeakCathode", gridLeakCathode, Unit.KILOHM, 1, 10_000),
                true,
                new TubeFinding.ToldByBuilder(read.requiredWords("source", source, 80, "page.form.needed.source")));
        return new TubeType(
                typed,
                List.of(),
                of,
                read.required("heaterVolts", heaterVolts, Unit.VOLT, 1, 50),
                read.required("heaterAmps", heaterAmps, Unit.AMP, 0.05, 20),
                new Base(read.words("base", base, 40)),
                pinOut.orElse(PinOut.OF_ITS_OWN),
                share,
                Optional.empty(),
                List.of(rating));
    }
}
