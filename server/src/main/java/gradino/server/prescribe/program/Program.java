package gradino.server.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.server.intake.Client;
import gradino.server.prescribe.program.LineHistory.Look;
import gradino.server.prescribe.program.LineRepository.LineVersion;
import gradino.server.prescribe.program.SessionRepository.Saving;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A client's lines and the sessions they stand in: what is composed becomes versions of lines and an arrangement of them. */
@Component
public class Program {
    private final LineRepository lines;
    private final SessionRepository sessions;
    private final LineHistory history;
    private final EachLine each;

    Program(LineRepository lines, SessionRepository sessions, LineHistory history, EachLine each) {
        this.lines = lines;
        this.sessions = sessions;
        this.history = history;
        this.each = each;
    }

    /** As it is now. */
    public ClientProgram of(Client client) {
        var own = lines.of(client.id());
        return new ClientProgram(client, own, sessions.of(client.id()), history.of(List.of(client), own), each);
    }

    /**
     * Of several clients, in their order.
     *
     * @param all their lines
     * @param look at those
     */
    public List<ClientProgram> of(List<Client> clients, List<Line> all, Look look) {
        var byClient = all.stream().collect(Collectors.groupingBy(Line::clientId));
        var saved = sessions.of(clients.stream().map(Client::id).toList()).stream()
                .collect(Collectors.groupingBy(Saving::clientId));
        return clients.stream()
                .map(c -> new ClientProgram(
                        c, byClient.getOrDefault(c.id(), List.of()), saved.getOrDefault(c.id(), List.of()), look, each))
                .toList();
    }

    /** At one line, which may have ended. */
    Look look(Client client, Line line) {
        return history.of(List.of(client), List.of(line));
    }

    private List<Saving> with(Line line) {
        return sessions.of(line.clientId()).stream()
                .filter(s -> s.has(line.id()))
                .toList();
    }

    /** What of a draft cannot be kept, whatever its numbers are; that its lines are the client's own is seen to at the door. */
    public List<Finding> check(SessionDraft draft) {
        var findings = new ArrayList<Finding>();
        for (int s = 0; s < draft.stations().size(); s++) {
            var all = draft.stations().get(s).lines();
            for (int l = 0; l < all.size(); l++) {
                var path = "stations[%d].lines[%d].id".formatted(s, l);
                misfit(all.get(l), path).ifPresent(findings::add);
            }
        }
        return findings;
    }

    private Optional<Finding> misfit(LineDraft draft, String path) {
        return lines.find(draft.id()).flatMap(line -> {
            boolean same =
                    line.motion().equals(draft.motion()) && line.position().equals(draft.position());
            var words = "Another motion or position is another line: add a new one.";
            return same ? Optional.empty() : Optional.of(Finding.blocking(path, "another-line", null, "", words));
        });
    }

    /** Takes over what was composed: new lines open, changed ones get a new version, those in no session any more end. */
    public void saved(Client client, Saving session, SessionDraft draft) {
        var known =
                draft.lines().stream().flatMap(l -> lines.find(l.id()).stream()).toList();
        var look = history.of(List.of(client), known);
        for (var line : draft.lines()) {
            var plan = Plan.of(line);
            known.stream()
                    .filter(l -> l.id().equals(line.id()))
                    .findFirst()
                    .ifPresentOrElse(
                            before -> change(
                                    before,
                                    each.required(before, () -> look.current(before)),
                                    plan,
                                    session.recordedAt()),
                            () -> open(session.clientId(), line.id(), plan, null, session.recordedAt()));
        }
        keep(session);
    }

    /** Keeps an arrangement; a line that no session has any more ends, one that a session has again goes on. */
    public void keep(Saving session) {
        sessions.insert(session);
        var standing = new HashSet<String>();
        sessions.of(session.clientId()).forEach(s -> standing.addAll(lines(s)));
        for (var line : lines.of(session.clientId())) {
            if (!standing.contains(line.id())) {
                lines.end(line.id(), session.recordedAt());
            }
        }
        for (var id : lines(session)) {
            lines.end(id, null);
        }
    }

    private static List<String> lines(Saving session) {
        var body = session.body();
        return body == null ? List.of() : body.lines();
    }

    public Line open(String clientId, String id, Plan plan, @Nullable String follows, Instant at) {
        var line = new Line(id, clientId, plan.motion(), plan.position(), at, at, follows, null);
        lines.insert(line);
        lines.add(new LineVersion(id, plan, at, at));
        return line;
    }

    /** Another line stands wherever one stood. */
    public void replace(Line line, String by, Instant at) {
        for (var session : with(line)) {
            Arrangement body = Objects.requireNonNull(session.body());
            keep(new Saving(
                    session.id(),
                    session.clientId(),
                    session.accountId(),
                    session.name(),
                    body.replaced(line.id(), by),
                    at));
        }
    }

    /** A new version of a line, where anything of it is different. */
    public void change(Line line, Plan before, Plan plan, Instant at) {
        if (before.equals(plan)) {
            return;
        }
        lines.add(new LineVersion(line.id(), plan, at, at));
        for (var side : Side.PAIR) {
            boolean told =
                    side == Side.RIGHT && before.sides().one() && plan.sides().one();
            if (!told && !before.done(side).equals(plan.done(side))) {
                history.edited(line, side, before.done(side), plan.done(side), at);
            }
        }
    }
}
