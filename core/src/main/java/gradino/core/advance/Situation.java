package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.Limiter;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.EffortClass;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanContext;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** One side of a line at one moment under one policy: what every gate and lever looks at. */
record Situation(LineState state, Side side, Policy policy, Moment moment) {

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
        return Optional.ofNullable(me().passive())
                .map(r -> r.predict(moment.instant(), policy.noise()).estimate());
    }

    Optional<UncertainAngle> active() {
        return Optional.ofNullable(me().active())
                .map(r -> r.predict(moment.instant(), policy.noise()).estimate());
    }

    Limiter limiter() {
        return Limiter.judge(
                passive().orElse(null), active().orElse(null), state.client().wantedDegrees(), me().endFeel());
    }

    /** Sessions that the last decision on this side could not know, or of which more has been heard since. */
    List<SessionFacts> undecided() {
        var decided = me().lastDecision().map(Event.DoseDecided::recordedAt).orElse(Instant.MIN);
        return state.sessions().stream()
                .filter(s -> s.lastHeard().isAfter(decided))
                .toList();
    }

    /** Sessions done at the dose in force, since it came into force. */
    List<SessionFacts> atThisRung() {
        var since = me().lastChange().map(Event.DoseDecided::happenedAt).orElse(Instant.MIN);
        return state.sessions().stream()
                .filter(s -> s.endedAt().isAfter(since) && s.doses().on(side).equals(dose()))
                .toList();
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

    PlanContext context() {
        var client = state.client();
        return new PlanContext(
                client.restriction(),
                newcomer(),
                client.minutes(),
                Sided.of(s -> Optional.of(state.side(s).dose())),
                Sided.both(Optional.empty()));
    }

    List<String> evidence() {
        var ids = new ArrayList<String>();
        atThisRung().forEach(s -> ids.add(s.id()));
        undecided().stream()
                .map(SessionFacts::id)
                .filter(id -> !ids.contains(id))
                .forEach(ids::add);
        return List.copyOf(ids);
    }
}
