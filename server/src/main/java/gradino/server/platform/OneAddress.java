package gradino.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** So many requests of one address at once: whoever opens more leaves places for the others. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class OneAddress extends OncePerRequestFilter {
    static final int MOST = 100;

    private final Map<String, Integer> going = new ConcurrentHashMap<>();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        var address = request.getRemoteAddr();
        int now = going.merge(address, 1, Integer::sum);
        try {
            if (now > MOST) {
                response.setHeader("Retry-After", "5");
                response.sendError(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            } else {
                chain.doFilter(request, response);
            }
        } finally {
            going.computeIfPresent(address, (a, n) -> n == 1 ? null : n - 1);
        }
    }
}
