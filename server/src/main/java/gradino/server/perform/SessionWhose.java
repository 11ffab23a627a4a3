package gradino.server.perform;

import gradino.server.account.Whose;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Whose a session is. */
@Component
class SessionWhose implements Whose {
    private final SessionRepository sessions;

    SessionWhose(SessionRepository sessions) {
        this.sessions = sessions;
    }

    @Override
    public String variable() {
        return "sessionId";
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> clientOf(String id) {
        return sessions.find(id).map(found -> found.clientId());
    }
}
