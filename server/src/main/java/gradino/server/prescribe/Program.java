package gradino.server.prescribe;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.Arrangement;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.SessionDraft;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.server.prescribe.LineRepository.LineVersion;
import gradino.server.prescribe.SessionRepository.Saving;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
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

    /** A session with the doses in force now: decided steps taken, suspended ones not. */
    public SessionDraft inForce(Saving session) {
        return Objects.requireNonNull(session.body()).with(id -> draft(line(id)));
    }

    /**
     * A session to look at.
     *
     * @param draft without the lines that cannot be worked out; it cannot be started then
     * @param troubles what is wrong with those
     */
    record Known(SessionDraft draft, List<Finding> troubles) {}

    Known known(Saving session) {
        var troubles = new LinkedHashMap<String, Finding>();
        var drafts = new HashMap<String, LineDraft>();
        var body = Objects.requireNonNull(session.body());
        for (var id : body.lines()) {
            var line = line(id);
            var tried = each.tried(line, () -> draft(line));
            tried.found().ifPresent(d -> drafts.put(id, d));
            var trouble = tried.trouble();
            if (trouble != null) {
                troubles.put(id, trouble);
            }
        }
        var draft = body.without(troubles.keySet()).with(id -> Objects.requireNonNull(drafts.get(id)));
        return new Known(draft, List.copyOf(troubles.values()));
    }

    private Line line(String id) {
        return lines.find(id).orElseThrow(() -> new IllegalStateException("a session has a line " + id));
    }

    /** A line as it would stand in a session now. */
    public LineDraft draft(Line line) {
        return each.required(line, () -> history.current(line)).draft(line.id());
    }

    /** The sessions that a line stands in. */
    public List<Saving> with(Line line) {
        return sessions.of(line.clientId()).stream()
                .filter(s -> s.has(line.id()))
                .toList();
    }

    /** Names of those, for a reader; null where there are none. */
    public @Nullable String names(Line line) {
        var names = with(line).stream().map(Saving::name).collect(Collectors.joining(", "));
        return names.isEmpty() ? null : names;
    }

    /** What of a draft cannot be kept for this client, whatever its numbers are. */
    List<Finding> check(String clientId, SessionDraft draft) {
        var findings = new ArrayList<Finding>();
        for (int s = 0; s < draft.stations().size(); s++) {
            var all = draft.stations().get(s).lines();
            for (int l = 0; l < all.size(); l++) {
                var path = "stations[%d].lines[%d].id".formatted(s, l);
                misfit(clientId, all.get(l), path).ifPresent(findings::add);
            }
        }
        return findings;
    }

    private Optional<Finding> misfit(String clientId, LineDraft draft, String path) {
        if (!draft.id().matches("[A-Za-z0-9-]{1,64}")) {
            var words = "An id is 1 to 64 letters, digits and hyphens.";
            return Optional.of(Finding.blocking(path, "bad-id", null, "", words));
        }
        return lines.find(draft.id()).flatMap(line -> {
            if (!line.clientId().equals(clientId)) {
                return Optional.of(
                        Finding.blocking(path, "not-theirs", null, "", "This client has no such line: add a new one."));
            }
            boolean same =
                    line.motion().equals(draft.motion()) && line.position().equals(draft.position());
            var words = "Another motion or position is another line: add a new one.";
            return same ? Optional.empty() : Optional.of(Finding.blocking(path, "another-line", null, "", words));
        });
    }

    /** Takes over what was composed: new lines open, changed ones get a new version, those in no session any more end. */
    void saved(Saving session, SessionDraft draft) {
        for (var line : draft.lines()) {
            var plan = Plan.of(line);
            lines.find(line.id())
                    .ifPresentOrElse(
                            known -> change(known, plan, session.recordedAt()),
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

    private void change(Line line, Plan plan, Instant at) {
        var before = history.current(line);
        if (before.equals(plan)) {
            return;
        }
        lines.add(new LineVersion(line.id(), plan, at, at));
        for (var side : Side.PAIR) {
            if (!before.dose(side).equals(plan.dose(side))) {
                history.edited(line, side, before.dose(side), plan.dose(side), at);
            }
        }
    }
}
