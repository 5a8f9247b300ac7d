package yellowrail.web.security;

import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.authentication.preauth.PreAuthenticatedAuthenticationToken;
import org.springframework.security.web.authentication.session.NullAuthenticatedSessionStrategy;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import yellowrail.web.device.Devices;
import yellowrail.web.network.Lan;

/**
 * On loopback the application serves whoever sits at the machine: no login, but no forged requests either. From the
 * network it serves devices that were let in, and to others the page that asks for the code.
 */
@Configuration(proxyBeanMethods = false)
public class SecurityConfiguration {

    /** What the page that asks for the code is made of. */
    private static final String[] CODE_PAGE = {
        "/device",
        "/as-*/css/**",
        "/as-*/fonts/**",
        "/as-*/webjars/bootstrap/css/**",
        "/as-*/js/device.js",
        "/as-*/rail.svg",
        "/as-*/icons/**",
        "/as-*/app.webmanifest"
    };

    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
                    + "font-src 'self'; manifest-src 'self'; media-src 'self'; connect-src 'self'; "
                    + "form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    private final Devices devices;
    private final NotLetIn notLetIn;

    SecurityConfiguration(Devices devices, NotLetIn notLetIn) {
        this.devices = devices;
        this.notLetIn = notLetIn;
    }

    @Bean
    @Order(1)
    SecurityFilterChain stateless(HttpSecurity http) throws Exception {
        return guarded(http)
                .securityMatcher("/api/**", "/v3/api-docs/**", "/actuator/**")
                .csrf(AbstractHttpConfigurer::disable)
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
        return guarded(http)
                .csrf(csrf -> csrf.csrfTokenRepository(cookie)
                        .csrfTokenRequestHandler(token)
                        // A device is known anew with every request: that is no reason for another token.
                        .sessionAuthenticationStrategy(new NullAuthenticatedSessionStrategy()))
                .requestCache(AbstractHttpConfigurer::disable)
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        // A browser that was told so would never again let anybody past a certificate that is new to
                        // it.
                        .httpStrictTransportSecurity(HeadersConfigurer.HstsConfig::disable))
                .build();
    }

    private HttpSecurity guarded(HttpSecurity http) throws Exception {
        return http.sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                // A browser that was told so would never again let anybody past a certificate that is new to it.
                .headers(headers -> headers.httpStrictTransportSecurity(HeadersConfigurer.HstsConfig::disable))
                .addFilter(new DeviceFilter(devices))
                .exceptionHandling(refused -> refused.authenticationEntryPoint(notLetIn))
                // Only what was guarded already is led on, to where an outage is told.
                .authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(
                                DispatcherType.ERROR, DispatcherType.FORWARD)
                        .permitAll()
                        .requestMatchers(CODE_PAGE)
                        .permitAll()
                        .requestMatchers("/devices/*/**")
                        .access((who, asks) -> new AuthorizationDecision(atThisMachine(asks)))
                        .anyRequest()
                        .access((who, asks) -> new AuthorizationDecision(
                                atThisMachine(asks) || who.get() instanceof PreAuthenticatedAuthenticationToken)));
    }

    private static boolean atThisMachine(RequestAuthorizationContext asks) {
        return Lan.isFromThisMachine(asks.getRequest());
    }

    /** Requests for any other host name come from a page that pretends to be ours. */
    @Bean
    StrictHttpFirewall ourNamesOnly(Lan lan) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(lan::isOurName);
        return firewall;
    }

    /** Nobody logs in; without this, a password would be made up and printed at every start. */
    @Bean
    UserDetailsService nobody() {
        return new InMemoryUserDetailsManager();
    }
}
