package gradino.server.advance;

import gradino.core.advance.Advance;
import gradino.core.advance.Change;
import gradino.core.advance.Proposal;
import gradino.core.advance.Urgency;
import gradino.core.advance.look.ReasonChange;
import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.server.advance.line.Known;
import gradino.server.advance.line.LineDoor;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.prescribe.program.ClientProgram;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.Program;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that a coach has not looked at yet, over all their clients, the most urgent first. */
@Service
public class QueueService {
    private final ClientService clients;
    private final LineRepository lines;
    private final Program program;
    private final LineDoor door;

    QueueService(ClientService clients, LineRepository lines, Program program, LineDoor door) {
        this.clients = clients;
        this.lines = lines;
        this.program = program;
        this.door = door;
    }

    /**
     * One side of a line in the queue.
     *
     * @param session names of those that the line stands in; null where it stands in none
     * @param sides of the line; with one dose for both the left stands for the whole
     * @param plain may be accepted among others at once
     * @param to the dose that would be accepted
     * @param fresh reasons that were not there a week ago
     * @param gone reasons of a week ago that no longer hold
     */
    public record Waiting(
            String clientId,
            String clientName,
            String lineId,
            String motion,
            @Nullable String session,
            Side side,
            SideOrder sides,
            Urgency urgency,
            Verdict verdict,
            boolean plain,
            boolean suspends,
            Because why,
            List<Change> changes,
            Dose to,
            List<Because> fresh,
            List<Because> gone) {}

    /** A line that cannot be judged, and what to do about it. */
    public record Unjudged(
            String clientId,
            String clientName,
            String lineId,
            String motion,
            @Nullable String session,
            Finding finding) {}

    /**
     * What a client's lines come to, each counted once by the more urgent of its sides.
     *
     * @param lines all of them, those that cannot be judged as well
     * @param counts of those that can
     */
    public record ClientSum(String clientId, String clientName, int lines, Map<Urgency, Integer> counts) {}

    /**
     * What waits, and what could not be looked at.
     *
     * @param clients with something that waits, the most urgent first
     */
    public record Queue(List<ClientSum> clients, List<Waiting> waiting, List<Unjudged> unjudged) {}

    @Transactional(readOnly = true)
    public Queue waiting() {
        var mine = clients.present();
        var all = lines.of(mine.stream().map(Client::id).toList());
        var known = door.of(mine, all);
        // Nothing is read from here on, so that all processors may judge.
        var parts = program.of(mine, all, known).parallelStream()
                .map(client -> waiting(client, known))
                .toList();
        var waiting = parts.stream()
                .flatMap(part -> part.waiting().stream())
                .sorted(Comparator.comparing(Waiting::urgency)
                        .thenComparing(Waiting::clientName)
                        .thenComparing(Waiting::lineId)
                        .thenComparing(Waiting::side))
                .toList();
        var sums = parts.stream()
                .flatMap(part -> part.clients().stream())
                .collect(Collectors.toMap(ClientSum::clientId, Function.identity()));
        return new Queue(
                waiting.stream()
                        .map(Waiting::clientId)
                        .distinct()
                        .flatMap(id -> Stream.ofNullable(sums.get(id)))
                        .toList(),
                waiting,
                parts.stream().flatMap(part -> part.unjudged().stream()).toList());
    }

    private static Queue waiting(ClientProgram client, Known known) {
        var found = new ArrayList<Waiting>();
        var unjudged = new ArrayList<Unjudged>();
        var counts = new EnumMap<Urgency, Integer>(Urgency.class);
        for (var line : client.lines()) {
            var tried = client.tried(line, look -> {
                counts.merge(Urgency.of(Urgency.mostUrgent(known.proposed(line))), 1, Integer::sum);
                return of(client, line, known);
            });
            tried.found().ifPresent(found::addAll);
            var trouble = tried.trouble();
            if (trouble != null) {
                unjudged.add(unjudged(client, line, trouble));
            }
        }
        var sum = new ClientSum(
                client.client().id(),
                client.client().details().name(),
                client.lines().size(),
                counts);
        return new Queue(List.of(sum), found, unjudged);
    }

    private static Unjudged unjudged(ClientProgram of, Line line, Finding trouble) {
        var client = of.client();
        return new Unjudged(client.id(), client.details().name(), line.id(), line.motion(), of.names(line), trouble);
    }

    private static List<Waiting> of(ClientProgram of, Line line, Known known) {
        var state = known.state(line);
        var found = new ArrayList<Waiting>();
        for (var side : state.plan().trained()) {
            var proposal = known.proposal(line, side);
            if (Advance.isNew(state, proposal)) {
                found.add(waiting(
                        of.client(),
                        line,
                        of.names(line),
                        state.plan().sides(),
                        proposal,
                        known.sinceLastWeek(line, proposal)));
            }
        }
        return found;
    }

    private static Waiting waiting(
            Client client,
            Line line,
            @Nullable String session,
            SideOrder sides,
            Proposal proposal,
            ReasonChange change) {
        return new Waiting(
                client.id(),
                client.details().name(),
                line.id(),
                line.motion(),
                session,
                proposal.side(),
                sides,
                Urgency.of(proposal.proposed()),
                proposal.verdict(),
                proposal.plain(),
                proposal.suspends() != null,
                proposal.why(),
                proposal.consequences(),
                proposal.to(),
                change.fresh(),
                change.gone());
    }
}
