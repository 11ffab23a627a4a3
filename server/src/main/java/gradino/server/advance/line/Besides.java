package gradino.server.advance.line;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gradino.core.advance.state.Beside;
import gradino.core.advance.state.Beside.Trained;
import gradino.server.perform.record.BesideRepository;
import gradino.server.platform.InMemory;
import gradino.server.prescribe.program.Line;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What was trained of a line's motion in the client's other lines, kept until the client's stamp changes or a session grows too old. */
@Component
class Besides implements InMemory {
    private static final int MOST_ROWS = 80_000;

    private final BesideRepository rows;
    private final Cache<String, OfClient> kept = Caffeine.newBuilder()
            .maximumWeight(MOST_ROWS)
            .weigher((String client, OfClient of) -> 1 + of.rows())
            .build();

    Besides(BesideRepository rows) {
        this.rows = rows;
    }

    /** @param stamps of the clients, read before anything else of them */
    Map<String, Beside> of(Collection<Line> lines, Map<String, Long> stamps, Instant since) {
        var clients = known(lines.stream().map(Line::clientId).distinct().toList(), stamps, since);
        var found = new HashMap<String, Beside>();
        lines.forEach(line -> found.put(
                line.id(), Objects.requireNonNull(clients.get(line.clientId())).beside(line)));
        return found;
    }

    private Map<String, OfClient> known(List<String> clientIds, Map<String, Long> stamps, Instant since) {
        var known = new HashMap<>(kept.getAllPresent(clientIds));
        known.entrySet().removeIf(e -> !e.getValue().holds(stamps.getOrDefault(e.getKey(), 0L), since));
        var changed = clientIds.stream().filter(id -> !known.containsKey(id)).toList();
        if (!changed.isEmpty()) {
            var read = rows.since(since, changed);
            for (var id : changed) {
                var of = new OfClient(stamps.getOrDefault(id, 0L), since, read.getOrDefault(id, Map.of()));
                kept.put(id, of);
                known.put(id, of);
            }
        }
        return known;
    }

    @Override
    public void forget() {
        kept.invalidateAll();
    }

    /** A client's sessions since a moment. */
    private static final class OfClient {
        private final long stamp;
        private final Instant since;
        private final @Nullable Instant oldest;
        private final Map<String, List<Trained>> byMotion;
        private final Map<String, Beside> byLine = new ConcurrentHashMap<>();

        OfClient(long stamp, Instant since, Map<String, List<Trained>> byMotion) {
            this.stamp = stamp;
            this.since = since;
            this.byMotion = byMotion;
            this.oldest = byMotion.values().stream()
                    .flatMap(List::stream)
                    .map(Trained::endedAt)
                    .min(Instant::compareTo)
                    .orElse(null);
        }

        int rows() {
            return byMotion.values().stream().mapToInt(List::size).sum();
        }

        /** Nothing was written meanwhile, and a later moment still has all of it. */
        boolean holds(long newest, Instant wanted) {
            return stamp == newest && !wanted.isBefore(since) && (oldest == null || wanted.isBefore(oldest));
        }

        Beside beside(Line line) {
            var ofMotion = byMotion.get(line.motion());
            return ofMotion == null ? Beside.NONE : byLine.computeIfAbsent(line.id(), id -> Beside.of(id, ofMotion));
        }
    }
}
