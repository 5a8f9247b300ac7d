package yellowrail.web.words;

import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.context.support.ResourceBundleMessageSource;

/**
 * The bundles; counts put into them are marked at the thousands once they have five digits, in every language alike.
 */
class CountingMessages extends ResourceBundleMessageSource {

    private static final long MARKED = 10_000;

    CountingMessages() {
        setBasename("messages");
        setDefaultEncoding("UTF-8");
        setFallbackToSystemLocale(false);
    }

    @Override
    protected Object[] resolveArguments(Object[] arguments, Locale locale) {
        return arguments == null
                ? new Object[0]
                : Stream.of(super.resolveArguments(arguments, locale))
                        .map(CountingMessages::told)
                        .toArray();
    }

    static Object told(Object argument) {
        if (!(argument instanceof Integer || argument instanceof Long)) {
            return argument;
        }
        long count = ((Number) argument).longValue();
        return Math.abs(count) < MARKED ? String.valueOf(count) : String.format(Locale.ROOT, "%,d", count);
    }
}
