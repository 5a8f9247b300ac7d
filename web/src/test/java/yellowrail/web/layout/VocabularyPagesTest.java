package yellowrail.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class VocabularyPagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "en-GB|en-GB|Valve types",
                "en-US,en;q=0.9|en|Tube types",
                "en-GB;q=0.4,en-US;q=0.9|en|Tube types",
                "de-CH,en-GB;q=0.7|en-GB|Valve types",
                "fr|en|Tube types",
                "%%%|en|Tube types"
            })
    void theBrowsersLanguageChooses(String asked, String language, String title) {
        HttpResponse<String> page = visitor.get("/tubes", asked);
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.body()).contains("<html lang=\"" + language + "\"", ">" + title + "</h1>");
    }

    @Test
    void whatIsChosenOnAPageHoldsWhateverTheBrowserSpeaks() {
        choose("en-GB");
        assertThat(visitor.get("/tubes", "en-US").body())
                .contains("Valve types", "Anode max")
                .doesNotContain("Tube types");
        assertThat(visitor.get("/amps/new", "en-US").body())
                .contains("Anode voltage")
                .doesNotContain("Plate voltage");
        choose("en");
        assertThat(visitor.get("/tubes", "en-GB").body()).contains("Tube types");
        choose("");
        assertThat(visitor.get("/tubes", "en-GB").body())
                .as("by the browser again")
                .contains("Valve types");
    }

    @ParameterizedTest
    @CsvSource({"xx", "de", "en-GB;Path=/", "'<script>'"})
    void wordsThatAreNoneAreForgotten(String words) {
        choose(words);
        assertThat(visitor.get("/tubes", "en-US").body()).contains("Tube types").doesNotContain("<script>alert");
    }

    @Test
    void theJsonInterfaceSpeaksThemToo() {
        String swap = "{\"in\":\"6L6GC\",\"wants\":\"6V6GT\",\"tubes\":2,\"plateVolts\":425}";
        assertThat(visitor.postJson("/api/swap-check", swap).body())
                .contains("because of plate voltage", "\"code\":\"plate-volts\"");
        choose("en-GB");
        assertThat(visitor.postJson("/api/swap-check", swap).body())
                .contains("because of anode voltage", "\"code\":\"plate-volts\"");
    }

    private void choose(String words) {
        Map<String, String> form = visitor.form("/", "/words");
        assertThat(visitor.post("/words", Map.of("_csrf", form.get("_csrf"), "words", words, "back", "/tubes"))
                        .headers()
                        .firstValue("Location"))
                .contains("/tubes");
    }
}
