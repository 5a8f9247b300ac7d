package yellowrail.web.glossary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.MessageSource;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

/** Every word that is marked on a page is explained, in both vocabularies. */
@ExtendWith(RunningApplication.class)
class TermTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

    @ParameterizedTest
    @ValueSource(strings = {"en", "en-GB"})
    void whatIsMarkedIsExplained(String language) {
        MessageSource messages = RunningApplication.bean(MessageSource.class);
        String marked = messages.getMessage("page.js.terms", null, Locale.forLanguageTag(language));
        List<String> tokens =
                Arrays.stream(marked.split(";")).map(each -> each.split(":")[0]).toList();
        assertThat(tokens)
                .containsExactlyInAnyOrderElementsOf(
                        Arrays.stream(Term.values()).map(Term::token).toList());
    }

    @Test
    void aTermHasAnAddressAndOthersHaveNone() {
        assertThat(visitor.get("/glossary/class-ab").body()).contains("rests for a part of the wave");
        assertThat(visitor.get("/glossary/warp-drive").statusCode()).isEqualTo(404);
        assertThat(visitor.page("/glossary").select("article")).hasSize(Term.values().length);
    }

    /** The halves of class A add up to the sine itself; too cold a bias leaves a gap in the middle. */
    @Test
    void theWavesAreThoseOfTheirClass() {
        assertThat(heights(Waves.of(1).sum()).get(10)).isCloseTo(45 - 38 * Math.sin(Math.PI / 4), within());
        assertThat(heights(Waves.of(1).push())).filteredOn(y -> y > 79.9).hasSizeLessThan(10);
        assertThat(heights(Waves.of(0.5).push())).filteredOn(y -> y > 79.9).hasSizeBetween(20, 45);
        assertThat(heights(Waves.tooCold().sum()).subList(0, 4)).containsOnly(45.0);
    }

    private static Offset<Double> within() {
        return Offset.offset(0.06);
    }

    private static List<Double> heights(String path) {
        return Arrays.stream(path.substring(1).split("L"))
                .map(point -> Double.parseDouble(point.split(" ")[1]))
                .toList();
    }
}
