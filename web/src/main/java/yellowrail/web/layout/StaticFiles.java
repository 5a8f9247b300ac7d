package yellowrail.web.layout;

import java.time.Duration;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistration;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.LiteWebJarsResourceResolver;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;

/**
 * Styles, scripts and fonts: under the {@link Edition} a browser asks for each of them once; at their plain addresses
 * it has to ask whether they have changed.
 */
@Configuration(proxyBeanMethods = false)
class StaticFiles implements WebMvcConfigurer {

    private final Edition edition;

    StaticFiles(Edition edition) {
        this.edition = edition;
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        kept(registry, "/webjars/**", "classpath:/META-INF/resources/webjars/")
                .resourceChain(true)
                .addResolver(new LiteWebJarsResourceResolver());
        kept(registry, "/**", "classpath:/static/");
    }

    private ResourceHandlerRegistration kept(ResourceHandlerRegistry registry, String path, String from) {
        return registry.addResourceHandler(edition.address() + path)
                .addResourceLocations(from)
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
    }

    /** Pages write these addresses themselves, so no link is looked up among them: that goes through every jar. */
    @Bean
    FilterRegistrationBean<ResourceUrlEncodingFilter> linksAsTheyAre() {
        FilterRegistrationBean<ResourceUrlEncodingFilter> registration =
                new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
        registration.setEnabled(false);
        return registration;
    }
}
