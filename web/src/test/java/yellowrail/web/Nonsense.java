package yellowrail.web;

import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Finds in an answer what nobody should be told: numbers that are none, words that were never filled in, names of
 * objects.
 */
public final class Nonsense {

    private static final Pattern NONSENSE =
            Pattern.compile("\\bNaN\\b|\\bInfinity\\b|>null\\b|\\snull\\s|Optional[\\[.]|\\{\\d|\\$\\{|@[0-9a-f]{6,}");
    /** Tokens are drawn by chance and may spell anything. */
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"[^\"]*\"");

    private Nonsense() {}

    /** The first piece of it, with what stands around it. */
    public static Optional<String> in(String answer) {
        String text = TOKEN.matcher(answer).replaceAll("");
        return NONSENSE.matcher(text)
                .results()
                .findFirst()
                .map(found ->
                        text.substring(Math.max(0, found.start() - 120), Math.min(text.length(), found.end() + 60)));
    }
}
