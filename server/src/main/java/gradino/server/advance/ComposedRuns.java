package gradino.server.advance;

import gradino.core.advance.Event;
import gradino.core.advance.Event.StopSignElsewhere;
import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MeasuredEffort;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.server.perform.SessionRepository;
import gradino.server.perform.SessionRepository.Closed;
import gradino.server.perform.SessionRepository.Held;
import gradino.server.perform.SessionRepository.Opened;
import gradino.server.perform.SessionRepository.StoredBlock;
import gradino.server.perform.TraceRepository.Judged;
import gradino.server.perform.VisitRepository;
import gradino.server.perform.VisitRepository.Visit;
import gradino.server.platform.Problem;
import gradino.server.prescribe.ComposeService;
import gradino.server.prescribe.CompositionRepository;
import gradino.server.prescribe.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What of the runs of a composed session belongs to one of its lines: named as if the line had been done alone. */
@Component
public class ComposedRuns {
    private final VisitRepository visits;
    private final SessionRepository sessions;
    private final CompositionRepository compositions;

    ComposedRuns(VisitRepository visits, SessionRepository sessions, CompositionRepository compositions) {
        this.visits = visits;
        this.sessions = sessions;
        this.compositions = compositions;
    }

    /** Runs in which something of the line was done or left, as sessions of it; of others a stop sign reaches it. */
    public List<Held> held(Line line, List<Event> events) {
        Map<String, List<StoredBlock>> blocks =
                sessions.blocksOfLine(line.id()).stream().collect(Collectors.groupingBy(StoredBlock::sessionId));
        Map<String, Closed> closed =
                sessions.closedOfLine(line.id()).stream().collect(Collectors.toMap(Closed::sessionId, c -> c));
        var found = new ArrayList<Held>();
        for (var visit : visits.ofComposition(line.clientId(), place(line).compositionId())) {
            var close = closed.get(visit.id());
            if (close == null) {
                continue;
            }
            var own = blocks.getOrDefault(visit.id(), List.of()).stream()
                    .filter(b -> isOf(line, b.block().blockId()))
                    .map(b -> alone(line, b))
                    .toList();
            var draft = draft(line, visit);
            if (draft.isPresent() && !own.isEmpty()) {
                found.add(SessionRepository.held(opened(line, visit, draft.get()), close, own));
            } else {
                stopped(visit, close, events);
            }
        }
        return found;
    }

    private static void stopped(Visit visit, Closed close, List<Event> events) {
        var sign = close.stopSign();
        if (sign != null) {
            events.add(
                    new StopSignElsewhere(visit.id(), sign, close.stopSide(), close.happenedAt(), close.recordedAt()));
        }
    }

    private static Optional<LineDraft> draft(Line line, Visit visit) {
        return visit.draft().lines().stream()
                .filter(d -> d.id().equals(place(line).key()))
                .filter(d -> d.motion().equals(line.motion()) && d.position().equals(line.position()))
                .findFirst();
    }

    private static Opened opened(Line line, Visit visit, LineDraft draft) {
        return new Opened(
                visit.id(), line.id(), line.clientId(), Plan.composed(draft), visit.happenedAt(), visit.recordedAt());
    }

    /** What gauges said of the line's blocks. */
    static Judged alone(Line line, Judged judged) {
        var e = judged.effort();
        return new Judged(
                judged.sessionId(),
                new MeasuredEffort(idAlone(line, e.blockId()), onSide(e.side()), e.within(), e.nearMaxPeak()),
                judged.recordedAt());
    }

    private static StoredBlock alone(Line line, StoredBlock stored) {
        BlockRecord block = stored.block();
        return new StoredBlock(
                stored.id(),
                stored.sessionId(),
                block.as(idAlone(line, block.blockId()), onSide(block.side())),
                stored.happenedAt(),
                stored.recordedAt());
    }

    static boolean isOf(Line line, String blockId) {
        return blockId.startsWith(place(line).key() + ":");
    }

    private static String idAlone(Line line, String blockId) {
        return blockId.substring(place(line).key().length() + 1);
    }

    /** A midline line is kept on the left. */
    static Side onSide(Side side) {
        return side == Side.MIDLINE ? Side.LEFT : side;
    }

    private static Line.InSession place(Line line) {
        var place = line.composed();
        if (place == null) {
            throw new IllegalArgumentException("line " + line.id() + " has a plan of its own");
        }
        return place;
    }

    /** A method of the studio. */
    Method ownMethod(String id) {
        return compositions.methods().stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("method"));
    }

    /** What the rest of the session leaves of the client's minutes. */
    @Nullable
    Integer minutesLeft(Line line, Plan plan, @Nullable Integer minutes) {
        if (minutes == null) {
            return null;
        }
        return compositions
                .newest(line.clientId(), place(line).compositionId())
                .map(c -> plan.minutesLeft(
                        minutes, ComposeService.timeline(c.draft()).seconds()))
                .orElse(minutes);
    }
}
