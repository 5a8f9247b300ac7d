package yellowrail.web.words;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.context.MessageSource;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** The vocabularies there are: that of {@code messages.properties}, and one for each file beside it. */
@Component
public class Vocabularies {

    /** What the words speak that are not said otherwise. */
    static final Locale FIRST = Locale.ENGLISH;

    private static final Pattern FILE = Pattern.compile("messages_(\\w+)\\.properties");

    private final List<Locale> all;
    private final MessageSource messages;

    Vocabularies(MessageSource messages) {
        this.messages = messages;
        this.all = Stream.concat(Stream.of(FIRST), others()).toList();
    }

    private static Stream<Locale> others() {
        try {
            return Stream.of(new PathMatchingResourcePatternResolver().getResources("classpath*:messages_*.properties"))
                    .map(Resource::getFilename)
                    .filter(Objects::nonNull)
                    .map(FILE::matcher)
                    .filter(Matcher::matches)
                    .map(file -> Locale.forLanguageTag(file.group(1).replace('_', '-')))
                    .distinct();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One to change to. */
    public record Other(String tag, String name) {}

    public List<Locale> all() {
        return all;
    }

    /** Those that the page does not speak now, each by its own name. */
    public List<Other> others(Locale now) {
        return all.stream()
                .filter(locale -> !locale.equals(now))
                .map(locale -> new Other(locale.toLanguageTag(), messages.getMessage("words.vocabulary", null, locale)))
                .toList();
    }

    /** The one that comes nearest to what is spoken now. */
    public Locale present() {
        return nearest(
                List.of(new Locale.LanguageRange(LocaleContextHolder.getLocale().toLanguageTag())));
    }

    /** @param languages as a browser sends them, the dearest first; null or nonsense for none */
    Locale spokenBy(String languages) {
        try {
            return languages == null ? FIRST : nearest(Locale.LanguageRange.parse(languages));
        } catch (IllegalArgumentException e) {
            return FIRST;
        }
    }

    /** The first language wanted decides: one without a vocabulary of its own leads to that of its language. */
    private Locale nearest(List<Locale.LanguageRange> wanted) {
        Locale found = Locale.lookup(wanted, all);
        return found == null ? FIRST : found;
    }
}
