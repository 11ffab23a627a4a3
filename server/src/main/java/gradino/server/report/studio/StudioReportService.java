package gradino.server.report.studio;

import gradino.core.prescribe.method.Method;
import gradino.core.report.Period;
import gradino.core.report.studio.StudioReport;
import gradino.server.intake.ClientService;
import gradino.server.prescribe.program.SessionRepository;
import gradino.server.report.told.Told;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What work came to over all clients that whoever asks may see. */
@Service
public class StudioReportService {
    private final ClientService clients;
    private final LivesReader lives;
    private final SessionRepository sessions;

    StudioReportService(ClientService clients, LivesReader lives, SessionRepository sessions) {
        this.clients = clients;
        this.lives = lives;
        this.sessions = sessions;
    }

    @Transactional(readOnly = true)
    public StudioReport report(Period period) {
        return StudioReport.of(period, lives.of(clients.mine(), period));
    }

    @Transactional(readOnly = true)
    public Told of(Period period) {
        var own = sessions.methods().stream().collect(Collectors.toMap(Method::id, Method::name, (a, b) -> b));
        return new StudioWords(own).tell(report(period));
    }
}
