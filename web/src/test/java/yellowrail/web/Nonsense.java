package yellowrail.web;

import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;

/**
 * Finds in an answer what nobody should be told: numbers that are none, words that were never filled in, names of
 * objects.
 */
public final class Nonsense {

    /** By a piece that has to be in the text for it, which is looked for first: that takes no time. */
    private static final Map<String, Pattern> NONSENSE = Map.of(
            "NaN", Pattern.compile("\\bNaN\\b"),
            "Infinity", Pattern.compile("\\bInfinity\\b"),
            "null", Pattern.compile(">null\\b|\\snull\\s"),
            "Optional", Pattern.compile("Optional[\\[.]"),
            "{", Pattern.compile("\\{\\d"),
            "${", Pattern.compile("\\$\\{"),
            "@", Pattern.compile("@[0-9a-f]{6,}"));

    private Nonsense() {}

    /** The first piece of it, with what stands around it. */
    public static Optional<String> in(String answer) {
        String text = withoutTokens(answer);
        return NONSENSE.entrySet().stream()
                .filter(each -> text.contains(each.getKey()))
                .flatMap(each -> each.getValue().matcher(text).results())
                .findFirst()
                .map(found ->
                        text.substring(Math.max(0, found.start() - 120), Math.min(text.length(), found.end() + 60)));
    }

    /** Tokens are drawn by chance and may spell anything. */
    private static String withoutTokens(String answer) {
        if (!answer.stripLeading().startsWith("<")) {
            return answer;
        }
        Document page = Jsoup.parse(answer);
        page.select("input[name=_csrf]").remove();
        return page.outerHtml();
    }
}
