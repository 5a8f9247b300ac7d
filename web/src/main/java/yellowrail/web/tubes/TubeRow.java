package yellowrail.web.tubes;

import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

/** A line of the catalogue page: one type in one rating system, as it is shown. */
public record TubeRow(String name, String aka, String kind, String heater, String base, String pins, String share, String size,
                      String plateVolts, String screenVolts, String plateWatts, String screenWatts, String cathode, String gridLeaks,
                      String system, String source, boolean sure, boolean first, String model) {

    static Stream<TubeRow> of(TubeType type) {
        return type.ratings().stream().map(rating -> of(type, rating));
    }

    private static TubeRow of(TubeType type, Rating rating) {
        return new TubeRow(type.name(), String.join(", ", type.aka()), type.kind(),
                Figures.plain(type.heaterVolts()) + " V " + Figures.plain(type.heaterAmps()) + " A", type.base(), type.pins(),
                Figures.plain(100 * type.screenShare()) + " %", type.sizeMm(), shown(rating.plateVolts(), Unit.VOLT),
                shown(rating.screenVolts(), Unit.VOLT), Figures.plain(rating.plateWatts()) + " W", shown(rating.screenWatts(), Unit.WATT),
                shown(rating.cathodeAmps(), Unit.MILLIAMP), shown(rating.gridLeakFixed(), Unit.KILOHM) + " / "
                + shown(rating.gridLeakCathode(), Unit.KILOHM), rating.system().inWords(), rating.source(), rating.sure(),
                rating == type.customaryRating(), TubeModels.published().of(type).map(KnownModel::inWords).orElse("none: no static points published"));
    }

    private static String shown(OptionalDouble si, Unit unit) {
        return si.isPresent() ? Figures.in(unit, si.getAsDouble()) : "\u2013";
    }
}
