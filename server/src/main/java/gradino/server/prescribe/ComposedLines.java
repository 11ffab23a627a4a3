package gradino.server.prescribe;

import gradino.core.body.Side;
import gradino.core.measure.Instrument;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.SessionDraft;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.server.prescribe.CompositionRepository.Composition;
import gradino.server.prescribe.LineRepository.PlanVersion;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps each line of a composed session as a line of its own, so that it is advanced like any other: what was composed are the
 * versions of its plan, what was decided since moves its doses.
 */
@Component
public class ComposedLines implements ApplicationRunner {
    private final LineRepository lines;
    private final CompositionRepository compositions;
    private final LineHistory history;
    private final EachLine each;

    ComposedLines(LineRepository lines, CompositionRepository compositions, LineHistory history, EachLine each) {
        this.lines = lines;
        this.compositions = compositions;
        this.history = history;
        this.each = each;
    }

    /** What was composed with the doses in force now: decided steps taken, suspended ones not. */
    public SessionDraft inForce(Composition composition) {
        var known = lines.ofComposition(composition.clientId(), composition.id());
        return composition
                .draft()
                .withLines(draft -> find(known, draft)
                        .map(line -> {
                            var plan = each.required(line, () -> history.current(line));
                            return draft.with(plan.doses(), plan.sessionsPerWeek());
                        })
                        .orElse(draft));
    }

    /** Takes over what was just composed: new lines open, changed ones get a new version, those taken out end. */
    void saved(Composition composition) {
        var known = lines.ofComposition(composition.clientId(), composition.id());
        var still = new HashSet<String>();
        for (var draft : composition.draft().lines()) {
            plan(draft).ifPresent(plan -> {
                var line = find(known, draft);
                line.ifPresent(l -> still.add(l.id()));
                line.ifPresentOrElse(
                        l -> change(l, plan, composition.recordedAt()), () -> open(composition, draft.id(), plan));
            });
        }
        known.stream()
                .filter(line -> line.endedAt() == null && !still.contains(line.id()))
                .forEach(line -> lines.end(line.id(), composition.recordedAt()));
    }

    /** What was composed before lines were kept has none yet. */
    @Override
    @Transactional
    public void run(ApplicationArguments ignored) {
        adopt();
    }

    /** Opens the lines of whatever was composed before lines were kept, or comes from such an archive; each saving is a version. */
    @Transactional
    public void adopt() {
        compositions.withoutLines().forEach(this::saved);
    }

    private void open(Composition composition, String key, Plan plan) {
        var at = composition.recordedAt();
        var line = new Line(
                UUID.randomUUID().toString(),
                composition.clientId(),
                plan.motion(),
                plan.position(),
                Instrument.TYPED,
                at,
                at,
                new Line.InSession(composition.id(), key),
                null);
        lines.insert(line);
        lines.addPlan(new PlanVersion(line.id(), plan, at, at));
    }

    private void change(Line line, Plan plan, Instant at) {
        if (line.endedAt() != null) {
            lines.end(line.id(), null);
        }
        var before = history.current(line);
        if (before.equals(plan)) {
            return;
        }
        lines.addPlan(new PlanVersion(line.id(), plan, at, at));
        for (var side : Side.PAIR) {
            if (!before.dose(side).equals(plan.dose(side))) {
                history.edited(line, side, before.dose(side), plan.dose(side), at);
            }
        }
    }

    /** Another motion or position is another line. */
    private static Optional<Line> find(List<Line> known, LineDraft draft) {
        return known.stream()
                .filter(line -> line.composed() != null && line.composed().key().equals(draft.id()))
                .filter(line ->
                        line.motion().equals(draft.motion()) && line.position().equals(draft.position()))
                .findFirst();
    }

    /** Empty for numbers that no line can have, which an archive may bring. */
    private static Optional<Plan> plan(LineDraft draft) {
        try {
            return Optional.of(Plan.composed(draft));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
