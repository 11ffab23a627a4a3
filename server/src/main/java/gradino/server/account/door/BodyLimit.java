package gradino.server.account.door;

import gradino.server.account.people.Account;
import gradino.server.account.people.HomeGuest;
import gradino.server.platform.Limits;
import gradino.server.platform.TooLargeException;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * How much a request may bring, and how long it may take to bring it: little from a stranger, a page's worth from who is known, a
 * file's only where a file is meant. What one account or link brings in an hour has an end too.
 */
final class BodyLimit extends OncePerRequestFilter {
    private static final long MOST_OF_A_FORM = 512 * Limits.KB * Limits.KB;
    private static final Map<String, Long> FILES =
            Map.of("/api/methods", 512 * Limits.KB, "/api/exchange/import", MOST_OF_A_FORM);
    private static final String TRACES = "/traces";
    private static final String BUSY_TIMES = "/calendar/busy";
    private static final long TRACE = 2 * Limits.KB * Limits.KB;
    private static final long LINK_AN_HOUR = Limits.KB * Limits.KB;
    private static final long ACCOUNT_AN_HOUR = 256 * Limits.KB * Limits.KB;
    private static final Duration HOUR = Duration.ofHours(1);
    private static final Duration SLOWEST = Duration.ofSeconds(30);
    private static final Duration SLOWEST_FILE = Duration.ofMinutes(5);

    private final Clock clock;
    private final Map<String, Used> used = new ConcurrentHashMap<>();

    BodyLimit(Clock clock) {
        this.clock = clock;
    }

    private record Used(Instant since, long bytes) {}

    /** @param quota of an hour, under its key; null for a stranger, who has none to use up */
    private record Share(long most, @Nullable String key, long quota, Duration slowest) {}

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        var share = share(request);
        if (isForm(request) && share.most() < MOST_OF_A_FORM) {
            Refusal.write(response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, "No file is taken here.");
        } else if (request.getContentLengthLong() > share.most()) {
            Refusal.write(response, HttpStatus.CONTENT_TOO_LARGE, TooLargeException.words(share.most()));
        } else if (share.key() != null && brings(request) && isUsedUp(share.key(), share.quota())) {
            Refusal.write(
                    response, HttpStatus.TOO_MANY_REQUESTS, "That is more than fits into an hour: try again later.");
        } else {
            chain.doFilter(new Counted(request, share), response);
        }
    }

    private static boolean brings(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    /** A form's parts are read by the server itself, before anybody is asked. */
    private static boolean isForm(HttpServletRequest request) {
        var type = request.getContentType();
        return type != null && type.toLowerCase(Locale.ROOT).startsWith("multipart/");
    }

    private static Share share(HttpServletRequest request) {
        var who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getPrincipal() instanceof HomeGuest guest) {
            return new Share(Limits.KNOWN_BYTES, "link " + guest.linkId(), LINK_AN_HOUR, SLOWEST);
        } else if (who != null && who.getPrincipal() instanceof Account account) {
            var uri = request.getRequestURI();
            long file = uri.endsWith(TRACES) || uri.endsWith(BUSY_TIMES)
                    ? TRACE
                    : FILES.getOrDefault(uri, Limits.KNOWN_BYTES);
            return new Share(file, account.id(), ACCOUNT_AN_HOUR, file > Limits.KNOWN_BYTES ? SLOWEST_FILE : SLOWEST);
        }
        return new Share(Limits.STRANGER_BYTES, null, 0, SLOWEST);
    }

    private boolean isUsedUp(String key, long quota) {
        var now = clock.instant();
        used.values().removeIf(u -> u.since().plus(HOUR).isBefore(now));
        var so = used.get(key);
        return so != null && so.bytes() >= quota;
    }

    private void use(String key, int bytes) {
        used.merge(key, new Used(clock.instant(), bytes), (old, more) -> new Used(old.since(), old.bytes() + bytes));
    }

    private final class Counted extends HttpServletRequestWrapper {
        private final Share share;
        private @Nullable ServletInputStream body;

        private Counted(HttpServletRequest request, Share share) {
            super(request);
            this.share = share;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (body == null) {
                body = new Counting(super.getInputStream(), share);
            }
            return body;
        }
    }

    private final class Counting extends ServletInputStream {
        private final ServletInputStream in;
        private final Share share;
        private final long since = System.nanoTime();
        private long bytes;

        private Counting(ServletInputStream in, Share share) {
            this.in = in;
            this.share = share;
        }

        @Override
        public int read() throws IOException {
            var one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int got = in.read(into, from, length);
            bytes += Math.max(0, got);
            if (share.key() != null && got > 0) {
                use(share.key(), got);
            }
            if (bytes > share.most()) {
                throw new TooLargeException(share.most());
            } else if (System.nanoTime() - since > share.slowest().toNanos()) {
                throw new IOException("the request took too long to arrive");
            }
            return got;
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
