package gradino.server.advance.line;

import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.server.intake.Client;
import gradino.server.platform.Problem;
import gradino.server.prescribe.compose.ComposeService;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository.LineVersion;
import gradino.server.prescribe.program.LineRepository.StoredVersion;
import gradino.server.prescribe.program.SessionRepository.Saving;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Lines as they were prescribed, read when one is asked for, and the sessions that they stand in. */
final class Versions {
    private final Map<String, List<StoredVersion>> stored;
    private final List<Saving> sessions;
    private final Map<String, List<LineVersion>> read = new HashMap<>();
    private final Map<String, Integer> seconds = new HashMap<>();

    private Versions(Map<String, List<StoredVersion>> stored, List<Saving> sessions) {
        this.stored = stored;
        this.sessions = sessions;
    }

    static Versions of(List<StoredVersion> versions, List<Saving> sessions) {
        return new Versions(versions.stream().collect(Collectors.groupingBy(StoredVersion::lineId)), sessions);
    }

    /** Oldest first; never empty. */
    List<LineVersion> of(String lineId) {
        var known = read.get(lineId);
        if (known == null) {
            known = stored.getOrDefault(lineId, List.of()).stream()
                    .map(StoredVersion::read)
                    .toList();
            read.put(lineId, known);
        }
        if (known.isEmpty()) {
            throw Problem.notFound("plan");
        }
        return known;
    }

    /** What the rest of the sessions that a line stands in leaves of the client's minutes: the least of them. */
    @Nullable
    Integer minutes(Client client, Line line, Plan plan) {
        var minutes = client.details().minutes();
        if (minutes == null) {
            return null;
        }
        return sessions.stream()
                .filter(s -> s.clientId().equals(client.id()) && s.has(line.id()))
                .map(s -> plan.minutesLeft(minutes, seconds(s)))
                .min(Comparator.naturalOrder())
                .orElse(minutes);
    }

    private int seconds(Saving session) {
        var known = seconds.get(session.id());
        if (known == null) {
            known = compiled(session);
            seconds.put(session.id(), known);
        }
        return known;
    }

    /** As its lines were last prescribed: nothing is folded to tell the time. One that cannot be read takes none. */
    private int compiled(Saving session) {
        var body = Objects.requireNonNull(session.body());
        var drafts = new HashMap<String, LineDraft>();
        var unread = new HashSet<String>();
        for (var id : body.lines()) {
            try {
                drafts.put(id, newest(id).draft(id));
            } catch (RuntimeException toldWhereThatLineIsJudged) {
                unread.add(id);
            }
        }
        var readable = body.without(unread).with(id -> Objects.requireNonNull(drafts.get(id)));
        return ComposeService.timeline(readable).seconds();
    }

    private Plan newest(String lineId) {
        var versions = of(lineId);
        return versions.get(versions.size() - 1).plan();
    }
}
