package gradino.core.report;

import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.measure.limit.Limiter;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What next, as it stands today.
 *
 * @param limits what limits each motion and side now
 * @param proposals what is proposed for each line and side
 * @param weeks the block of weeks that runs, or the next one; null where none is planned
 * @param retest first day of the week in which the battery is measured again; null where none is planned
 */
public record Next(
        List<Limits> limits,
        List<Proposes> proposals,
        @Nullable Period weeks,
        @Nullable LocalDate retest) {
    public Next {
        limits = List.copyOf(limits);
        proposals = List.copyOf(proposals);
    }

    /** @param of where it was measured */
    public record Limits(MotionSide of, Limiter limiter) {}

    /** What is proposed for one side of a line. */
    public record Proposes(
            String line,
            String motion,
            Side side,
            Verdict verdict,
            @Nullable LeverId lever,
            Because why) {}
}
