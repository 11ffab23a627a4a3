package gradino.core.advance;

import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.measure.EndFeel;
import gradino.core.measure.Mode;
import gradino.core.measure.RangeReading;
import gradino.core.perform.SessionRecord;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.Dose;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A recorded fact that bears on a line. Every one has the time it happened and the time it was recorded. */
public sealed interface Event {
    Instant happenedAt();

    Instant recordedAt();

    /**
     * A cold reading of the line's series. Warm readings never reach the fold: they are no progress.
     *
     * @param endFeel null when not asked
     */
    record MeasuredCold(
            Side side,
            Mode mode,
            RangeReading reading,
            @Nullable EndFeel endFeel,
            Instant recordedAt) implements Event {
        @Override
        public Instant happenedAt() {
            return reading.at();
        }
    }

    record SessionHeld(SessionRecord session, Instant recordedAt) implements Event {
        @Override
        public Instant happenedAt() {
            return session.endedAt();
        }
    }

    /**
     * The two questions of the next morning.
     *
     * @param settled pain is back to usual
     * @param soreness of the muscle; null when not said
     */
    record MorningAnswered(
            String sessionId, boolean settled, @Nullable Tenths soreness, Instant happenedAt, Instant recordedAt)
            implements Event {}

    /** What the coach made of a proposal, or an edit of the plan. */
    record DoseDecided(
            String id,
            Side side,
            Answer answer,
            Verdict proposed,
            @Nullable LeverId lever,
            Dose before,
            Dose after,
            Instant happenedAt,
            Instant recordedAt)
            implements Event {}

    /** A stop sign that reaches this line from another of the client's lines. */
    record StopSignElsewhere(
            String sessionId, StopSign sign, @Nullable Side side, Instant happenedAt, Instant recordedAt)
            implements Event {}

    /** The coach's written clearance of every stop sign so far. */
    record Cleared(Instant happenedAt, Instant recordedAt) implements Event {}

    /** How a proposal was answered. */
    enum Answer {
        ACCEPTED,
        CHANGED,
        DECLINED,
        /** The coach set the dose in the plan, without a proposal. */
        EDITED
    }
}
