package gradino.server.prescribe.compose;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.effort.EffortSolver;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.LineOptions;
import gradino.core.prescribe.program.LineOptions.LineOption;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.program.Shorten;
import gradino.core.prescribe.program.Variants;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.Timeline;
import gradino.server.account.people.Account;
import gradino.server.account.people.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.library.MethodService;
import gradino.server.prescribe.program.ClientProgram;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.Program;
import gradino.server.prescribe.program.SessionContexts;
import gradino.server.prescribe.program.SessionRepository;
import gradino.server.prescribe.program.SessionRepository.Saving;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Composes whole sessions: previews, shortens, solves and keeps them. */
@Service
public class ComposeService {
    private static final int SECONDS_PER_MINUTE = 60;

    private final SessionRepository sessions;
    private final Program program;
    private final MethodService methods;
    private final SessionContexts contexts;
    private final ClientService clients;
    private final SignedIn signedIn;
    private final Clock clock;

    ComposeService(
            SessionRepository sessions,
            Program program,
            MethodService methods,
            SessionContexts contexts,
            ClientService clients,
            SignedIn signedIn,
            Clock clock) {
        this.sessions = sessions;
        this.program = program;
        this.methods = methods;
        this.contexts = contexts;
        this.clients = clients;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    ScorePreview preview(String clientId, SessionDraft draft) {
        var client = clients.get(clientId);
        var checked = checked(draft, contexts.of(program.of(client)));
        return ScorePreview.of(client, draft, checked, contexts.policy());
    }

    @Transactional(readOnly = true)
    List<LineOption> options(String clientId, LineDraft line) {
        clients.get(clientId);
        return LineOptions.of(line);
    }

    @Transactional(readOnly = true)
    Shorten.Shorter shorten(String clientId, SessionDraft draft, @Nullable Integer minutes) {
        var client = clients.get(clientId);
        var limit = minutes == null ? client.details().minutes() : minutes;
        if (limit == null || limit < 1 || limit > 240) {
            throw Problem.invalid("minutes", "required", "How many minutes are there? Between 1 and 240.");
        }
        return Shorten.toFit(draft, limit * SECONDS_PER_MINUTE);
    }

    @Transactional(readOnly = true)
    EffortSolver.WaysOut solve(String clientId, SessionDraft draft, int station, int line, int block) {
        clients.get(clientId);
        boolean there = station >= 0
                && station < draft.stations().size()
                && line >= 0
                && line < draft.stations().get(station).lines().size()
                && block >= 0;
        if (!there) {
            throw Problem.invalid("block", "unknown", "There is no such block in this session.");
        }
        return EffortSolver.solve(draft, station, line, block);
    }

    /**
     * A session in short.
     *
     * @param lowered why less is done than the doses in force
     */
    public record Named(String id, String name, int minutes, List<String> lines, List<String> lowered) {}

    /** As whoever asks may train now: at home a step down that waits counts already. */
    private ClientProgram inForce(Client client) {
        var now = program.of(client);
        return signedIn.guest().isPresent() ? now.unled() : now;
    }

    @Transactional(readOnly = true)
    public List<Named> named(String clientId) {
        var now = inForce(clients.get(clientId));
        return now.sessions().stream()
                .map(s -> {
                    var draft = now.seen(s).draft();
                    int seconds = timeline(draft).seconds();
                    return new Named(
                            s.id(),
                            s.name(),
                            (seconds + SECONDS_PER_MINUTE - 1) / SECONDS_PER_MINUTE,
                            draft.lines().stream().map(LineDraft::id).toList(),
                            now.lowered(s));
                })
                .toList();
    }

    /**
     * A session of a client with the doses in force.
     *
     * @param draft without the lines that cannot be worked out
     * @param troubles what is wrong with those
     * @param lowered why less is done than the doses in force
     */
    public record CurrentSession(
            String id,
            String clientId,
            String name,
            SessionDraft draft,
            Instant recordedAt,
            List<Finding> troubles,
            List<String> lowered) {}

    @Transactional(readOnly = true)
    List<CurrentSession> of(String clientId) {
        var now = program.of(clients.get(clientId));
        return now.sessions().stream().map(s -> seen(now, s)).toList();
    }

    private static CurrentSession seen(ClientProgram now, Saving s) {
        var seen = now.seen(s);
        return new CurrentSession(
                s.id(), s.clientId(), s.name(), seen.draft(), s.recordedAt(), seen.troubles(), now.lowered(s));
    }

    @Transactional(readOnly = true)
    public CurrentSession get(String clientId, String id) {
        var now = program.of(clients.get(clientId));
        return now.session(id).map(s -> seen(now, s)).orElseThrow(Problem::nothingHere);
    }

    /** As it is handed out, to be done without a coach. */
    @Transactional(readOnly = true)
    public CurrentSession atHome(String clientId, String id) {
        var now = program.of(clients.get(clientId)).unled();
        return now.session(id).map(s -> seen(now, s)).orElseThrow(Problem::nothingHere);
    }

    /** What may be trained now, compiled. */
    public record Ready(String name, SessionDraft draft, Timeline timeline, List<Variants.Variant> variants) {}

    /** @throws Problem with the reasons when it may not be, any more */
    @Transactional(readOnly = true)
    public Ready ready(Client client, String sessionId) {
        var now = inForce(client);
        var session = now.session(sessionId).orElseThrow(Problem::nothingHere);
        return ready(now, session.name(), now.inForce(session));
    }

    /** A line alone. */
    @Transactional(readOnly = true)
    public Ready ready(Client client, Line line) {
        var now = inForce(client);
        var name = Catalogue.motion(line.motion()).map(Motion::name).orElse(line.motion());
        return ready(now, name, new SessionDraft(List.of(), List.of(StationDraft.of(now.draft(line)))));
    }

    /** Whatever of the program is put together for today. */
    @Transactional(readOnly = true)
    public Ready ready(Client client, String name, Function<ClientProgram, SessionDraft> draft) {
        var now = inForce(client);
        return ready(now, name, draft.apply(now));
    }

    private Ready ready(ClientProgram now, String name, SessionDraft draft) {
        var context = contexts.of(now);
        var checked = SessionCheck.check(draft, context, methods.methods());
        Problem.throwIfBlocking(checked.findings());
        for (var line : draft.lines()) {
            Problem.throwIfBlocking(now.line(line.id()).map(now.look()::forbids).orElse(List.of()));
        }
        return new Ready(
                name,
                draft,
                checked.timeline().orElseThrow(Problem::nothingHere),
                Variants.of(draft, context, methods.methods()));
    }

    /** What was composed, compiled; empty where nothing of it can be read. */
    public static Timeline timeline(SessionDraft draft) {
        return SessionReader.read(draft).plan().map(Compiler::compile).orElse(new Timeline(List.of()));
    }

    private SessionCheck.Checked checked(SessionDraft draft, SessionContext context) {
        var checked = SessionCheck.check(draft, context, methods.methods());
        var findings = new ArrayList<>(program.check(draft));
        findings.addAll(checked.findings());
        return new SessionCheck.Checked(checked.timeline(), List.copyOf(findings));
    }

    /** Keeps a session; what breaks a restriction or cannot be is refused with its reasons. */
    @Transactional
    public CurrentSession save(String clientId, String id, String name, SessionDraft draft) {
        var client = clients.get(clientId);
        var checked = checked(draft, contexts.of(program.of(client)));
        Problem.throwIfBlocking(checked.findings());
        if (checked.timeline().isEmpty()) {
            throw Problem.invalid("stations", "empty", "Nothing is in this session yet: add a line.");
        }
        if (name.isBlank() || name.length() > 120) {
            throw Problem.invalid("name", "required", "A name of up to 120 letters.");
        }
        program.saved(client, saving(clientId, id, name.strip(), Arrangement.of(draft)), draft);
        return get(clientId, id);
    }

    private Saving saving(String clientId, String id, String name, @Nullable Arrangement body) {
        var me = signedIn.account().map(Account::id).orElse(null);
        return new Saving(id, clientId, me, name, body, StudioClock.now(clock));
    }

    /** Takes a session away. Lines that stand in no other end; what was run stays in the record. */
    @Transactional
    public void remove(String clientId, String id) {
        clients.get(clientId);
        var session = sessions.newest(clientId, id).orElseThrow(Problem::nothingHere);
        program.keep(saving(clientId, id, session.name(), null));
    }
}
