package yellowrail.web.tubes;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.finding.Code;
import yellowrail.core.tube.Base;
import yellowrail.core.tube.PinOut;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeKind;
import yellowrail.core.tube.TubeType;

/**
 * A type of the builder's as it is kept. Kind, base and pins are text; a pin-out that is none is kept as it was typed
 * and read as one of its own.
 */
record OwnTubeDocument(
        String name,
        List<String> aka,
        String kind,
        double heaterVolts,
        double heaterAmps,
        String base,
        String pins,
        double screenShare,
        List<OwnRating> ratings) {

    /** Its figures, SI, and where the builder has them from. */
    record OwnRating(
            OptionalDouble plateVolts,
            OptionalDouble screenVolts,
            double plateWatts,
            OptionalDouble screenWatts,
            OptionalDouble cathodeAmps,
            OptionalDouble gridLeakFixed,
            OptionalDouble gridLeakCathode,
            String source) {

        private static OwnRating of(Rating rating) {
            String source = rating.source() instanceof TubeFinding.ToldByBuilder told ? told.words() : "";
            return new OwnRating(
                    rating.plateVolts(),
                    rating.screenVolts(),
                    rating.plateWatts(),
                    rating.screenWatts(),
                    rating.cathodeAmps(),
                    rating.gridLeakFixed(),
                    rating.gridLeakCathode(),
                    source);
        }

        private Rating rating() {
            return new Rating(
                    RatingSystem.OWN,
                    plateVolts,
                    screenVolts,
                    plateWatts,
                    screenWatts,
                    cathodeAmps,
                    gridLeakFixed,
                    gridLeakCathode,
                    true,
                    new TubeFinding.ToldByBuilder(source));
        }
    }

    static OwnTubeDocument of(TubeType type) {
        return new OwnTubeDocument(
                type.name(),
                type.aka(),
                Code.of(type.kind()),
                type.heaterVolts(),
                type.heaterAmps(),
                type.base().name(),
                type.pins().text(),
                type.screenShare(),
                type.ratings().stream().map(OwnRating::of).toList());
    }

    TubeType type() {
        return new TubeType(
                name,
                aka,
                TubeKind.valueOf(kind.toUpperCase(Locale.ROOT)),
                heaterVolts,
                heaterAmps,
                new Base(base),
                PinOut.parse(pins).orElse(PinOut.OF_ITS_OWN),
                screenShare,
                Optional.empty(),
                ratings.stream().map(OwnRating::rating).toList());
    }
}
