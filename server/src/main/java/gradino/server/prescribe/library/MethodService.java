package gradino.server.prescribe.library;

import gradino.core.because.Finding;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.MethodFile;
import gradino.server.account.people.SignedIn;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.program.SessionRepository;
import gradino.server.prescribe.program.SessionRepository.StudioMethod;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The methods that ship with Gradino and the studio's own, which come as a file. */
@Service
public class MethodService {
    private final SessionRepository sessions;
    private final SignedIn signedIn;
    private final Clock clock;

    MethodService(SessionRepository sessions, SignedIn signedIn, Clock clock) {
        this.sessions = sessions;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** A method, and whether it is the studio's own. */
    record KnownMethod(Method method, boolean own) {}

    @Transactional(readOnly = true)
    List<KnownMethod> all() {
        var known = new ArrayList<KnownMethod>();
        Method.shipped().forEach(m -> known.add(new KnownMethod(m, false)));
        sessions.methods().forEach(m -> known.add(new KnownMethod(m, true)));
        return known;
    }

    @Transactional(readOnly = true)
    public List<Method> methods() {
        return all().stream().map(KnownMethod::method).toList();
    }

    /** Keeps the methods of a file; a shipped one's id cannot be taken. */
    @Transactional
    List<KnownMethod> take(String text) {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        var read = MethodFile.read("methods.csv", text);
        var findings = new ArrayList<>(read.findings());
        for (var method : read.methods()) {
            if (Method.byId(method.id()).isPresent()) {
                findings.add(Finding.blocking(
                        "methods.csv",
                        "shipped-id",
                        null,
                        "",
                        "'" + method.id() + "' ships with Gradino: give yours another id."));
            }
        }
        Problem.throwIfBlocking(findings);
        var now = StudioClock.now(clock);
        read.methods().forEach(m -> sessions.insert(new StudioMethod(m, me.id(), now)));
        return all();
    }

    /** A method as a file, to be changed and taken in again. */
    @Transactional(readOnly = true)
    String file(String id) {
        var method =
                methods().stream().filter(m -> m.id().equals(id)).findFirst().orElseThrow(Problem::nothingHere);
        return MethodFile.write(List.of(method));
    }
}
