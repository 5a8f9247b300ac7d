package yellowrail.core.tube;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class TubeCatalogueTest {

    private final TubeCatalogue catalogue = TubeCatalogue.published();

    @Test
    void holdsEveryPublishedTypeWithSourceAndConfidence() {
        assertThat(catalogue.types()).hasSize(21).allSatisfy(type -> assertThat(type.ratings()).isNotEmpty()
                .allSatisfy(rating -> assertThat(rating.provenance()).contains("published data sheet")));
        assertThat(catalogue.find("KT120").orElseThrow().customaryRating().provenance()).contains("verify with your maker");
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
        assertThat(catalogue.find("KT88 (absolute)").orElseThrow().customaryRating().plateWatts()).isEqualTo(42);
        assertThat(catalogue.find("EL84 (absolute)")).isEmpty();
    }

    @Test
    void theBuildersOwnComesFirstAndThePublishedOneStays() {
        TubeType published = catalogue.find("EL84").orElseThrow();
        Rating own = published.customaryRating().withPlateWatts(13.5, "maker\u2019s sheet");
        TubeType mine = new TubeType("EL84", List.of(), "pentode", 6.3, 0.76, "noval", published.pins(), 0.1, "", List.of(own));
        assertThat(catalogue.with(List.of(mine)).find("EL84").orElseThrow().customaryRating().plateWatts()).isEqualTo(13.5);
        assertThat(catalogue.find("EL84").orElseThrow().customaryRating().plateWatts()).isEqualTo(12);
    }

    @Test
    void refusesLimitsThatAreNone() {
        OptionalDouble none = OptionalDouble.empty();
        assertThatThrownBy(() -> new Rating(RatingSystem.OWN, none, none, Double.NaN, none, none, none, none, true, "me"))
                .hasMessageContaining("more than 0 W, was NaN");
    }
}
