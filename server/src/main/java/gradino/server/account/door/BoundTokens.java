package gradino.server.account.door;

import gradino.server.account.people.Tokens;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRequestHandler;
import org.springframework.security.web.csrf.DefaultCsrfToken;

/**
 * The anti-forgery token is worked out from whoever is signed in, so that it cannot be anybody else's: it stands in a cookie that
 * the pages read, and counts only in the header.
 */
final class BoundTokens implements CsrfTokenRepository, CsrfTokenRequestHandler {
    static final String HEADER = "X-XSRF-TOKEN";
    private static final String PARAMETER = "_csrf";
    /** For whoever is nobody: matches nothing that can be sent. */
    private static final String NONE = "nobody";

    /** Where nobody is signed in there is nobody's right to borrow. */
    boolean isNeeded(HttpServletRequest request) {
        return CsrfFilter.DEFAULT_CSRF_MATCHER.matches(request)
                && session(request).isPresent();
    }

    static String of(String session) {
        return Tokens.digest("forgery " + session);
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return new DefaultCsrfToken(
                HEADER,
                PARAMETER,
                session(request).map(BoundTokens::of).orElseGet(() -> Tokens.digest(NONE + Tokens.fresh())));
    }

    private static Optional<String> session(HttpServletRequest request) {
        return TokenFilter.isHome(request) ? TokenFilter.homeToken(request) : TokenFilter.token(request);
    }

    /** It is written where somebody signs in, and nowhere else. */
    @Override
    public void saveToken(@Nullable CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        // Nothing is kept.
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return generateToken(request);
    }

    @Override
    public void handle(HttpServletRequest request, HttpServletResponse response, Supplier<CsrfToken> token) {
        request.setAttribute(CsrfToken.class.getName(), token);
    }

    @Override
    public @Nullable String resolveCsrfTokenValue(HttpServletRequest request, CsrfToken token) {
        return request.getHeader(HEADER);
    }
}
