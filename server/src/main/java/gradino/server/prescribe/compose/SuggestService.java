package gradino.server.prescribe.compose;

import gradino.core.advance.SessionStart;
import gradino.core.because.Because;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.quantity.EffortPercent;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Ranges.RangeRow;
import gradino.server.platform.Problem;
import gradino.server.prescribe.library.MethodService;
import gradino.server.prescribe.program.ClientProgram;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineHistory;
import gradino.server.prescribe.program.Program;
import gradino.server.prescribe.program.Props;
import gradino.server.prescribe.program.SessionContexts;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a client may begin with: a whole session, or one line of it. */
@Service
public class SuggestService {
    private final MethodService methods;
    private final Program program;
    private final ClientService clients;
    private final MeasureService measures;
    private final SessionContexts contexts;
    private final Clock clock;

    SuggestService(
            MethodService methods,
            Program program,
            ClientService clients,
            MeasureService measures,
            SessionContexts contexts,
            Clock clock) {
        this.methods = methods;
        this.program = program;
        this.clients = clients;
        this.measures = measures;
        this.contexts = contexts;
        this.clock = clock;
    }

    public record Suggested(SessionDraft draft, List<Because> reasons) {}

    @Transactional(readOnly = true)
    public Suggested suggest(String clientId) {
        var client = clients.get(clientId);
        var now = program.of(client);
        var wishes = measures.ranges(clientId).stream()
                .flatMap(row -> wish(now, row).stream())
                .toList();
        var suggested = SessionStart.suggest(asked(client, wishes));
        var draft = suggested.draft().withLines(line -> Plan.of(line).draft(fresh()));
        return new Suggested(draft, suggested.reasons());
    }

    /** Of a line that is not kept yet. */
    static String fresh() {
        return UUID.randomUUID().toString();
    }

    private SessionStart.Asked asked(Client client, List<SessionStart.Wish> wishes) {
        return new SessionStart.Asked(
                wishes,
                client.details().equipment(),
                client.details().minutes(),
                (position, angle) -> Props.grid(client, position.id()).roundDown(angle),
                contexts.policy());
    }

    /** A line as the client may begin with it, at the own angle where the position was measured. */
    @Transactional(readOnly = true)
    public LineDraft line(String clientId, String motionId, String positionId, String methodId, String lineId) {
        var client = clients.get(clientId);
        var motion = Catalogue.motion(motionId)
                .orElseThrow(() -> Problem.invalid("motion", "unknown-motion", "Pick a motion of the list."));
        var position = Catalogue.position(positionId)
                .filter(p -> p.trains() && p.allows(motionId))
                .orElseThrow(() -> Problem.invalid(
                        "position", "position-for-motion", "This position does not train this motion."));
        var rows = measures.ranges(clientId);
        var measured = rows.stream()
                .filter(r -> r.motion().equals(motionId) && r.position().equals(positionId))
                .max(Comparator.comparing(RangeRow::lastMeasured));
        var any = measured.or(
                () -> rows.stream().filter(r -> r.motion().equals(motionId)).findFirst());
        var now = program.of(client);
        var known = any.flatMap(row -> wish(now, row));
        var wish = new SessionStart.Wish(
                motion,
                position,
                known.map(SessionStart.Wish::limiters).orElse(Sided.both(Limiter.UNKNOWN)),
                measured.isPresent() ? known.orElseThrow().passive() : Sided.both(Optional.empty()),
                contexts.limits(client, motionId),
                client.intake().hypermobile(LocalDate.now(clock)),
                experience(now, motionId));
        return SessionStart.line(wish, asked(client, List.of()), chosen(methodId), lineId);
    }

    /** Empty where the coach leaves it open. */
    private Optional<Method> chosen(String methodId) {
        if (methodId.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(methods.methods().stream()
                .filter(m -> m.id().equals(methodId))
                .findFirst()
                .orElseThrow(() -> Problem.invalid("method", "unknown-method", "Pick a method of the list.")));
    }

    private Optional<SessionStart.Wish> wish(ClientProgram now, RangeRow row) {
        var client = now.client();
        var motion = Catalogue.motion(row.motion());
        var position = Catalogue.position(row.position());
        if (motion.isEmpty() || position.isEmpty()) {
            return Optional.empty();
        }
        boolean midline = motion.get().midline();
        var limiters = Sided.of(side ->
                row.on(midline ? Side.MIDLINE : side).map(s -> s.limiter()).orElse(Limiter.UNKNOWN));
        var passive = Sided.of(side -> row.passive(midline ? Side.MIDLINE : side));
        var day = LocalDate.now(clock);
        return Optional.of(new SessionStart.Wish(
                motion.get(),
                position.get(),
                limiters,
                passive,
                contexts.limits(client, row.motion()),
                client.intake().hypermobile(day),
                experience(now, row.motion())));
    }

    /** By the lines of the motion that the client is no newcomer to; of what is in force there the most. */
    private static Experience experience(ClientProgram now, String motion) {
        return now.lines().stream()
                .filter(l -> l.motion().equals(motion))
                .flatMap(l -> now.tried(l, look -> ceiling(look, l)).found().flatMap(c -> c).stream())
                .max(EffortPercent::compareTo)
                .map(Experience::of)
                .orElse(Experience.NEWCOMER);
    }

    /** Of the side that works less hard; empty for a newcomer. */
    private static Optional<EffortPercent> ceiling(LineHistory.Look look, Line line) {
        var plan = look.current(line);
        return look.facts(line).newcomer()
                ? Optional.empty()
                : plan.trained().stream().map(side -> plan.dose(side).ceiling()).min(EffortPercent::compareTo);
    }
}
