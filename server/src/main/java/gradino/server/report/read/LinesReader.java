package gradino.server.report.read;

import gradino.core.advance.look.Flight;
import gradino.core.because.Reason;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.report.LineClimb;
import gradino.core.report.LineSession;
import gradino.core.report.Next.Proposes;
import gradino.core.report.Period;
import gradino.server.advance.line.Known;
import gradino.server.advance.line.LineDoor;
import gradino.server.advance.line.LineRuns;
import gradino.server.intake.Client;
import gradino.server.prescribe.program.EachLine;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Lines of a client that were trained in a period, with their flights and what is proposed. One that cannot be judged is left out. */
@Component
public class LinesReader {
    private static final Set<Reason> PLATEAUS = Set.of(Reason.PLATEAU, Reason.PLATEAU_FIRST);

    private final LineRepository lines;
    private final LineRuns runs;
    private final LineDoor door;
    private final EachLine each;
    private final Clock clock;

    LinesReader(LineRepository lines, LineRuns runs, LineDoor door, EachLine each, Clock clock) {
        this.lines = lines;
        this.runs = runs;
        this.door = door;
        this.each = each;
        this.clock = clock;
    }

    /**
     * Lines of a period.
     *
     * @param all those that have ended since its beginning, too
     */
    public record Lines(List<Line> all, List<LineClimb.Known> climbs, List<Proposes> proposals) {}

    public Lines of(Client client, Period period) {
        var from = period.from().atStartOfDay(clock.getZone()).toInstant();
        var now = lines.of(client.id());
        var ended = lines.endedSince(client.id(), from);
        var all = Stream.concat(now.stream(), ended.stream()).toList();
        var known = door.of(List.of(client), all);
        // One that has ended waits for nobody, and nobody for it.
        var running = ended.isEmpty() ? known : door.of(List.of(client), now);
        var climbs = new ArrayList<LineClimb.Known>();
        var proposals = new ArrayList<Proposes>();
        now.forEach(
                line -> each.tried(line, () -> judged(line, running)).found().ifPresent(judged -> {
                    climbs.addAll(judged.climbs());
                    proposals.addAll(judged.proposals());
                }));
        ended.forEach(
                line -> each.tried(line, () -> climbs(line, known)).found().ifPresent(climbs::addAll));
        return new Lines(all, climbs, proposals);
    }

    private record Judged(List<LineClimb.Known> climbs, List<Proposes> proposals) {}

    private static Judged judged(Line line, Known running) {
        var climbs = new ArrayList<LineClimb.Known>();
        var proposals = new ArrayList<Proposes>();
        for (var side : running.state(line).plan().trained()) {
            var p = running.proposal(line, side);
            boolean plateau = p.notes().stream().anyMatch(n -> PLATEAUS.contains(n.reason()));
            climbs.add(climb(line, side, running, plateau));
            proposals.add(new Proposes(line.id(), line.motion(), side, p.verdict(), p.lever(), p.why()));
        }
        return new Judged(climbs, proposals);
    }

    private static List<LineClimb.Known> climbs(Line line, Known known) {
        return known.state(line).plan().trained().stream()
                .map(side -> climb(line, side, known, false))
                .toList();
    }

    /** One side of a line with all its rungs. */
    public static LineClimb.Known climb(Line line, Side side, Known known, boolean plateau) {
        var state = known.state(line);
        return new LineClimb.Known(
                line.id(),
                line.motion(),
                line.position(),
                state.plan().method(),
                side,
                Flight.of(state, side, known.policy()),
                plateau,
                state.methodSince());
    }

    /** What was done of them. */
    public List<LineSession> sessions(Lines of) {
        var records = runs.records(of.all());
        return of.all().stream()
                .flatMap(line -> records.getOrDefault(line.id(), List.of()).stream()
                        .map(record -> new LineSession(
                                line.id(),
                                line.motion(),
                                record,
                                Sided.of(side -> EffortClass.of(record.doses().on(side))))))
                .toList();
    }
}
