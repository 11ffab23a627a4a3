package gradino.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Turns the session cookie into who asks. */
final class TokenFilter extends OncePerRequestFilter {
    private static final String COOKIE = "gradino";
    private final SignInService signIns;

    TokenFilter(SignInService signIns) {
        this.signIns = signIns;
    }

    static ResponseCookie cookie(HttpServletRequest request, String token) {
        return ResponseCookie.from(COOKIE, token)
                .httpOnly(true)
                .sameSite("Strict")
                .secure(request.isSecure())
                .path("/")
                .maxAge(token.isEmpty() ? java.time.Duration.ZERO : SignInService.VALID)
                .build();
    }

    static Optional<String> token(HttpServletRequest request) {
        var cookies = request.getCookies() == null ? new Cookie[0] : request.getCookies();
        return Arrays.stream(cookies)
                .filter(c -> c.getName().equals(COOKIE))
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
        token(request).flatMap(signIns::account).ifPresent(account -> {
            var context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                    account,
                    null,
                    List.of(new SimpleGrantedAuthority(account.role().authority()))));
            SecurityContextHolder.setContext(context);
        });
        chain.doFilter(request, response);
    }
}
