package gradino.server.account.door;

import gradino.server.account.link.HomeLinkService;
import gradino.server.account.people.SignInService;
import jakarta.servlet.DispatcherType;
import java.time.Clock;
import java.util.Arrays;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.authentication.session.NullAuthenticatedSessionStrategy;
import org.springframework.security.web.header.HeaderWriter;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.StaticHeadersWriter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.OrRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

/** What each role may ask for at all; whose client it is is asked at the {@link ClientDoor}. */
@Configuration(proxyBeanMethods = false)
class SecuritySetup {
    private static final String CONTENT = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline';"
            + " img-src 'self' data:; worker-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self';"
            + " frame-ancestors 'none'";

    /** Whatever the studio answers is somebody's; what its pages are made of is nobody's. */
    private static final RequestMatcher PERSONAL =
            PathPatternRequestMatcher.withDefaults().matcher("/api/**");

    private static final HeaderWriter NO_STORE = new StaticHeadersWriter("Cache-Control", "no-store");

    private static final String[] STAFF = {"OWNER", "COACH", "ASSISTANT"};
    private static final String[] STAFF_AND_HOME = {"OWNER", "COACH", "ASSISTANT", "HOME"};
    /** All of the studio's own addresses that a client's link opens, for what is theirs. */
    private static final RequestMatcher HOME_READS = any(
            HttpMethod.GET,
            "/api/stop-signs",
            "/api/clients/{clientId}/day",
            "/api/runs/{runId}",
            "/api/runs/{runId}/blocks",
            "/api/runs/{runId}/summary");

    private static final RequestMatcher HOME_WRITES = new OrRequestMatcher(
            any(
                    HttpMethod.POST,
                    "/api/lines/{lineId}/runs",
                    "/api/clients/{clientId}/sessions/{sessionId}/runs",
                    "/api/clients/{clientId}/days/{date}/runs",
                    "/api/clients/{clientId}/measurements",
                    "/api/clients/{clientId}/measurements/preview",
                    "/api/runs/{runId}/blocks",
                    "/api/runs/{runId}/movements",
                    "/api/runs/{runId}/close",
                    "/api/runs/{runId}/morning"),
            any(HttpMethod.PUT, "/api/runs/{runId}/devices/{device}"),
            any(HttpMethod.DELETE, "/api/runs/{runId}/devices/{device}"));

    private static RequestMatcher any(HttpMethod method, String... patterns) {
        return new OrRequestMatcher(Arrays.stream(patterns)
                .<RequestMatcher>map(
                        p -> PathPatternRequestMatcher.withDefaults().matcher(method, p))
                .toList());
    }

    @Bean
    PasswordEncoder passwordEncoder(@Value("${gradino.hash-strength}") int strength) {
        return new BCryptPasswordEncoder(strength);
    }

    /**
     * Every request is authenticated anew from its cookie; the framework takes each for a fresh sign-in and would do what belongs to
     * one: it is told not to. Where nobody is signed in there is nothing to forge; another site's page is refused before this.
     */
    @Bean
    SecurityFilterChain chain(HttpSecurity http, SignInService signIns, HomeLinkService links, Clock clock)
            throws Exception {
        var forgery = new BoundTokens();
        http.csrf(csrf -> csrf.csrfTokenRepository(forgery)
                        .csrfTokenRequestHandler(forgery)
                        .requireCsrfProtectionMatcher(forgery::isNeeded)
                        .ignoringRequestMatchers(any(
                                HttpMethod.POST,
                                "/api/sign-in",
                                "/api/sign-in/owner",
                                "/api/home/enter",
                                "/api/shared-report"))
                        .sessionAuthenticationStrategy(new NullAuthenticatedSessionStrategy()))
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .addFilterBefore(new TokenFilter(signIns, links), AnonymousAuthenticationFilter.class)
                .addFilterAfter(new BodyLimit(clock), AnonymousAuthenticationFilter.class)
                .authorizeHttpRequests(SecuritySetup::whoMayWhat)
                .exceptionHandling(e -> e.authenticationEntryPoint((request, response, why) ->
                                Refusal.write(response, HttpStatus.UNAUTHORIZED, "Sign in first."))
                        .accessDeniedHandler((request, response, why) ->
                                Refusal.write(response, HttpStatus.FORBIDDEN, "Your account may not do this.")))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT))
                        .referrerPolicy(r -> r.policy(ReferrerPolicy.NO_REFERRER))
                        .cacheControl(cache -> cache.disable())
                        .addHeaderWriter(new DelegatingRequestMatcherHeaderWriter(PERSONAL, NO_STORE)));
        return http.build();
    }

    /** The first that fits counts. */
    private static void whoMayWhat(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry may) {
        may.dispatcherTypeMatchers(DispatcherType.FORWARD, DispatcherType.ERROR, DispatcherType.ASYNC)
                .permitAll()
                .requestMatchers(
                        "/api/sign-in", "/api/sign-in/**", "/api/home/enter", "/api/shared-report", "/api/feeds/**")
                .permitAll()
                .requestMatchers("/api/home/**")
                .hasRole("HOME")
                .requestMatchers(HOME_READS)
                .hasAnyRole(STAFF_AND_HOME)
                .requestMatchers(HOME_WRITES)
                .hasAnyRole("OWNER", "COACH", "HOME")
                .requestMatchers("/api/me/**")
                .hasAnyRole(STAFF)
                .requestMatchers(HttpMethod.GET, "/api/colleagues")
                .hasAnyRole(STAFF)
                .requestMatchers("/api/accounts/**", "/api/audit", "/api/exchange/**", "/api/backups")
                .hasRole("OWNER")
                .requestMatchers("/api/clients/{clientId}/erasure")
                .hasRole("OWNER")
                .requestMatchers(HttpMethod.PUT, "/api/noise", "/api/policies/{policyId}")
                .hasRole("OWNER")
                .requestMatchers(HttpMethod.POST, "/api/policies/{policyId}/use")
                .hasRole("OWNER")
                .requestMatchers(HttpMethod.GET, "/api/**")
                .hasAnyRole(STAFF)
                .requestMatchers("/api/**")
                .hasAnyRole("OWNER", "COACH")
                .anyRequest()
                .permitAll();
    }
}
