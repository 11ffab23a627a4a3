package gradino.core.advance.gate;

import gradino.core.advance.state.Attendance;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.RungSessions;
import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.SideState;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.because.Wording;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.Roles;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * One side of a line at one moment under one policy: what every gate and lever looks at. What several of them ask for is
 * gathered once.
 */
public final class Situation {
    private final LineState state;
    private final Side side;
    private final Policy policy;
    private final Moment moment;
    private final Instant decidedAt;
    private final List<SessionFacts> undecided;
    private final RungSessions rung;
    private final Attendance attendance;
    private final SideRange range;
    private final Checked checked;
    private @Nullable Worst worst;
    private @Nullable Limiter limiter;
    private @Nullable Method method;

    /** What the undecided sessions come to in one look. */
    record Worst(int pain, boolean wrongJoint) {}

    public Situation(LineState state, Side side, Policy policy, Moment moment) {
        this(state, side, policy, moment, new Checked());
    }

    public Situation(LineState state, Side side, Policy policy, Moment moment, Checked checked) {
        this.state = state;
        this.side = side;
        this.policy = policy;
        this.moment = moment;
        this.decidedAt = me().lastDecision().map(Event.DoseDecided::recordedAt).orElse(Instant.MIN);
        this.undecided = undecidedOnes();
        this.rung = new RungSessions(state, side, policy, moment);
        this.attendance = new Attendance(state, side, policy, moment);
        this.range = SideRange.of(state, side, policy, moment);
        this.checked = checked;
    }

    /** The same facts under another policy with the same noise: what was gathered of them stays. */
    private Situation(Situation same, Policy policy) {
        this.state = same.state;
        this.side = same.side;
        this.policy = policy;
        this.moment = same.moment;
        this.decidedAt = same.decidedAt;
        this.undecided = same.undecided;
        this.rung = new RungSessions(state, side, policy, moment);
        this.attendance = new Attendance(state, side, policy, moment);
        this.range = same.range;
        this.worst = same.worst;
        this.limiter = same.limiter;
        this.checked = same.checked;
    }

    public Situation under(Policy other) {
        return other.noise().equals(policy.noise())
                ? new Situation(this, other)
                : new Situation(state, side, other, moment, checked);
    }

    public Situation ofOtherSide() {
        return new Situation(state, side.other(), policy, moment);
    }

    /**
     * A dose that a lever leads to, made once: comparing doses is dearer than comparing what was changed.
     *
     * @param change what is different from the dose in force
     */
    public Dose moved(Object change, Supplier<Dose> to) {
        return checked.moved(change, to);
    }

    /** The blocks of the dose in force that a step of the ladder moves, found once. */
    public List<Roles.Found> places(LadderRung rung) {
        return checked.places(
                rung,
                r -> r.roles().stream()
                        .flatMap(role -> Roles.of(method(), dose().blocks(), role).stream())
                        .toList());
    }

    /** Why a kind of block may not grow: it was cut short in a session that the step would rest on, though others made up for it. */
    public Optional<Because> cutShort(BlockForm form) {
        double least = value(Threshold.DONE_RATIO);
        double done = 1;
        for (var run : rung.lastRuns()) {
            for (var session : run) {
                for (var kind : form.kinds()) {
                    done = Math.min(done, session.on(side).done().of(kind));
                }
            }
        }
        return done >= least
                ? Optional.empty()
                : Optional.of(Because.of(
                        Reason.DONE_TOO_LITTLE,
                        Term.of(Wording.capital(form.words())),
                        Term.of(done, Unit.RATIO),
                        Term.of(least, Unit.RATIO)));
    }

    public Optional<Because> checkedOnce(Dose dose, Function<Dose, Optional<Because>> check) {
        return checked.dose(attendance.newcomer(), dose, check);
    }

    /** What stands against blocks, whatever the angle: several angles come with the same ones. */
    public Optional<Finding> blocksOnce(List<BlockDraft> blocks, Supplier<Optional<Finding>> check) {
        return checked.blocks(attendance.newcomer(), blocks, check);
    }

    Worst worst() {
        var known = worst;
        if (known == null) {
            int pain = 0;
            boolean wrong = false;
            for (var session : undecided) {
                var facts = session.on(side);
                pain = Math.max(pain, facts.worstPain().value());
                wrong |= facts.wrongJoint();
            }
            known = new Worst(pain, wrong);
            worst = known;
        }
        return known;
    }

    /** The sessions at the dose in force, and how they count. */
    public RungSessions rung() {
        return rung;
    }

    /** How often somebody came, and what kept them away. */
    public Attendance attendance() {
        return attendance;
    }

    public LineState state() {
        return state;
    }

    public Side side() {
        return side;
    }

    public Policy policy() {
        return policy;
    }

    public Moment moment() {
        return moment;
    }

    public SideState me() {
        return state.side(side);
    }

    /** Whose restrictions and stop signs count: with one dose for both, those of either. */
    public Side reach() {
        return state.plan().sides().one() ? Side.MIDLINE : side;
    }

