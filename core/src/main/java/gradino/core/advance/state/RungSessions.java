package gradino.core.advance.state;

import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.EffortClass;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The sessions of one side that were done at the dose in force, since it came into force, and how they count. */
public final class RungSessions {
    private static final long SECONDS_A_DAY = 86_400;
    private static final long SECONDS_AN_HOUR = 3600;
    private static final long SECONDS_CLOCKS_ARE_SET_BY = 3600;

    private final LineState state;
    private final Side side;
    private final Dose dose;
    private final List<SessionFacts> sessions;
    private final Instant since;
    private final Policy policy;
    private final Moment moment;
    private @Nullable List<SessionFacts> all;
    private @Nullable List<List<SessionFacts>> lastRuns;
    private @Nullable EffortClass effortClass;
    private int spacing = -1;

    public RungSessions(LineState state, Side side, Policy policy, Moment moment) {
        var me = state.side(side);
        var changed = me.lastChange().map(Event.DoseDecided::happenedAt).orElse(Instant.MIN);
        this.state = state;
        this.side = side;
        this.dose = me.dose();
        this.sessions = state.sessions();
        this.since = changed.isAfter(state.methodSince()) ? changed : state.methodSince();
        this.policy = policy;
        this.moment = moment;
    }

    /** Sessions done at the dose in force, since it came into force. */
    public List<SessionFacts> all() {
        var known = all;
        if (known == null) {
            known = gathered();
            all = known;
        }
        return known;
    }

    private List<SessionFacts> gathered() {
        var found = new ArrayList<SessionFacts>();
        for (var session : sessions) {
            if (has(session)) {
                found.add(session);
            }
        }
        return Collections.unmodifiableList(found);
    }

    /** Whether a coach saw one of the sessions that a step would rest on. */
    public boolean isObserved() {
        for (var run : lastRuns()) {
            for (var session : run) {
                if (session.observer().isCoach()) {
                    return true;
                }
            }
        }
        return false;
    }

    public boolean has(SessionFacts session) {
        return session.endedAt().isAfter(since) && session.doses().on(side).equals(dose);
    }

    /**
     * The last of the groups in which sessions at this rung with known mornings count: those that lie nearer to their group's
     * first than the spacing count as one.
     *
     * <p>What lies further from the one before it than any spacing begins a group for certain: nothing before the wanted one needs
     * to be looked at.
     *
     * @return as many as a step needs, at most
     */
    public List<List<SessionFacts>> lastRuns() {
        var known = lastRuns;
        if (known == null) {
            known = lastRuns(policy.whole(Threshold.SESSIONS_NEEDED));
            lastRuns = known;
        }
        return known;
    }

    public List<List<SessionFacts>> lastRuns(int wanted) {
        var newestFirst = new ArrayList<SessionFacts>();
        int begun = 0;
        var all = sessions;
        for (int i = all.size() - 1; i >= 0 && all.get(i).endedAt().isAfter(since); i--) {
            var session = all.get(i);
            if (session.isUnknown() || !has(session)) {
                continue;
            }
            if (!newestFirst.isEmpty() && isFarFrom(session, newestFirst.get(newestFirst.size() - 1))) {
                begun++;
                if (begun == wanted) {
                    break;
                }
            }
            newestFirst.add(session);
        }
        Collections.reverse(newestFirst);
        var groups = grouped(newestFirst);
        return groups.subList(Math.max(0, groups.size() - wanted), groups.size());
    }

    /**
     * Sessions at this rung whose morning was never told and is no longer awaited, as far back as {@link #lastRuns} looks: they do
     * not count, but what is known of them does.
     */
    public List<SessionFacts> silent() {
        var runs = lastRuns();
        boolean full = runs.size() >= policy.whole(Threshold.SESSIONS_NEEDED);
        var from = full ? runs.get(0).get(0).endedAt() : since;
        var found = new ArrayList<SessionFacts>();
        for (int i = sessions.size() - 1; i >= 0 && sessions.get(i).endedAt().isAfter(from); i--) {
            if (sessions.get(i).isUnknown() && has(sessions.get(i))) {
                found.add(sessions.get(i));
            }
        }
        return found;
    }

    private EffortClass effortClass() {
        var known = effortClass;
        if (known == null) {
            known = EffortClass.of(dose);
            effortClass = known;
        }
        return known;
    }

    /** The method's own, or that of the dose's class; asked for again and again. */
    private int spacing() {
        if (spacing < 0) {
            spacing = state.method().spacingHours(effortClass().spacingHours());
        }
        return spacing;
    }

    private boolean isFarFrom(SessionFacts earlier, SessionFacts later) {
        long most = (spacing() + effortClass().hoursWhenSore()) * SECONDS_AN_HOUR;
        return later.restAfter(earlier) > most + SECONDS_A_DAY + SECONDS_CLOCKS_ARE_SET_BY;
    }

    private List<List<SessionFacts>> grouped(List<SessionFacts> known) {
        var groups = new ArrayList<List<SessionFacts>>();
        SessionFacts first = null;
        for (var session : known) {
            if (first == null || isFree(first, session)) {
                first = session;
                groups.add(new ArrayList<>());
            }
            groups.get(groups.size() - 1).add(session);
        }
        return groups;
    }

    /** On another day, and the spacing apart; far apart no calendar is needed. */
    private boolean isFree(SessionFacts first, SessionFacts later) {
        if (later.restAfter(first) < spacingHours(first) * SECONDS_AN_HOUR) {
            return false;
        }
        return later.secondsAfter(first) > SECONDS_A_DAY + SECONDS_CLOCKS_ARE_SET_BY
                || !moment.day(later.endedAt()).equals(moment.day(first.endedAt()));
    }

    /** Hours from the end of a session at this dose to the start of the next, a day more after real soreness. */
    public int spacingHours(SessionFacts earlier) {
        boolean sore = earlier.sorenessOrZero() >= policy.value(Threshold.SORENESS_SPACING);
        return spacing() + (sore ? effortClass().hoursWhenSore() : 0);
    }
}
