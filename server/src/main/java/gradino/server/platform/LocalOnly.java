package gradino.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Only this machine may ask until the connection can be made safe: a foreign host name (a page that re-points its own name here) and a
 * request that another site's page makes are refused.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LocalOnly extends OncePerRequestFilter {
    private static final Set<String> HOSTS = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        var site = request.getHeader("Sec-Fetch-Site");
        boolean foreign = site != null
                && site.equals("cross-site")
                && !request.getMethod().equals("GET");
        if (!HOSTS.contains(request.getServerName()) || foreign) {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
            return;
        }
        chain.doFilter(request, response);
    }
}
