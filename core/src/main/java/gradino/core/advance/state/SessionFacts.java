package gradino.core.advance.state;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.Observer;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.AskedEfforts;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A session as the fold keeps it, with what was answered the next morning.
 *
 * @param askedAgain whether the question after 48 h was answered; a no is a stop sign
 */
public record SessionFacts(
        String id,
        Instant startedAt,
        Instant endedAt,
        Instant recordedAt,
        Observer observer,
        Sided<Dose> doses,
        Sided<AskedEfforts> asked,
        Sided<SideFacts> sides,
        @Nullable Morning morning,
        boolean askedAgain) {

    public record Morning(boolean settled, @Nullable Tenths soreness, Instant recordedAt) {}

    /**
     * @param before the one before it, of which most sessions ask the same again; null for the first
     * @param inForce the doses of the line then: of equal ones the same is kept, so that they are told apart at a glance
     */
    static SessionFacts of(
            SessionRecord session, Instant recordedAt, @Nullable SessionFacts before, Sided<SideState> inForce) {
        var doses = session.doses().map((side, dose) -> {
            var now = inForce.on(side).dose();
            return now.equals(dose) ? now : dose;
        });
        var asked = Sided.of(side -> {
            var blocks = doses.on(side).blocks();
            return before != null && before.doses().on(side).blocks().equals(blocks)
                    ? before.asked().on(side)
                    : AskedEfforts.of(blocks);
        });
        return new SessionFacts(
                session.id(),
                session.startedAt(),
                session.endedAt(),
                recordedAt,
                session.observer(),
                doses,
                asked,
                Sided.of(side -> SideFacts.of(session, side, asked.on(side))),
                null,
                false);
    }

    SessionFacts with(Event.MorningAnswered answer) {
        boolean again = answer.question() == MorningQuestion.AFTER_48_HOURS;
        var told = again ? morning : new Morning(answer.settled(), answer.soreness(), answer.recordedAt());
        return new SessionFacts(
                id, startedAt, endedAt, recordedAt, observer, doses, asked, sides, told, again || askedAgain);
    }

    boolean hasAnswered(MorningQuestion question) {
        return question == MorningQuestion.AFTER_48_HOURS ? askedAgain : morning != null;
    }

    public SideFacts on(Side side) {
        return sides.on(side);
    }

    /** From the end of the earlier one to the start of this. */
    long restAfter(SessionFacts earlier) {
        return startedAt.getEpochSecond() - earlier.endedAt.getEpochSecond();
    }

    long secondsAfter(SessionFacts earlier) {
        return endedAt.getEpochSecond() - earlier.endedAt.getEpochSecond();
    }

    /** The side that hurt; null where both did, or neither. */
    @Nullable
    Side painfulSide() {
        boolean left = on(Side.LEFT).worstKind() != null;
        boolean right = on(Side.RIGHT).worstKind() != null;
        return left == right ? null : left ? Side.LEFT : Side.RIGHT;
    }

    /** When the last word about this session came in. */
    public Instant lastHeard() {
        return morning != null && morning.recordedAt().isAfter(recordedAt) ? morning.recordedAt() : recordedAt;
    }

    /** The next-morning questions were not answered. */
    public boolean isUnknown() {
        return morning == null;
    }

    public int sorenessOrZero() {
        return morning == null || morning.soreness() == null
                ? 0
                : morning.soreness().value();
    }
}
