package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.Limiter;
import gradino.core.measure.RangeState;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.DoseChange;
import gradino.core.prescribe.EffortClass;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanContext;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One side of a line at one moment under one policy: what every gate and lever looks at. What several of them ask for is
 * gathered once.
 */
final class Situation {
    private final LineState state;
    private final Side side;
    private final Policy policy;
    private final Moment moment;
    private final Instant decidedAt;
    private final List<SessionFacts> undecided;
    private final List<SessionFacts> atThisRung;
    private final boolean newcomer;
    private final @Nullable UncertainAngle passive;
    private final @Nullable UncertainAngle active;
    private @Nullable List<List<SessionFacts>> runs;

    Situation(LineState state, Side side, Policy policy, Moment moment) {
        this.state = state;
        this.side = side;
        this.policy = policy;
        this.moment = moment;
        this.decidedAt = me().lastDecision().map(Event.DoseDecided::recordedAt).orElse(Instant.MIN);
        this.undecided = undecidedOnes();
        this.atThisRung = rungOnes();
        this.newcomer = isNewcomer();
        this.passive = today(me().passive());
        this.active = today(me().active());
    }

    LineState state() {
        return state;
    }

    Side side() {
        return side;
    }

    Policy policy() {
        return policy;
    }

    Moment moment() {
        return moment;
    }

    SideState me() {
        return state.side(side);
    }

    Dose dose() {
        return me().dose();
    }

    Method method() {
        return Method.byId(state.plan().method()).orElseThrow();
    }

    double value(Threshold threshold) {
        return policy.value(threshold);
    }

    int whole(Threshold threshold) {
        return policy.whole(threshold);
    }

    Optional<UncertainAngle> passive() {
        return Optional.ofNullable(passive);
    }

    Optional<UncertainAngle> active() {
        return Optional.ofNullable(active);
    }

    private @Nullable UncertainAngle today(@Nullable RangeState range) {
        return range == null
                ? null
                : range.predict(moment.instant(), policy.noise()).estimate();
    }

    Limiter limiter() {
        return Limiter.judge(
                passive,
                active,
                state.client().wantedDegrees(),
                me().endFeel(),
                state.client().gapLimit());
    }

    /** Sessions that the last decision on this side could not know, or of which more has been heard since. */
    List<SessionFacts> undecided() {
        return undecided;
    }

    boolean isUndecided(SessionFacts session) {
        return session.lastHeard().isAfter(decidedAt);
    }

    private List<SessionFacts> undecidedOnes() {
        var found = new ArrayList<SessionFacts>();
        for (var session : state.sessions()) {
            if (isUndecided(session)) {
                found.add(session);
            }
        }
        return List.copyOf(found);
    }

    /** Sessions done at the dose in force, since it came into force. */
    List<SessionFacts> atThisRung() {
        return atThisRung;
    }

    private List<SessionFacts> rungOnes() {
        var since = me().lastChange().map(Event.DoseDecided::happenedAt).orElse(Instant.MIN);
        var dose = dose();
        var found = new ArrayList<SessionFacts>();
        for (var session : state.sessions()) {
            if (session.endedAt().isAfter(since) && session.doses().on(side).equals(dose)) {
                found.add(session);
            }
        }
        return List.copyOf(found);
    }

    /**
     * Sessions at this rung with known mornings, in groups that lie nearer to their first session than the spacing: each
     * group counts as one.
     */
    List<List<SessionFacts>> runs() {
        var known = runs;
        if (known == null) {
            known = groups();
            runs = known;
        }
        return known;
    }

    private List<List<SessionFacts>> groups() {
        var groups = new ArrayList<List<SessionFacts>>();
        LocalDate free = LocalDate.MIN;
        for (var session : atThisRung) {
            if (isUnknown(session)) {
                continue;
            }
            var day = moment.day(session.endedAt());
            if (groups.isEmpty() || !day.isBefore(free)) {
                groups.add(new ArrayList<>());
                free = day.plusDays(spacingDays(session));
            }
            groups.get(groups.size() - 1).add(session);
        }
        return groups;
    }

    boolean isUnknown(SessionFacts session) {
        return session.morning() == null;
    }

    boolean isStillAwaited(SessionFacts session) {
        return isUnknown(session) && moment.hoursSince(session.endedAt()) < value(Threshold.UNKNOWN_HOURS);
    }

    Optional<SessionFacts> lastSession() {
        var all = state.sessions();
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** Days since the joint's last session beyond its planned interval; 0 or less while in time. */
    int daysBeyondPlan() {
        return lastSession()
                .map(s -> moment.daysSince(s.endedAt()) - state.plan().plannedIntervalDays())
                .orElse(0);
    }

    /** Fewer than the policy's sessions of this motion since the start or since the last long absence. */
    boolean newcomer() {
        return newcomer;
    }

    private boolean isNewcomer() {
        int run = 0;
        Instant last = null;
        for (var session : state.sessions()) {
            boolean away = last != null
                    && Duration.between(last, session.endedAt()).toDays() >= whole(Threshold.GAP_NEWCOMER_DAYS);
            run = away ? 1 : run + 1;
            last = session.endedAt();
        }
        boolean awayNow = last != null && moment.daysSince(last) >= whole(Threshold.GAP_NEWCOMER_DAYS);
        return awayNow || run < whole(Threshold.NEWCOMER_SESSIONS);
    }

    /** Days that must lie between two sessions at this dose, one more after real soreness. */
    int spacingDays(SessionFacts earlier) {
        int days = EffortClass.of(dose().ceiling()).spacingDays();
        return earlier.sorenessOrZero() >= value(Threshold.SORENESS_SPACING) ? days + 1 : days;
    }

    /** Deepest angle that today's estimate allows: min(estimate − 2°, estimate − 1.645·SE). Empty when never measured. */
    Optional<Degrees> angleBound() {
        return passive()
                .map(p -> p.value()
                        .plus(-Math.max(
                                value(Threshold.ANGLE_MARGIN),
                                value(Threshold.ANGLE_SIGMAS) * p.standardUncertainty())));
    }

    Degrees onProps(Degrees angle) {
        return state.grid().roundDown(angle);
    }

    /** The whole plan if this side did {@code dose}. */
    Plan planWith(Dose dose) {
        return state.currentPlan().withDose(side, dose);
    }

    DoseChange changeTo(Dose wanted) {
        return new DoseChange(state.currentPlan(), side, Optional.of(dose()), wanted);
    }

    PlanContext context() {
        var client = state.client();
        return new PlanContext(
                client.limits(),
                newcomer,
                client.minutes(),
                Sided.of(s -> Optional.of(state.side(s).dose())),
                Sided.both(Optional.empty()));
    }

    List<String> evidence() {
        var ids = new LinkedHashSet<String>();
        atThisRung.forEach(s -> ids.add(s.id()));
        undecided.forEach(s -> ids.add(s.id()));
        return List.copyOf(ids);
    }
}
