package yellowrail.web.layout;

import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;

/**
 * Styles and scripts have fixed addresses, so no link of a page is looked up among them: that goes through every jar.
 */
@Configuration(proxyBeanMethods = false)
class StaticFiles {

    @Bean
    FilterRegistrationBean<ResourceUrlEncodingFilter> linksAsTheyAre() {
        FilterRegistrationBean<ResourceUrlEncodingFilter> registration =
                new FilterRegistrationBean<>(new ResourceUrlEncodingFilter());
        registration.setEnabled(false);
        return registration;
    }
}
