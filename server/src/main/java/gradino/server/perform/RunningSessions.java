package gradino.server.perform;

import gradino.server.platform.Problem;
import org.springframework.stereotype.Component;

/** Finds a session, whichever of the two it is. */
@Component
class RunningSessions {
    private final SessionRepository sessions;
    private final VisitRepository visits;

    RunningSessions(SessionRepository sessions, VisitRepository visits) {
        this.sessions = sessions;
        this.visits = visits;
    }

    Running find(String id) {
        var timeline = sessions.timeline(id);
        return sessions.find(id)
                .map(line -> Running.of(line, timeline, sessions.variants(id)))
                .or(() -> visits.find(id).map(visit -> Running.of(visit, timeline, sessions.variants(id))))
                .orElseThrow(() -> Problem.notFound("session"));
    }
}
