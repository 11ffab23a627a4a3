package gradino.server.advance;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.server.perform.SessionRepository;
import gradino.server.platform.Problem;
import gradino.server.prescribe.ComposeService;
import gradino.server.prescribe.CompositionRepository;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.Line.InSession;
import gradino.server.prescribe.LineRepository;
import gradino.server.prescribe.LineRepository.PlanVersion;
import gradino.server.prescribe.LineService;
import gradino.server.prescribe.SuggestService;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Takes a line to the next stage, a harder position of the same motion, and back: each position is a line of its own. */
@Component
class StageMoves {
    private final LineHistories histories;
    private final LineService planned;
    private final LineRepository lines;
    private final SuggestService suggestions;
    private final ComposeService compose;
    private final CompositionRepository compositions;
    private final SessionRepository sessions;

    StageMoves(
            LineHistories histories,
            LineService planned,
            LineRepository lines,
            SuggestService suggestions,
            ComposeService compose,
            CompositionRepository compositions,
            SessionRepository sessions) {
        this.histories = histories;
        this.planned = planned;
        this.lines = lines;
        this.suggestions = suggestions;
        this.compose = compose;
        this.compositions = compositions;
        this.sessions = sessions;
    }

    /** Ends the line and opens it anew in the harder position, at a first dose. */
    void move(Line line, String method, String position, Instant at) {
        var place = line.composed();
        if (place == null) {
            open(line, position, at);
        } else {
            var harder = suggestions.line(line.clientId(), line.motion(), position, method, place.key());
            replace(line, place, old -> harder.as(old));
        }
    }

    private void open(Line line, String position, Instant at) {
        var first = planned.suggest(line.clientId(), line.motion(), position, line.instrument());
        var plan = first.plan();
        if (plan == null) {
            var name = Catalogue.position(position).map(Position::name).orElse(position);
            var missing = first.findings().stream().map(Finding::path).collect(Collectors.joining(" and "));
            throw Problem.conflict(
                    "measure-first",
                    "Measure it in the new position first, passive and cold: %s, %s.".formatted(name, missing));
        }
        var harder = new Line(
                UUID.randomUUID().toString(), line.clientId(), line.motion(), position, line.instrument(), at, at);
        lines.insert(harder);
        lines.addPlan(new PlanVersion(harder.id(), plan, at, at));
        lines.end(line.id(), at);
    }

    /** Back to where the line was, as long as nothing was trained in the harder position. */
    void back(Line line, Instant movedAt, Instant at) {
        var place = line.composed();
        if (place == null) {
            var harder = opened(line, movedAt);
            if (harder.stream().anyMatch(l -> sessions.isBegunSince(l.id(), movedAt))) {
                throw Problem.conflict("session-begun", "A session has begun with it: decide anew instead.");
            }
            harder.forEach(l -> lines.end(l.id(), at));
            lines.end(line.id(), null);
        } else {
            var before = compositions.versions(line.clientId(), place.compositionId()).stream()
                    .flatMap(c -> c.draft().lines().stream())
                    .filter(d -> d.id().equals(place.key()) && d.position().equals(line.position()))
                    .reduce((earlier, later) -> later)
                    .orElseThrow(Problem::nothingHere);
            var plan = histories.current(line);
            replace(line, place, now -> before.with(plan.doses(), plan.sessionsPerWeek()));
        }
    }

    private List<Line> opened(Line line, Instant movedAt) {
        return lines.trained(line.clientId()).stream()
                .filter(l -> l.composed() == null
                        && l.motion().equals(line.motion())
                        && l.recordedAt().equals(movedAt))
                .toList();
    }

    private void replace(Line line, InSession place, UnaryOperator<LineDraft> change) {
        var session = compose.get(line.clientId(), place.compositionId());
        var changed = session.draft().withLines(d -> d.id().equals(place.key()) ? change.apply(d) : d);
        compose.save(line.clientId(), session.id(), session.name(), changed);
    }
}
