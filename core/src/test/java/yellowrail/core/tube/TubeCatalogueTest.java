package yellowrail.core.tube;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class TubeCatalogueTest {

    private final TubeCatalogue catalogue = TubeCatalogue.published();

    @Test
    void holdsEveryPublishedTypeWithSourceAndConfidence() {
        assertThat(catalogue.types())
                .hasSize(21)
                .allSatisfy(type -> assertThat(type.ratings())
                        .isNotEmpty()
                        .allSatisfy(rating -> assertThat(rating.source()).isEqualTo(new TubeFinding.DataSheet())));
        assertThat(catalogue.find("KT120").orElseThrow().customaryRating().provenance())
                .isInstanceOf(TubeFinding.ProvenanceToVerify.class);
    }

    @Test
    void findsByOtherNumbersInAnyCase() {
        assertThat(catalogue.find("6bq5")).map(TubeType::name).contains("EL84");
        assertThat(catalogue.find(" 6l6-gc ")).map(TubeType::name).contains("6L6GC");
        assertThat(catalogue.find("12AX7")).isEmpty();
        assertThat(catalogue.find("")).isEmpty();
        assertThat(catalogue.find("(((")).isEmpty();
    }

    @Test
    void oneTypeCarriesDifferentFiguresInDifferentSystems() {
        TubeType kt88 = catalogue.find("KT88").orElseThrow();
        assertThat(kt88.customaryRating().plateWatts()).isEqualTo(35);
        assertThat(kt88.rating(RatingSystem.ABSOLUTE)).map(Rating::plateWatts).contains(42.0);
        assertThat(catalogue
                        .find("KT88 (absolute)")
                        .orElseThrow()
                        .customaryRating()
                        .plateWatts())
                .isEqualTo(42);
        assertThat(catalogue.find("EL84 (absolute)")).isEmpty();
    }

    @Test
    void theBuildersFigureIsOneMoreRatingAndThePublishedOnesStay() {
        TubeType published = catalogue.find("EL84").orElseThrow();
        TubeType mine = published.with(List.of(
                published.customaryRating().withPlateWatts(13.5, new TubeFinding.ToldByBuilder("maker\u2019s sheet"))));
        TubeType merged = catalogue.with(List.of(mine)).find("6BQ5").orElseThrow();
        assertThat(merged.customaryRating()).isEqualTo(published.customaryRating());
        assertThat(merged.rating(RatingSystem.OWN)).map(Rating::plateWatts).contains(13.5);
        assertThat(catalogue.find("EL84").orElseThrow().rating(RatingSystem.OWN))
                .isEmpty();
    }

    @Test
    void aTypeOfTheBuildersIsFoundBesideThePublishedOnes() {
        TubeType mine = new TubeType(
                "X100",
                List.of(),
                TubeKind.PENTODE,
                6.3,
                1.2,
                Base.OCTAL,
                PinOut.OF_ITS_OWN,
                0.1,
                Optional.empty(),
                List.of(catalogue.find("EL34").orElseThrow().customaryRating()));
        assertThat(catalogue.with(List.of(mine)).find("x100")).contains(mine);
    }

    @Test
    void refusesLimitsThatAreNone() {
        OptionalDouble none = OptionalDouble.empty();
        assertThatThrownBy(() -> new Rating(
                        RatingSystem.OWN,
                        none,
                        none,
                        Double.NaN,
                        none,
                        none,
                        none,
                        none,
                        true,
                        new TubeFinding.ToldByBuilder("me")))
                .hasMessageContaining("more than 0 W, was NaN");
    }
}
