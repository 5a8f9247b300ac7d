package yellowrail.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.quantity.Unit;

/**
 * Cuts a line into names and numbers. A unit typed apart from its number is joined to it; a socket typed in two parts
 * ({@code V 1}) likewise; a name run into its number ({@code plate452}) is cut.
 */
final class Tokens {

    private static final Pattern BETWEEN = Pattern.compile("[\\s=:]+");
    private static final Pattern BARE_NUMBER = Pattern.compile("[+\\-\u2212]?(\\d+([.,]\\d*)?|[.,]\\d+)");
    private static final Pattern WORD_AND_NUMBER =
            Pattern.compile("(?i)(plate|anode|mains|wall|bias|grid|screen|vk|rk|rdc|b\\+)([+\\-\u2212]?\\d.*)");

    private Tokens() {}

    static List<String> of(String line, AmpSheet sheet) {
        List<String> tokens = new ArrayList<>();
        for (String piece : BETWEEN.split(line.strip())) {
            String token = piece.replaceAll("[,]$", "");
            if (token.isEmpty()) {
                continue;
            }
            String last = tokens.isEmpty() ? "" : tokens.get(tokens.size() - 1);
            var wordAndNumber = WORD_AND_NUMBER.matcher(token);
            if (BARE_NUMBER.matcher(last).matches() && Unit.of(token).isPresent() && !isPlace(token, sheet)) {
                tokens.set(tokens.size() - 1, last + token);
            } else if (last.matches("[A-Za-z]+") && isPlace(last + token, sheet) && !isPlace(last, sheet)) {
                tokens.set(tokens.size() - 1, last + token);
            } else if (wordAndNumber.matches() && !isPlace(token, sheet)) {
                tokens.add(wordAndNumber.group(1));
                tokens.add(wordAndNumber.group(2));
            } else if (token.matches("[+\\-\u2212]")) {
                tokens.add(token);
            } else if (last.matches("[+\\-\u2212]")) {
                tokens.set(tokens.size() - 1, last + token);
            } else {
                tokens.add(token);
            }
        }
        return tokens;
    }

    private static boolean isPlace(String text, AmpSheet sheet) {
        return sheet.socket(text).isPresent() || sheet.testPoints().stream().anyMatch(text::equalsIgnoreCase);
    }
}