    /** What is known of the range: of this side, or of both where they work together. */
    public SideRange range() {
        return range;
    }

    public Dose dose() {
        return me().dose();
    }

    public Method method() {
        var known = method;
        if (known == null) {
            known = state.method();
            method = known;
        }
        return known;
    }

    /** Whether nothing is done on this side. */
    public boolean isEmpty() {
        return !dose().hasBlocks();
    }

    public double value(Threshold threshold) {
        return policy.value(threshold);
    }

    public int whole(Threshold threshold) {
        return policy.whole(threshold);
    }

    public Optional<UncertainAngle> passive() {
        return range.passive();
    }

    public Optional<UncertainAngle> active() {
        return range.active();
    }

    public Limiter limiter() {
        var known = limiter;
        if (known == null) {
            known = range.limiter(state.client());
            limiter = known;
        }
        return known;
    }

    /** Sessions that the last decision on this side could not know, or of which more has been heard since. */
    public List<SessionFacts> undecided() {
        return undecided;
    }

    private boolean isUndecided(SessionFacts session) {
        return session.lastHeard().isAfter(decidedAt);
    }

    /** Whether a session has nothing against it, its morning known. */
    public boolean isClean(SessionFacts session) {
        var failings = new Failings(this);
        failings.add(session);
        return !session.isUnknown() && failings.isEmpty();
    }

    /** Whether a set was neither rated nor measured in the sessions that a step would rest on: how hard it was is not known. */
    public boolean isUnrated() {
        return rung.lastRuns().stream()
                .flatMap(List::stream)
                .anyMatch(x -> x.on(side).unrated());
    }

    /** Sessions that the last decision on this side could not know. */
    List<SessionFacts> newer() {
        return undecided.stream().filter(this::isNewer).toList();
    }

    boolean isNewer(SessionFacts session) {
        return session.recordedAt().isAfter(decidedAt);
    }

    /** Whether the last decision knew the session and went down for it: what is heard of it later asks for no second step. */
    boolean isAnswered(SessionFacts session) {
        return !isNewer(session)
                && me().lastDecision()
                        .filter(d -> d.proposed() == Verdict.STEP_DOWN && d.answer() != Event.Answer.DECLINED)
                        .isPresent();
    }

    private List<SessionFacts> undecidedOnes() {
        if (decidedAt.equals(Instant.MIN)) {
            return state.sessions();
        }
        var found = new ArrayList<SessionFacts>();
        for (var session : state.sessions()) {
            if (isUndecided(session)) {
                found.add(session);
            }
        }
        return Collections.unmodifiableList(found);
    }

    /** The side that is really behind in the cold passive range, at 95 %. */
    public Optional<Side> reallyBehind() {
        return range.reallyBehind();
    }

    /** Weeks without a lever moved, with enough sessions and no real change of the range: something else is needed. */
    public boolean plateau() {
        var first = state.sessions().isEmpty() ? null : state.sessions().get(0).endedAt();
        var since = me().lastChange().map(Event.DoseDecided::happenedAt).orElse(first);
        var series = range.series().orElse(null);
        if (since == null || series == null || moment.daysSince(since) < value(Threshold.PLATEAU_DAYS)) {
            return false;
        }
        long held = state.sessions().stream()
                .filter(x -> !x.endedAt().isBefore(since))
                .count();
        return held >= value(Threshold.PLATEAU_SESSIONS)
                && !series.predict(moment.instant(), policy.noise()).change().isReal();
    }

    /** Deepest angle that today's estimate allows; empty when never measured. */
    public Optional<Degrees> angleBound() {
        return passive().map(policy::deepest);
    }

    /** At the position's zero and never measured: there are no degrees to give or to take. */
    public boolean isWithoutAngle() {
        return dose().angle().value() == 0 && passive().isEmpty();
    }

    public Degrees onProps(Degrees angle) {
        return state.grid().roundDown(angle);
    }

    /** The whole plan if this side did {@code dose}. */
    public Plan planWith(Dose dose) {
        return state.currentPlan().withDose(side, dose);
    }

    /** What a step is held against; what comes before loads and transitions is the ladder's own order. */
    public LineFacts facts(Sided<Optional<UncertainAngle>> passive) {
        return state.facts(passive, attendance.newcomer(), true, true);
    }

    /** More than the client's minutes; one that is too long already may stay as long as it is. */
    public Optional<Finding> tooLong(Plan plan) {
        var minutes = state.client().minutes();
        return minutes == null
                ? Optional.empty()
                : SessionCheck.tooLong(plan.seconds(), minutes)
                        .filter(f -> plan.seconds() > planWith(dose()).seconds());
    }

    public List<String> evidence() {
        var ids = new LinkedHashSet<String>();
        rung.all().forEach(s -> ids.add(s.id()));
        undecided.forEach(s -> ids.add(s.id()));
        return List.copyOf(ids);
    }
}
