package yellowrail.web;

import java.util.Optional;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;

/**
 * Finds in an answer what nobody should be told: numbers that are none, words that were never filled in, names of
 * objects.
 */
public final class Nonsense {

    private static final Pattern NONSENSE =
            Pattern.compile("\\bNaN\\b|\\bInfinity\\b|>null\\b|\\snull\\s|Optional[\\[.]|\\{\\d|\\$\\{|@[0-9a-f]{6,}");

    private Nonsense() {}

    /** The first piece of it, with what stands around it. */
    public static Optional<String> in(String answer) {
        String text = withoutTokens(answer);
        return NONSENSE.matcher(text)
                .results()
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
