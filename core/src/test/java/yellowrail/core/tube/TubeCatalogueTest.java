package yellowrail.core.tube;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TubeCatalogueTest {

    private final TubeCatalogue catalogue = TubeCatalogue.published();

    @Test
    void holdsEveryPublishedTypeWithSourceAndConfidence() {
        assertThat(catalogue.types())
                .hasSize(42)
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

    @ParameterizedTest
    @CsvSource({
        "6BQ5,EL84",
        "6CA7,EL34",
        "6L6,6L6G",
        "6L6GB,6L6G",
        "6L6GA,6L6G",
        "6L6WGB,5881",
        "6V6,6V6GT",
        "6V6G,6V6GT",
        "6AQ5,6AQ5A",
        "6005,6AQ5A",
        "EL90,6AQ5A",
        "7591,7591A",
        "7027,7027A",
        "6F6G,6F6GT",
        "6BM8,ECL82",
        "6GW8,ECL86",
        "6CW5,EL86",
        "6080,6AS7G"
    })
    void anotherNumberOfTheSameTypeFindsIt(String typed, String name) {
        assertThat(catalogue.find(typed)).map(TubeType::name).contains(name);
    }

    @Test
    void threeLettersOfAnyOfItsNumbersFindAType() {
        assertThat(catalogue.types().stream().filter(type -> type.isCalled("bq5")))
                .extracting(TubeType::name)
                .containsExactly("EL84");
        assertThat(catalogue.types().stream().filter(type -> type.isCalled("6-l6")))
                .extracting(TubeType::name)
                .containsExactly("6L6G", "5881", "6L6GC");
    }

    @Test
    void aNearRelativeIsOfferedAndStandsForNothing() {
        assertThat(catalogue.find("6P3S-E")).isEmpty();
        assertThat(catalogue.nearest("6p3s-e")).extracting(TubeType::name).containsExactly("5881", "6L6GC");
        for (String relative : "6P14P 6P3S 6P6S 6N13S KT100 EL37 8417 6JN6".split(" ")) {
            assertThat(catalogue.find(relative)).isEmpty();
            assertThat(catalogue.nearest(relative)).isNotEmpty();
        }
        assertThat(catalogue.nearest("X100")).isEmpty();
    }

    @Test
    void aDoubleTubeCountsItsSections() {
        TubeType whole = catalogue.find("6AS7G").orElseThrow();
        TubeType section = catalogue.find("6080 (section)").orElseThrow();
        assertThat(whole.customaryRating().plateWatts()).isEqualTo(26);
        assertThat(whole.customaryRating().cathodeAmps()).hasValue(0.25);
        assertThat(section.name()).isEqualTo("6AS7G (section)");
        assertThat(section.customaryRating().plateWatts()).isEqualTo(13);
        assertThat(section.customaryRating().plateVolts()).hasValue(250);
        assertThat(2 * section.heaterAmps()).isEqualTo(whole.heaterAmps());
        assertThat(catalogue.choices()).extracting(TubeType::name).contains("6AS7G", "6AS7G (section)", "EL34");
        assertThat(catalogue.find("EL34 (section)")).isEmpty();
    }

    @Test
    void someLimitsTurnOnBiasAndOnHowTheScreenIsWired() {
        Rating direct = catalogue.find("300B").orElseThrow().customaryRating();
        assertThat(direct.under(true, false).cathodeAmps()).hasValue(0.100);
        assertThat(direct.under(false, false).cathodeAmps()).hasValue(0.070);
        Rating beam = catalogue.find("6550A").orElseThrow().customaryRating();
        assertThat(beam.under(false, false).plateVolts()).hasValue(660);
        assertThat(beam.under(false, true).plateVolts()).hasValue(500);
        assertThat(beam.under(false, true).screenVolts()).hasValue(500);
        assertThat(catalogue.find("KT66").orElseThrow().ratings())
                .extracting(Rating::plateWatts)
                .containsExactly(25.0, 30.0);
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
