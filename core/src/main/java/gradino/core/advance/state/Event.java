package gradino.core.advance.state;

import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.SessionRecord;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
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

    /**
     * How well the end of the range is found by own strength.
     *
     * @param grade 0 cannot find it, 1 with cheating, 2 clean but shaking, 3 clean and steady
     */
    record ControlGraded(Side side, int grade, Instant happenedAt, Instant recordedAt) implements Event {}

    /** What a session gains is gone by the next, as the readings tell up to the newest of them. */
    record RangeBorrowed(Side side, Instant happenedAt, Instant recordedAt) implements Event {}

    record SessionHeld(SessionRecord session, Instant recordedAt) implements Event {
        @Override
        public Instant happenedAt() {
            return session.endedAt();
        }
    }

    /**
     * What was answered after a session.
     *
     * @param question which of them
     * @param settled pain is back to usual
     * @param soreness of the muscle; null when not said
     * @param correction why an answer that was given is not what holds; null for a first answer
     */
    record MorningAnswered(
            String sessionId,
            MorningQuestion question,
            boolean settled,
            @Nullable Tenths soreness,
            @Nullable String correction,
            Instant happenedAt,
            Instant recordedAt)
            implements Event {
        /** The first answer of the next morning. */
        public static MorningAnswered first(
                String sessionId, boolean settled, @Nullable Tenths soreness, Instant happenedAt, Instant recordedAt) {
            return new MorningAnswered(
                    sessionId, MorningQuestion.NEXT_MORNING, settled, soreness, null, happenedAt, recordedAt);
        }
    }

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
            implements Event {

        /** The same of the other side, where one was decided for both. */
        public DoseDecided on(Side other) {
            return new DoseDecided(id, other, answer, proposed, lever, before, after, happenedAt, recordedAt);
        }

        /** With the very same dose where it is equal to one that is known: those are told apart at a glance. */
        DoseDecided knowing(Dose inForce) {
            var from = before.equals(inForce) ? inForce : before;
            var to = after.equals(from) ? from : after;
            return new DoseDecided(id, side, answer, proposed, lever, from, to, happenedAt, recordedAt);
        }
    }

    /** A stop sign that reaches this line from another of the client's lines. */
    record StopSignElsewhere(
            String sessionId, StopSign sign, @Nullable Side side, Instant happenedAt, Instant recordedAt)
            implements Event {}

    /**
     * The coach's written clearance of stop signs.
     *
     * @param upTo when it was written: signs recorded until then are cleared
     * @param names ids of sessions whose sign it clears whenever that was recorded
     */
    record Cleared(Instant upTo, List<String> names, Instant happenedAt, Instant recordedAt) implements Event {
        public Cleared {
            names = List.copyOf(names);
        }

        boolean clears(Signs.StopFact stop) {
            return !stop.recordedAt().isAfter(upTo) || names.contains(stop.sessionId());
        }
    }

    /**
     * A time in which the client does not train: known beforehand, or told of afterwards.
     *
     * @param until null while it lasts
     */
    record Paused(PauseKind kind, Instant from, @Nullable Instant until, Instant recordedAt) implements Event {
        @Override
        public Instant happenedAt() {
            return from;
        }

        boolean endedBetween(Instant after, Instant before) {
            return until != null && until.isAfter(after) && !until.isAfter(before);
        }

        /** Whole days by the calendar, up to a moment while it lasts. */
        public int days(Moment moment) {
            var end = until == null ? moment.instant() : until;
            return (int) ChronoUnit.DAYS.between(moment.day(from), moment.day(end));
        }

        boolean holds(Instant moment) {
            return !moment.isBefore(from) && (until == null || moment.isBefore(until));
        }
    }

    /** The line goes on by another method: what was done before is no evidence for its rungs. */
    record MethodChanged(String from, String to, Instant happenedAt, Instant recordedAt) implements Event {}

    /** Why somebody does not train for a while. */
    enum PauseKind {
        ILLNESS,
        AWAY,
        OTHER;

        public String words() {
            return switch (this) {
                case ILLNESS -> "ill";
                case AWAY -> "away";
                case OTHER -> "not training";
            };
        }
    }

    /** How a proposal was answered. */
    enum Answer {
        ACCEPTED,
        CHANGED,
        DECLINED,
        /** The coach set the dose in the plan, without a proposal. */
        EDITED
    }
}
