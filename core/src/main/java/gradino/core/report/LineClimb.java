package gradino.core.report;

import gradino.core.advance.Change;
import gradino.core.advance.look.Flight;
import gradino.core.advance.state.Event.Answer;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How one side of a line climbed.
 *
 * @param method id of the one in force
 * @param started level at the beginning of the period, rungs above the first dose
 * @param ended level at its end
 * @param up steps up that were taken in it
 * @param down steps down
 * @param plateau whether it stands still for longer than its rule allows
 * @param methodSince when the method was changed within the period; null where it was not
 */
public record LineClimb(
        String line,
        String motion,
        String position,
        String method,
        Side side,
        int started,
        int ended,
        int up,
        int down,
        boolean plateau,
        @Nullable Instant methodSince,
        List<Step> steps) {
    public LineClimb {
        steps = List.copyOf(steps);
    }

    /**
     * One decision.
     *
     * @param level after it
     * @param override the coach went another way than proposed
     * @param sessions on it so far
     */
    public record Step(
            Instant at,
            int level,
            @Nullable Answer answer,
            @Nullable Verdict proposed,
            @Nullable LeverId lever,
            boolean override,
            int sessions,
            int worstPain,
            Flight.Turned turned,
            List<Change> changes) {}

    /** A line as it stands, with every rung of one side. */
    public record Known(
            String line,
            String motion,
            String position,
            String method,
            Side side,
            List<Flight.Rung> rungs,
            boolean plateau,
            Instant methodSince) {}

    public static LineClimb of(Known line, Period period, ZoneId zone) {
        int started = 0;
        int ended = 0;
        int up = 0;
        int down = 0;
        var end = period.to().plusDays(1).atStartOfDay(zone).toInstant();
        for (var rung : line.rungs()) {
            boolean within = rung.answer() != null && period.contains(rung.at(), zone);
            int rise = rung.level() - ended;
            up += within && rise > 0 ? 1 : 0;
            down += within && rise < 0 ? 1 : 0;
            started = rung.at().isBefore(period.from().atStartOfDay(zone).toInstant()) ? rung.level() : started;
            ended = rung.at().isBefore(end) ? rung.level() : ended;
        }
        var steps = line.rungs().stream()
                .filter(r -> r.answer() != null && period.contains(r.at(), zone))
                .map(LineClimb::step)
                .toList();
        boolean changed = !line.methodSince().equals(Instant.MIN) && period.contains(line.methodSince(), zone);
        return new LineClimb(
                line.line(),
                line.motion(),
                line.position(),
                line.method(),
                line.side(),
                started,
                ended,
                up,
                down,
                line.plateau(),
                changed ? line.methodSince() : null,
                steps);
    }

    private static Step step(Flight.Rung rung) {
        return new Step(
                rung.at(),
                rung.level(),
                rung.answer(),
                rung.proposed(),
                rung.lever(),
                rung.override(),
                rung.sessions(),
                rung.worstPain(),
                rung.turned(),
                Change.between(rung.before(), rung.after()));
    }
}
