package gradino.server.prescribe.program;

import gradino.core.advance.state.Policy;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.quantity.UncertainAngle;
import gradino.server.intake.Client;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Ranges.RangeRow;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Gathers what a client's session is held against. */
@Component
public class SessionContexts {
    private final Program program;
    private final LineHistory history;
    private final MeasureService measures;
    private final Clock clock;

    SessionContexts(Program program, LineHistory history, MeasureService measures, Clock clock) {
        this.program = program;
        this.history = history;
        this.measures = measures;
        this.clock = clock;
    }

    /** The numbers that steps are judged by now. */
    public Policy policy() {
        return history.policy();
    }

    public SessionContext of(ClientProgram now) {
        var client = now.client();
        var known = new HashMap<String, LineFacts>();
        return new SessionContext(
                client.details().minutes(),
                client.details().equipment(),
                stoppedJoints(client, StudioClock.now(clock), clock.getZone()),
                line -> known.computeIfAbsent(
                        line.motion() + " " + line.position(), key -> facts(now, line.motion(), line.position())));
    }

    /** What is known of a client's motion in a position, as it is now. */
    public LineFacts facts(Client client, String motion, String position) {
        return facts(program.of(client), motion, position);
    }

    private LineFacts facts(ClientProgram now, String motion, String position) {
        var rows = measures.ranges(now.client(), List.of(motion));
        return now.lines().stream()
                .filter(k -> k.motion().equals(motion) && k.position().equals(position))
                .flatMap(k -> now.tried(k, look -> facts(look.facts(k), rows, motion, position)).found().stream())
                .reduce(LineFacts::and)
                .orElseGet(() -> newLine(now.client(), rows, motion, position));
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

    /** By the line's own instrument, where it has readings. */
    private static LineFacts facts(LineFacts facts, List<RangeRow> rows, String motion, String position) {
        var measured = passive(rows, motion, position);
        return new LineFacts(
                facts.limits(),
                facts.newcomer(),
                facts.held(),
                Sided.of(side -> facts.passive().on(side).or(() -> measured.on(side))),
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

    public Limits limits(Client client, String motion) {
        return client.limits(motion, StudioClock.now(clock), clock.getZone());
    }

    private static Sided<Optional<UncertainAngle>> passive(List<RangeRow> rows, String motion, String position) {
        var row = rows.stream()
                .filter(r -> r.motion().equals(motion) && r.position().equals(position))
                .findFirst();
        return Sided.of(side -> row.flatMap(r -> r.passive(side)));
    }
}
