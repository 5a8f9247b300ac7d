package yellowrail.web.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;

/** The application serves on loopback to whoever sits at the machine: no login, but no forged requests either. */
@Configuration
public class SecurityConfiguration {

    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
                    + "font-src 'self'; media-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; "
                    + "frame-ancestors 'none'";

    @Bean
    @Order(1)
    SecurityFilterChain stateless(HttpSecurity http) throws Exception {
        return http.securityMatcher("/api/**", "/v3/api-docs/**", "/actuator/**")
                .csrf(AbstractHttpConfigurer::disable)
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain pages(HttpSecurity http) throws Exception {
        XorCsrfTokenRequestAttributeHandler token = new XorCsrfTokenRequestAttributeHandler();
        // Loaded before the page is written: a cookie cannot follow once a long page has begun to go out.
        token.setCsrfRequestAttributeName(null);
        CookieCsrfTokenRepository cookie = new CookieCsrfTokenRepository();
        cookie.setCookieCustomizer(with -> with.sameSite("Strict"));
        return http.csrf(csrf -> csrf.csrfTokenRepository(cookie).csrfTokenRequestHandler(token))
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(AbstractHttpConfigurer::disable)
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY)))
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .build();
    }

    /** Requests for any other host name come from a page that pretends to be ours. */
    @Bean
    StrictHttpFirewall loopbackOnly() {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(
                host -> host.equals("127.0.0.1") || host.equals("localhost") || host.equals("[::1]"));
        return firewall;
    }

    /** Nobody logs in; without this, a password would be made up and printed at every start. */
    @Bean
    UserDetailsService nobody() {
        return new InMemoryUserDetailsManager();
    }
}
