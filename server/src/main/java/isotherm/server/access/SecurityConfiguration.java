package isotherm.server.access;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** The headers that tell a browser how to treat what comes from here; who asks; the cookie of a session. */
@Configuration(proxyBeanMethods = false)
class SecurityConfiguration {
    /**
     * Everything ships with the application, so that nothing is fetched from elsewhere and nothing frames it. Styles are the one
     * exception: the style library writes them into the page.
     */
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
                    + "img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; "
                    + "base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    /** A phone that was used within a month need not sign in again. */
    private static final int COOKIE_SECONDS = 30 * 24 * 3600;

    @Bean
    SecurityFilterChain whoAsks(HttpSecurity http, Together together, Sessions sessions) {
        // What each may do stands at every answer itself: RoleGate.
        return http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
                .addFilterBefore(new SignedIn(together, sessions), AnonymousAuthenticationFilter.class)
                // Changes from foreign pages are refused by OwnPagesOnly, for bodies and bare requests alike.
                .csrf(AbstractHttpConfigurer::disable)
                // Sessions are begun and ended by signing in and out alone: Sessions.
                .sessionManagement(made -> made.sessionCreationPolicy(SessionCreationPolicy.STATELESS)
                        .sessionFixation(ids -> ids.none()))
                .requestCache(AbstractHttpConfigurer::disable)
                .headers(headers -> headers.cacheControl(cache -> cache.disable())
                        .frameOptions(frames -> frames.deny())
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER))
                        .crossOriginResourcePolicy(resources -> resources.policy(
                                org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter
                                        .CrossOriginResourcePolicy.SAME_ORIGIN))
                        .crossOriginOpenerPolicy(opener -> opener.policy(
                                org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter
                                        .CrossOriginOpenerPolicy.SAME_ORIGIN)))
                .build();
    }

    /** Sent back to this site alone, by no script, and over TLS alone where there is TLS. */
    @Bean
    CookieSerializer sessionCookie() {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName("isotherm-session");
        cookie.setSameSite("Strict");
        cookie.setCookiePath("/");
        cookie.setCookieMaxAge(COOKIE_SECONDS);
        return cookie;
    }
}
