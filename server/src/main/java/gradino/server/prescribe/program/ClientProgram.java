package gradino.server.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.server.intake.Client;
import gradino.server.prescribe.program.EachLine.Tried;
import gradino.server.prescribe.program.LineHistory.Look;
import gradino.server.prescribe.program.SessionRepository.Saving;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A client's lines and sessions as they are now, read once.
 *
 * @param lines in force
 * @param sessions the newest first
 */
public record ClientProgram(Client client, List<Line> lines, List<Saving> sessions, Look look, EachLine each) {

    public Optional<Line> line(String id) {
        return lines.stream().filter(l -> l.id().equals(id)).findFirst();
    }

    private Line standing(String id) {
        return line(id).orElseThrow(() -> new IllegalStateException("a session has a line " + id));
    }

    public Optional<Saving> session(String id) {
        return sessions.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** The same where no coach leads. */
    public ClientProgram unled() {
        return new ClientProgram(client, lines, sessions, look.unled(), each);
    }

    /** Why less is done in a session than the doses in force. */
    public List<String> lowered(Saving session) {
        return Objects.requireNonNull(session.body()).lines().stream()
                .flatMap(id ->
                        tried(standing(id), look -> look.lowered(standing(id)))
                                .found()
                                .flatMap(Function.identity())
                                .stream())
                .distinct()
                .toList();
    }

    /** A line with the doses to train with today. */
    Plan plan(Line line) {
        return each.required(line, () -> look.current(line));
    }

    /** A line as it would stand in a session now. */
    public LineDraft draft(Line line) {
        return plan(line).draft(line.id());
    }

    public <T> Tried<T> tried(Line line, Function<Look, T> work) {
        return each.tried(line, () -> work.apply(look));
    }

    /** A session with the doses in force now: decided steps taken, suspended ones not. */
    public SessionDraft inForce(Saving session) {
        return Objects.requireNonNull(session.body()).with(id -> draft(standing(id)));
    }

    /**
     * A session to look at.
     *
     * @param draft without the lines that cannot be worked out; it cannot be started then
     * @param troubles what is wrong with those
     */
    public record Seen(SessionDraft draft, List<Finding> troubles) {}

    public Seen seen(Saving session) {
        var troubles = new LinkedHashMap<String, Finding>();
        var drafts = new HashMap<String, LineDraft>();
        var body = Objects.requireNonNull(session.body());
        for (var id : body.lines()) {
            var tried = tried(standing(id), look -> look.current(standing(id)).draft(id));
            tried.found().ifPresent(d -> drafts.put(id, d));
            var trouble = tried.trouble();
            if (trouble != null) {
                troubles.put(id, trouble);
            }
        }
        var draft = body.without(troubles.keySet()).with(id -> Objects.requireNonNull(drafts.get(id)));
        return new Seen(draft, List.copyOf(troubles.values()));
    }

    /** The sessions that a line stands in. */
    public List<Saving> with(Line line) {
        return sessions.stream().filter(s -> s.has(line.id())).toList();
    }

    /** Names of those, for a reader; null where there are none. */
    public @Nullable String names(Line line) {
        var names = with(line).stream().map(Saving::name).collect(Collectors.joining(", "));
        return names.isEmpty() ? null : names;
    }
}
