package gradino.server.prescribe.program;

import gradino.core.body.Sided;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.program.Plan;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.prescribe.program.SessionRepository.Saving;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A client's lines as they are now. */
@Service
public class LineService {
    private final LineRepository lines;
    private final Program program;
    private final ClientService clients;

    LineService(LineRepository lines, Program program, ClientService clients) {
        this.lines = lines;
        this.program = program;
        this.clients = clients;
    }

    /**
     * A line with what to train today.
     *
     * @param sessions names of those that it stands in
     */
    public record CurrentLine(
            Line line,
            Plan plan,
            Sided<Props.SetUp> props,
            Sided<Apparatus> apparatus,
            int minutes,
            List<String> sessions) {}

    @Transactional(readOnly = true)
    public Line get(String id) {
        return lines.find(id).orElseThrow(() -> Problem.notFound("line"));
    }

    @Transactional(readOnly = true)
    public CurrentLine current(String id) {
        var line = get(id);
        var client = clients.get(line.clientId());
        var now = program.of(List.of(client), List.of(line), program.look(client, line))
                .get(0);
        return worked(now, line, now.plan(line));
    }

    /** Those that can be worked out. */
    @Transactional(readOnly = true)
    public List<CurrentLine> of(String clientId) {
        var now = program.of(clients.get(clientId));
        return now.lines().stream()
                .flatMap(line -> now.tried(line, look -> worked(now, line, look.current(line))).found().stream())
                .toList();
    }

    private static CurrentLine worked(ClientProgram now, Line line, Plan plan) {
        var grid = Props.grid(now.client(), line.position());
        return new CurrentLine(
                line,
                plan,
                plan.doses().map((s, d) -> Props.setUp(grid, d.angle())),
                plan.doses().map((s, d) -> d.apparatus()),
                (plan.seconds() + 59) / 60,
                now.with(line).stream().map(Saving::name).toList());
    }
}
