package gradino.server.prescribe;

import gradino.core.effort.EffortSolver;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.SessionCheck;
import gradino.core.prescribe.SessionDraft;
import gradino.core.prescribe.SessionReader;
import gradino.core.prescribe.Shorten;
import gradino.core.prescribe.Timeline;
import gradino.core.prescribe.Variants;
import gradino.server.account.Account;
import gradino.server.account.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.CompositionRepository.Composition;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Composes whole sessions: previews, shortens, solves and keeps them. */
@Service
public class ComposeService {
    private static final int SECONDS_PER_MINUTE = 60;

    private final CompositionRepository compositions;
    private final ComposedLines lines;
    private final MethodService methods;
    private final SessionContexts contexts;
    private final ClientService clients;
    private final SignedIn signedIn;
    private final Clock clock;

    ComposeService(
            CompositionRepository compositions,
            ComposedLines lines,
            MethodService methods,
            SessionContexts contexts,
            ClientService clients,
            SignedIn signedIn,
            Clock clock) {
        this.compositions = compositions;
        this.lines = lines;
        this.methods = methods;
        this.contexts = contexts;
        this.clients = clients;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    ScorePreview preview(String clientId, SessionDraft draft) {
        var client = clients.get(clientId);
        var checked = SessionCheck.check(draft, contexts.of(client), methods.methods());
        return ScorePreview.of(client, draft, checked, contexts.policy());
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

    @Transactional(readOnly = true)
    List<Composition> of(String clientId) {
        clients.get(clientId);
        return compositions.of(clientId).stream().map(this::inForceIfKnown).toList();
    }

    /** To look at: as it was composed where what came of a line since cannot be worked out. It cannot be started then. */
    private Composition inForceIfKnown(Composition composition) {
        try {
            return inForce(composition);
        } catch (Problem oneLine) {
            return composition;
        }
    }

    private Composition inForce(Composition composition) {
        return composition.with(lines.inForce(composition));
    }

    /** Name of something composed. */
    public record Named(String id, String name) {}

    @Transactional(readOnly = true)
    public List<Named> named(String clientId) {
        return compositions.of(clientId).stream()
                .map(c -> new Named(c.id(), c.name()))
                .toList();
    }

    @Transactional(readOnly = true)
    public Composition get(String clientId, String id) {
        clients.get(clientId);
        return compositions.newest(clientId, id).map(this::inForce).orElseThrow(Problem::nothingHere);
    }

    /** What was composed, with its timeline, when it may be trained now. */
    public record Ready(Composition composition, Timeline timeline, List<Variants.Variant> variants) {}

    /** @throws Problem with the reasons when it may not, any more */
    @Transactional(readOnly = true)
    public Ready ready(Client client, String compositionId) {
        var composition = compositions
                .newest(client.id(), compositionId)
                .map(this::inForce)
                .orElseThrow(Problem::nothingHere);
        var context = contexts.fresh(client);
        var checked = SessionCheck.check(composition.draft(), context, methods.methods());
        Problem.throwIfBlocking(checked.findings());
        return new Ready(
                composition,
                checked.timeline().orElseThrow(Problem::nothingHere),
                Variants.of(composition.draft(), context, methods.methods()));
    }

    /** What was composed, compiled; empty where nothing of it can be read. */
    public static Timeline timeline(SessionDraft draft) {
        return SessionReader.read(draft).plan().map(Compiler::compile).orElse(new Timeline(List.of()));
    }

    /** Keeps a session; what breaks a restriction or cannot be is refused with its reasons. */
    @Transactional
    public Composition save(String clientId, String id, String name, SessionDraft draft) {
        var checked = SessionCheck.check(draft, contexts.fresh(clients.get(clientId)), methods.methods());
        Problem.throwIfBlocking(checked.findings());
        if (checked.timeline().isEmpty()) {
            throw Problem.invalid("stations", "empty", "Nothing is in this session yet: add a line.");
        }
        if (name.isBlank() || name.length() > 120) {
            throw Problem.invalid("name", "required", "A name of up to 120 letters.");
        }
        var me = signedIn.account().map(Account::id).orElse(null);
        var composition = new Composition(id, clientId, me, name.strip(), draft, StudioClock.now(clock));
        compositions.insert(composition);
        lines.saved(composition);
        return get(clientId, id);
    }
}
