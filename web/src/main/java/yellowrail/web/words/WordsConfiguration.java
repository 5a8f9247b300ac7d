package yellowrail.web.words;

import java.time.Duration;
import org.springframework.context.MessageSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.i18n.CookieLocaleResolver;

/** Which vocabulary a request is answered in: the one that was chosen on a page, else the browser's, else the first. */
@Configuration(proxyBeanMethods = false)
class WordsConfiguration {

    private static final Duration KEPT = Duration.ofDays(3650);

    @Bean
    MessageSource messageSource() {
        return new CountingMessages();
    }

    @Bean
    LocaleResolver localeResolver(Vocabularies vocabularies) {
        CookieLocaleResolver chosen = new CookieLocaleResolver("words");
        chosen.setCookieMaxAge(KEPT);
        chosen.setCookieHttpOnly(true);
        chosen.setCookieSameSite("Strict");
        chosen.setRejectInvalidCookies(false);
        chosen.setDefaultLocaleFunction(
                request -> vocabularies.spokenBy(request.getHeader(HttpHeaders.ACCEPT_LANGUAGE)));
        return chosen;
    }
}
