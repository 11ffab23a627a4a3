package gradino.core.advance.state;

import gradino.core.body.Side;
import java.time.Instant;
import java.util.Optional;

/** How often somebody came, and what kept them away. */
public final class Attendance {
    private static final long SECONDS_A_DAY = 86_400;
    private static final int DAYS_A_WEEK = 7;

    private final LineState state;
    private final Side side;
    private final Policy policy;
    private final Moment moment;
    private final boolean newcomer;

    /** @param side whose experience counts */
    public Attendance(LineState state, Side side, Policy policy, Moment moment) {
        this.state = state;
        this.side = side;
        this.policy = policy;
        this.moment = moment;
        this.newcomer = isNewcomer();
    }

    public Optional<SessionFacts> lastSession() {
        var all = state.sessions();
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /**
     * Days beyond the planned interval since the last session of this line, or of the same motion and side in another, in this line's
     * class or harder; 0 or less while in time, and before the first session of this line.
     */
    public int daysBeyondPlan() {
        return lastSession()
                .map(s -> lastBeside().filter(b -> b.isAfter(s.endedAt())).orElse(s.endedAt()))
                .map(last -> moment.daysSince(last) - plannedIntervalDays())
                .orElse(0);
    }

    /** Days from one session to the next: of the week as it is planned, else as often as the line is wanted. */
    private int plannedIntervalDays() {
        var days = state.client().plannedDays();
        return days == null || days == 0 ? state.plan().plannedIntervalDays() : (DAYS_A_WEEK + days - 1) / days;
    }

    private Optional<Instant> lastBeside() {
        var beside = state.client().beside();
        return beside.equals(Beside.NONE)
                ? Optional.empty()
                : beside.last(reach(), state.side(side).effortClass());
    }

    private Side reach() {
        return state.plan().sides().one() ? Side.MIDLINE : side;
    }

    /** The pause in which the client is at this moment. */
    public Optional<Event.Paused> pausedNow() {
        for (var pause : state.pauses()) {
            if (pause.holds(moment.instant())) {
                return Optional.of(pause);
            }
        }
        return Optional.empty();
    }

    /** Longest illness that ended after the last session, in days. */
    public int daysIllSinceLastSession() {
        if (state.pauses().isEmpty()) {
            return 0;
        }
        var last = lastSession().map(SessionFacts::endedAt).orElse(Instant.MAX);
        return state.pauses().stream()
                .filter(p -> p.kind() == Event.PauseKind.ILLNESS && p.endedBetween(last, moment.instant()))
                .mapToInt(p -> p.days(moment))
                .max()
                .orElse(0);
    }

    /**
     * Fewer than the policy's sessions since the start or since the last long absence beyond plan: of this line, or of the same motion and
     * side in others, in this line's class or harder.
     */
    public boolean newcomer() {
        return newcomer;
    }

    private boolean isNewcomer() {
        int wanted = policy.whole(Threshold.NEWCOMER_SESSIONS) - beside();
        if (wanted <= 0) {
            return false;
        }
        int longAway = policy.whole(Threshold.GAP_NEWCOMER_DAYS);
        if (daysBeyondPlan() >= longAway) {
            return true;
        }
        long away = (long) (longAway + plannedIntervalDays()) * SECONDS_A_DAY;
        var all = state.sessions();
        int run = 0;
        for (int i = all.size() - 1; i >= 0 && run < wanted; i--) {
            run++;
            if (i > 0 && all.get(i).secondsAfter(all.get(i - 1)) >= away) {
                break;
            }
        }
        return run < wanted;
    }

    private int beside() {
        var beside = state.client().beside();
        return beside.equals(Beside.NONE)
                ? 0
                : beside.count(reach(), state.side(side).effortClass());
    }
}
