package yellowrail.web.form;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import yellowrail.web.words.Words;

/** One line of a list to choose from. */
public record Choice(String value, String text) {

    /** A list of choices, each called by its name; {@code value} is what the form sends for it. */
    public static <E extends Enum<E>> List<Choice> of(E[] choices, Function<E, String> value, Words words) {
        return Stream.of(choices)
                .map(choice -> new Choice(value.apply(choice), words.name(choice)))
                .toList();
    }
}
