package isotherm.server.access;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** The headers that tell a browser how to treat what comes from here. Accounts come later: nobody logs in on loopback. */
@Configuration
class SecurityConfiguration {
    /**
     * Everything ships with the application, so that nothing is fetched from elsewhere and nothing frames it. Styles are the one
     * exception: the style library writes them into the page.
     */
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
                    + "img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; "
                    + "base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain everybodyOnThisMachine(HttpSecurity http) {
        return http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
                // Changes from foreign pages are refused by OwnPagesOnly, for bodies and bare requests alike.
                .csrf(AbstractHttpConfigurer::disable)
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
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
}
