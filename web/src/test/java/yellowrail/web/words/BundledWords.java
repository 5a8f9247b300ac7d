package yellowrail.web.words;

import org.springframework.context.support.ResourceBundleMessageSource;

/** The words that ship, without the application. */
public final class BundledWords {

    private BundledWords() {}

    public static Words read() {
        return new Words(source());
    }

    public static Vocabularies vocabularies() {
        return new Vocabularies(source());
    }

    private static ResourceBundleMessageSource source() {
        ResourceBundleMessageSource source = new ResourceBundleMessageSource();
        source.setBasename("messages");
        source.setDefaultEncoding("UTF-8");
        source.setFallbackToSystemLocale(false);
        return source;
    }
}
