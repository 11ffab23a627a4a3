package gradino.server.prescribe;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gradino.core.advance.Policy;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.prescribe.SessionContext;
import gradino.core.prescribe.SessionContext.LineFacts;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.core.quantity.UncertainAngle;
import gradino.server.intake.Client;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Ranges.RangeRow;
import gradino.server.platform.StudioClock;
import gradino.server.platform.Writes;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Gathers what a client's composed session is held against. */
@Component
public class SessionContexts {
    private static final int REMEMBERED = 200;

    private final LineRepository lines;
    private final LineHistory history;
    private final EachLine each;
    private final MeasureService measures;
    private final Writes writes;
    private final Clock clock;
    private final Cache<Key, LineFacts> facts =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    SessionContexts(
            LineRepository lines,
            LineHistory history,
            EachLine each,
            MeasureService measures,
            Writes writes,
            Clock clock) {
        this.lines = lines;
        this.history = history;
        this.each = each;
        this.measures = measures;
        this.writes = writes;
        this.clock = clock;
    }

    /** The numbers that steps are judged by now. */
    Policy policy() {
        return history.policy();
    }

    /** The same facts hold from one key stroke to the next, until something is written or another minute begins. */
    private record Key(long writes, Instant minute, String client, String motion, String position) {}

    /** As it is now, whatever is remembered: for what is about to be kept. */
    SessionContext fresh(Client client) {
        return context(client, line -> facts(client, line.motion(), line.position()));
    }

    SessionContext of(Client client) {
        long written = writes.soFar();
        var minute = StudioClock.now(clock).truncatedTo(ChronoUnit.MINUTES);
        return context(
                client,
                line -> facts.get(
                        new Key(written, minute, client.id(), line.motion(), line.position()),
                        key -> facts(client, line.motion(), line.position())));
    }

    private SessionContext context(Client client, Function<LineDraft, LineFacts> of) {
        return new SessionContext(
                client.details().minutes(),
                client.details().equipment(),
                stoppedJoints(client, StudioClock.now(clock), clock.getZone()),
                of);
    }

    /** What is known of a client's motion in a position, as it is now. */
    public LineFacts facts(Client client, String motion, String position) {
        var rows = measures.ranges(client, List.of(motion));
        return lines.of(client.id()).stream()
                .filter(k -> k.motion().equals(motion) && k.position().equals(position))
                .flatMap(k -> each.tried(k, () -> facts(k, rows, motion, position)).found().stream())
                // Whoever trains it in one place is no newcomer to it in another.
                .reduce((one, other) -> one.newcomer() && !other.newcomer() ? other : one)
                .orElseGet(() -> newLine(client, rows, motion, position));
    }

    private static Set<String> stoppedJoints(Client client, Instant at, ZoneId zone) {
        var standing = client.restrictions(at, zone).stream()
                .filter(r -> r.kind() == RestrictionKind.STOPPED)
                .toList();
        return Catalogue.motions().stream()
                .filter(m -> standing.stream().anyMatch(r -> r.scope().covers(m.id())))
                .map(Motion::joint)
                .collect(Collectors.toSet());
    }

    private LineFacts facts(Line known, List<RangeRow> rows, String motion, String position) {
        var facts = history.facts(known);
        return new LineFacts(
                facts.limits(),
                facts.newcomer(),
                facts.held(),
                passive(rows, motion, position),
                facts.unloadedMastered(),
                facts.liftOffsMastered());
    }

    private LineFacts newLine(Client client, List<RangeRow> rows, String motion, String position) {
        return new LineFacts(
                limits(client, motion),
                true,
                Sided.both(Optional.empty()),
                passive(rows, motion, position),
                false,
                false);
    }

    Limits limits(Client client, String motion) {
        return client.limits(motion, StudioClock.now(clock), clock.getZone());
    }

    private static Sided<Optional<UncertainAngle>> passive(List<RangeRow> rows, String motion, String position) {
        var row = rows.stream()
                .filter(r -> r.motion().equals(motion) && r.position().equals(position))
                .findFirst();
        return Sided.of(side -> row.flatMap(r -> r.passive(side)));
    }
}
