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
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns a cookie into who asks. */
final class TokenFilter extends OncePerRequestFilter {
    private static final String COOKIE = "gradino";
    private static final String HOME_COOKIE = "gradino-home";
    private static final String DEVICE = "gradino-device";
    private static final Duration DEVICE_KEPT = Duration.ofDays(365);
    private static final String FORGERY = "XSRF-TOKEN";
    private static final String HOME_FORGERY = "XSRF-HOME";
    /** A browser takes such a cookie only over a safe connection, from this host and for all of it. */
    private static final String SAFE = "__Host-";

    private static final String HOME_HEADER = "X-Gradino-Home";
    private final SignInService signIns;
    private final HomeLinkService links;

    TokenFilter(SignInService signIns, HomeLinkService links) {
        this.signIns = signIns;
        this.links = links;
    }

    /** The cookie that a sign-in is, and beside it the anti-forgery token that belongs to it. */
    static void seat(HttpServletRequest request, HttpServletResponse response, String token) {
        var valid = token.isEmpty() ? Duration.ZERO : SignInService.VALID;
        set(request, response, COOKIE, FORGERY, token, valid);
    }

    /** The token that belongs to a sign-in again, where a browser has lost it. */
    static void remind(HttpServletRequest request, HttpServletResponse response) {
        token(request)
                .filter(t -> value(request, FORGERY).isEmpty())
                .ifPresent(t -> add(
                        request,
                        response,
                        ResponseCookie.from(named(FORGERY, request), BoundTokens.of(t)),
                        SignInService.VALID));
    }

    static void seatAtHome(HttpServletRequest request, HttpServletResponse response, String token, Duration valid) {
        set(request, response, HOME_COOKIE, HOME_FORGERY, token, valid);
    }

    /** What a device keeps of an earlier sign-in; empty for nothing. */
    static String device(HttpServletRequest request) {
        return value(request, DEVICE).orElse("");
    }

    static void keepDevice(HttpServletRequest request, HttpServletResponse response, String device) {
        add(
                request,
                response,
                ResponseCookie.from(named(DEVICE, request), device).httpOnly(true),
                DEVICE_KEPT);
    }

    private static void set(
            HttpServletRequest request,
            HttpServletResponse response,
            String name,
            String forgery,
            String token,
            Duration valid) {
        add(request, response, ResponseCookie.from(named(name, request), token).httpOnly(true), valid);
        var bound = token.isEmpty() ? "" : BoundTokens.of(token);
        add(request, response, ResponseCookie.from(named(forgery, request), bound), valid);
    }

    private static void add(
            HttpServletRequest request,
            HttpServletResponse response,
            ResponseCookie.ResponseCookieBuilder cookie,
            Duration valid) {
        var whole =
                cookie.sameSite("Strict").secure(request.isSecure()).path("/").maxAge(valid);
        response.addHeader(HttpHeaders.SET_COOKIE, whole.build().toString());
    }

    private static String named(String name, HttpServletRequest request) {
        return request.isSecure() ? SAFE + name : name;
    }

    /** A browser may hold both: the pages of home say that they are. */
    static boolean isHome(HttpServletRequest request) {
        return request.getHeader(HOME_HEADER) != null;
    }

    static Optional<String> token(HttpServletRequest request) {
        return value(request, COOKIE);
    }

    static Optional<String> homeToken(HttpServletRequest request) {
        return value(request, HOME_COOKIE);
    }

    private static Optional<String> value(HttpServletRequest request, String name) {
        var cookies = request.getCookies() == null ? new Cookie[0] : request.getCookies();
        var wanted = named(name, request);
        return Arrays.stream(cookies)
                .filter(c -> c.getName().equals(wanted))
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
        if (isHome(request)) {
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
