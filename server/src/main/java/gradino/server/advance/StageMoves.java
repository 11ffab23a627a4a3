package gradino.server.advance;

import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.server.advance.line.LineDoor;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.Problem;
import gradino.server.prescribe.compose.SuggestService;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.Program;
import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Takes a line to the next stage, a harder position of the same motion, and back: each position is a line of its own. */
@Component
class StageMoves {
    private final LineDoor door;
    private final LineRepository lines;
    private final SuggestService suggestions;
    private final Program program;
    private final RunRepository runs;

    StageMoves(LineDoor door, LineRepository lines, SuggestService suggestions, Program program, RunRepository runs) {
        this.door = door;
        this.lines = lines;
        this.suggestions = suggestions;
        this.program = program;
        this.runs = runs;
    }

    /** Opens a line in the harder position, at a first dose, and puts it into every session in the place of this one. */
    void move(Line line, String method, String position, Instant at) {
        var id = UUID.randomUUID().toString();
        LineDraft harder = suggestions.line(line.clientId(), line.motion(), position, method, id);
        var now = door.of(line).current(line).draft(line.id());
        program.open(line.clientId(), id, Plan.of(harder.as(now)), line.id(), at);
        program.replace(line, id, at);
    }

    /** The line goes on by another method, at a first dose of it that is no deeper than now. */
    void toMethod(Line line, String method, Instant at) {
        var now = door.of(line).current(line);
        LineDraft first = suggestions.line(line.clientId(), line.motion(), line.position(), method, line.id());
        var then = Plan.of(first.as(now.draft(line.id())));
        program.change(line, now, then.withDoses(then.doses().map((side, dose) -> within(dose, now.dose(side)))), at);
    }

    private static Dose within(Dose dose, Dose now) {
        return dose.angle().compareTo(now.angle()) > 0 ? dose.withAngle(now.angle()) : dose;
    }

    /** Back to where the line was, as long as nothing was trained in the harder position. */
    void back(Line line, Instant movedAt, Instant at) {
        for (var harder : lines.after(line.id())) {
            if (harder.recordedAt().equals(movedAt)) {
                if (runs.isBegunSince(harder.id(), movedAt)) {
                    throw Problem.conflict("session-begun", "A session has begun with it: decide again instead.");
                }
                program.replace(harder, line.id(), at);
            }
        }
    }
}
