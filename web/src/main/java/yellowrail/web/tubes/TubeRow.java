package yellowrail.web.tubes;

import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.words.Words;

/** A line of the catalogue page: one type in one rating system, as it is shown. */
public record TubeRow(
        String name,
        String aka,
        String kind,
        String heater,
        String base,
        String pins,
        String share,
        String size,
        String plateVolts,
        String screenVolts,
        String plateWatts,
        String screenWatts,
        String cathode,
        String gridLeaks,
        String system,
        String source,
        boolean sure,
        boolean first,
        boolean own,
        String model) {

    static Stream<TubeRow> of(TubeType type, Words words) {
        return type.ratings().stream().map(rating -> of(type, rating, words));
    }

    private static TubeRow of(TubeType type, Rating rating, Words words) {
        return new TubeRow(
                type.name(),
                String.join(", ", type.aka()),
                words.name(type.kind()),
                Figures.plain(type.heaterVolts()) + " V " + Figures.plain(type.heaterAmps()) + " A",
                type.base().name(),
                type.pins().isOfItsOwn()
                        ? words.message("words.pin-out-of-its-own")
                        : type.pins().text(),
                Figures.plain(100 * type.screenShare()) + " %",
                type.bulb()
                        .map(size -> Figures.plain(1000 * size.height()) + " \u00d7 "
                                + Figures.plain(1000 * size.width()) + " mm")
                        .orElse(""),
                shown(rating.plateVolts(), Unit.VOLT),
                shown(rating.screenVolts(), Unit.VOLT),
                Figures.plain(rating.plateWatts()) + " W",
                shown(rating.screenWatts(), Unit.WATT),
                shown(rating.cathodeAmps(), Unit.MILLIAMP),
                shown(rating.gridLeakFixed(), Unit.KILOHM) + " / " + shown(rating.gridLeakCathode(), Unit.KILOHM),
                words.name(rating.system()),
                words.say(rating.source()),
                rating.sure(),
                rating == type.customaryRating(),
                rating.system() == RatingSystem.OWN,
                TubeModels.published()
                        .of(type)
                        .map(known -> words.say(known.trust()))
                        .orElseGet(() -> words.message("page.tubes.no-model")));
    }

    private static String shown(OptionalDouble si, Unit unit) {
        return si.isPresent() ? Figures.in(unit, si.getAsDouble()) : "\u2013";
    }
}
