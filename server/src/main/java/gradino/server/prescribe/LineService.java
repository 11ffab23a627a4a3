package gradino.server.prescribe;

import gradino.core.body.Sided;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.Plan;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.prescribe.SessionRepository.Saving;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A client's lines as they are now. */
@Service
public class LineService {
    private final LineRepository lines;
    private final LineHistory history;
    private final Program program;
    private final EachLine each;
    private final ClientService clients;

    LineService(LineRepository lines, LineHistory history, Program program, EachLine each, ClientService clients) {
        this.lines = lines;
        this.history = history;
        this.program = program;
        this.each = each;
        this.clients = clients;
    }

    /**
     * A line with what to train today.
     *
     * @param sessions names of those that it stands in
     */
    public record CurrentLine(Line line, Plan plan, Sided<Props.SetUp> props, int minutes, List<String> sessions) {}

    @Transactional(readOnly = true)
    public Line get(String id) {
        return lines.find(id).orElseThrow(() -> Problem.notFound("line"));
    }

    @Transactional(readOnly = true)
    public CurrentLine current(String id) {
        var line = get(id);
        return each.required(line, () -> worked(line));
    }

    @Transactional(readOnly = true)
    public List<CurrentLine> of(String clientId) {
        clients.get(clientId);
        return lines.of(clientId).stream()
                .flatMap(line -> each.tried(line, () -> worked(line)).found().stream())
                .toList();
    }

    private CurrentLine worked(Line line) {
        var plan = history.current(line);
        var grid = Props.grid(clients.get(line.clientId()), line.position());
        return new CurrentLine(
                line,
                plan,
                plan.doses().map((s, d) -> Props.setUp(grid, d.angle())),
                (Compiler.secondsOf(plan) + 59) / 60,
                program.with(line).stream().map(Saving::name).toList());
    }
}
