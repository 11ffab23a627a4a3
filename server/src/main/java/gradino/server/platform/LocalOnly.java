package gradino.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Only this machine may ask, and whoever comes under the studio's own name over a safe connection: a foreign host name (a page that re-points its own name here) and a
 * request that another site's page makes are refused.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LocalOnly extends OncePerRequestFilter {
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OWN = Set.of("same-origin", "none");
    private static final Set<String> HERE = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private final String host;

    /** @param host the name under which this studio is reached over a safe connection; empty for this machine only */
    LocalOnly(@Value("${gradino.host}") String host) {
        this.host = host.toLowerCase(Locale.ROOT);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        var name = request.getServerName().toLowerCase(Locale.ROOT);
        boolean known = HERE.contains(name) || (!host.isEmpty() && name.equals(host) && request.isSecure());
        if (!known || isForeign(request)) {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
            return;
        }
        chain.doFilter(request, response);
    }

    /** Browsers say whose page asks: what changes something, or asks for data, comes from this studio's own pages. */
    private static boolean isForeign(HttpServletRequest request) {
        boolean changes = !READS.contains(request.getMethod());
        boolean data = request.getRequestURI().startsWith("/api/");
        var site = request.getHeader("Sec-Fetch-Site");
        boolean elsewhere = site != null && !OWN.contains(site);
        var origin = request.getHeader("Origin");
        return (elsewhere && (changes || data))
                || (origin != null && (changes || data) && !origin.equals(own(request)));
    }

    private static String own(HttpServletRequest request) {
        int port = request.getServerPort();
        boolean usual = port == (request.isSecure() ? 443 : 80);
        return request.getScheme() + "://" + request.getServerName() + (usual ? "" : ":" + port);
    }
}
