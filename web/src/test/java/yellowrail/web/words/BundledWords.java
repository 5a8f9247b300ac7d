package yellowrail.web.words;

import org.springframework.context.support.ResourceBundleMessageSource;

/** The words that ship, without the application. */
public final class BundledWords {

    private BundledWords() {
    }

    public static Words read() {
        ResourceBundleMessageSource source = new ResourceBundleMessageSource();
        source.setBasename("messages");
        source.setDefaultEncoding("UTF-8");
        return new Words(source);
    }
}
