package gradino.server.account.door;

import gradino.server.account.link.HomeLinkService;
import gradino.server.account.people.HomeGuest;
import gradino.server.account.people.SignInService;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns a cookie into who asks. */
final class TokenFilter extends OncePerRequestFilter {
    private static final String COOKIE = "gradino";
    private static final String HOME_COOKIE = "gradino-home";
    private static final String HOME_HEADER = "X-Gradino-Home";
    private final SignInService signIns;
    private final HomeLinkService links;

    TokenFilter(SignInService signIns, HomeLinkService links) {
        this.signIns = signIns;
        this.links = links;
    }

    static ResponseCookie cookie(HttpServletRequest request, String token) {
        return cookie(COOKIE, request, token, token.isEmpty() ? Duration.ZERO : SignInService.VALID);
    }

    static ResponseCookie homeCookie(HttpServletRequest request, String token, Duration valid) {
        return cookie(HOME_COOKIE, request, token, valid);
    }

    private static ResponseCookie cookie(String name, HttpServletRequest request, String token, Duration valid) {
        return ResponseCookie.from(name, token)
                .httpOnly(true)
                .sameSite("Strict")
                .secure(request.isSecure())
                .path("/")
                .maxAge(valid)
                .build();
    }

    static Optional<String> token(HttpServletRequest request) {
        return value(request, COOKIE);
    }

    static Optional<String> homeToken(HttpServletRequest request) {
        return value(request, HOME_COOKIE);
    }

    private static Optional<String> value(HttpServletRequest request, String name) {
        var cookies = request.getCookies() == null ? new Cookie[0] : request.getCookies();
        return Arrays.stream(cookies)
                .filter(c -> c.getName().equals(name))
                .map(Cookie::getValue)
                .findFirst();
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected boolean shouldNotFilterAsyncDispatch() {
        return false;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        // A browser may hold both: the pages of home say that they are.
        if (request.getHeader(HOME_HEADER) != null) {
            homeToken(request).flatMap(links::guest).ifPresent(guest -> authenticate(guest, HomeGuest.AUTHORITY));
        } else {
            token(request)
                    .flatMap(signIns::account)
                    .ifPresent(account -> authenticate(account, account.role().authority()));
        }
        chain.doFilter(request, response);
    }

    private static void authenticate(Object who, String authority) {
        var context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                who, null, List.of(new SimpleGrantedAuthority(authority))));
        SecurityContextHolder.setContext(context);
    }
}
