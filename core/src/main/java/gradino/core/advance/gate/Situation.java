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
import gradino.core.because.Wording;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.reading.RangeState;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.Roles;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
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
    private final SideState measured;
    private final @Nullable UncertainAngle passive;
    private final @Nullable UncertainAngle active;
    private final Checked checked;
    private @Nullable Worst worst;
    private @Nullable Limiter limiter;
    private @Nullable Method method;

    /** What the undecided sessions come to in one look. */
    record Worst(int pain, boolean wrongJoint) {}

    /**
     * Doses that were held against the restrictions, the method and the minutes: the dear part of a step. Holds for one side as
     * long as the plan, the doses in force and the client stay the same; may be asked by several at once.
     */
    public static final class Checked {
        /** Angles move with every new day; nobody needs those of days gone by. */
        private static final int MOST = 100;

        private final Map<Object, Dose> moved = new HashMap<>();
        private final IdentityHashMap<LadderRung, List<Roles.Found>> places = new IdentityHashMap<>();
        private final IdentityHashMap<Dose, Optional<Because>> newcomers = new IdentityHashMap<>();
        private final IdentityHashMap<Dose, Optional<Because>> others = new IdentityHashMap<>();
        private final IdentityHashMap<List<BlockDraft>, Optional<Finding>> newcomersBlocks = new IdentityHashMap<>();
        private final IdentityHashMap<List<BlockDraft>, Optional<Finding>> othersBlocks = new IdentityHashMap<>();

        private synchronized Dose moved(Object change, Supplier<Dose> to) {
            if (moved.size() + newcomers.size() + others.size() > MOST) {
                forget();
            }
            return moved.computeIfAbsent(change, c -> to.get());
        }

        private synchronized List<Roles.Found> places(LadderRung rung, Function<LadderRung, List<Roles.Found>> found) {
            return places.computeIfAbsent(rung, found);
        }

        private void forget() {
            moved.clear();
            newcomers.clear();
            others.clear();
            newcomersBlocks.clear();
            othersBlocks.clear();
        }

        private synchronized Optional<Because> dose(
                boolean newcomer, Dose dose, Function<Dose, Optional<Because>> check) {
            return (newcomer ? newcomers : others).computeIfAbsent(dose, check);
        }

        private synchronized Optional<Finding> blocks(
                boolean newcomer, List<BlockDraft> blocks, Supplier<Optional<Finding>> check) {
            return (newcomer ? newcomersBlocks : othersBlocks).computeIfAbsent(blocks, b -> check.get());
        }
    }

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
        this.measured = shorter();
        this.passive = today(measured.passive());
        this.active = today(measured.active());
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
        this.measured = same.measured;
        this.passive = same.passive;
        this.active = same.active;
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

    /** Whether both sides work in the same stretch of time, at one dose. */
    private boolean isTogether() {
        return state.plan().sides() == SideOrder.TOGETHER;
    }

    /** Whose restrictions and stop signs count: with one dose for both, those of either. */
    public Side reach() {
        return state.plan().sides().one() ? Side.MIDLINE : side;
    }

    /** What is known of this side, or of both where they work together. */
    private List<SideState> bodies() {
        return isTogether() ? List.of(state.side(Side.LEFT), state.side(Side.RIGHT)) : List.of(me());
    }

    /** Whose range decides: of two that work together the shorter one, or the one that was never measured. */
    private SideState shorter() {
        if (!isTogether()) {
            return me();
        }
        var left = today(state.side(Side.LEFT).passive());
        var right = today(state.side(Side.RIGHT).passive());
        boolean isRight = left != null && (right == null || right.value().compareTo(left.value()) < 0);
        return state.side(isRight ? Side.RIGHT : Side.LEFT);
    }

    /** The cold passive series that decides; empty when never measured. */
    public Optional<RangeState> range() {
        return Optional.ofNullable(measured.passive());
    }

    /** The newest cold passive reading, the older of two sides'; empty when never measured. */
    public Optional<Instant> measuredAt() {
        return bodies().stream()
                .flatMap(s -> Stream.ofNullable(s.passive()).map(RangeState::at))
                .min(Comparator.naturalOrder());
    }

    /** Of two sides that of the structure, where one has it. */
    public @Nullable EndFeel endFeel() {
        for (var body : bodies()) {
            var feel = body.endFeel();
            if (feel != null && feel.isStructure()) {
                return feel;
            }
        }
        return measured.endFeel();
    }

    /** Newest control grade, the lower of two sides'; 0 when never graded. */
    public int controlGrade() {
        int lowest = Integer.MAX_VALUE;
        for (var body : bodies()) {
            var grade = body.controlGrade();
            lowest = Math.min(lowest, grade == null ? 0 : grade);
        }
        return lowest;
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
        return Optional.ofNullable(passive);
    }

    public Optional<UncertainAngle> active() {
        return Optional.ofNullable(active);
    }

    private @Nullable UncertainAngle today(@Nullable RangeState range) {
        return range == null
                ? null
                : range.predict(moment.instant(), policy.noise()).estimate();
    }

    public Limiter limiter() {
        var known = limiter;
        if (known == null) {
            known = judgedLimiter();
            limiter = known;
        }
        return known;
    }

    private Limiter judgedLimiter() {
        if (!isTogether()) {
            return limiter(measured, passive, active);
        }
        return Limiter.worse(bodies().stream()
                .map(body -> limiter(body, today(body.passive()), today(body.active())))
                .toList());
    }

    private Limiter limiter(SideState body, @Nullable UncertainAngle reached, @Nullable UncertainAngle held) {
        return Limiter.judge(
                reached,
                held,
                state.client().wantedDegrees(),
                body.endFeel(),
                state.client().gapLimit());
    }

    /** Sessions that the last decision on this side could not know, or of which more has been heard since. */
    public List<SessionFacts> undecided() {
        return undecided;
    }

    boolean isUndecided(SessionFacts session) {
        return session.lastHeard().isAfter(decidedAt);
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
        if (isTogether()) {
            return Optional.empty();
        }
        var other = today(state.side(side.other()).passive());
        if (passive == null || other == null) {
            return Optional.empty();
        }
        var difference = passive.minusIndependent(other);
        if (difference.upper95() < 0) {
            return Optional.of(side);
        }
        return difference.lower95() > 0 ? Optional.of(side.other()) : Optional.empty();
    }

    /** Weeks without a lever moved, with enough sessions and no real change of the range: something else is needed. */
    public boolean plateau() {
        var first = state.sessions().isEmpty() ? null : state.sessions().get(0).endedAt();
        var since = me().lastChange().map(Event.DoseDecided::happenedAt).orElse(first);
        var range = measured.passive();
        if (since == null || range == null || moment.daysSince(since) < value(Threshold.PLATEAU_DAYS)) {
            return false;
        }
        long held = state.sessions().stream()
                .filter(x -> !x.endedAt().isBefore(since))
                .count();
        return held >= value(Threshold.PLATEAU_SESSIONS)
                && !range.predict(moment.instant(), policy.noise()).change().isReal();
    }

    /** Deepest angle that today's estimate allows; empty when never measured. */
    public Optional<Degrees> angleBound() {
        return passive().map(policy::deepest);
    }

    public Degrees onProps(Degrees angle) {
        return state.grid().roundDown(angle);
    }

    /** The whole plan if this side did {@code dose}. */
    public Plan planWith(Dose dose) {
        return state.currentPlan().withDose(side, dose);
    }

    /** What a change of the line is held against. */
    public LineFacts facts(Sided<Optional<UncertainAngle>> passive) {
        return state.facts(passive, attendance.newcomer());
    }

    public List<String> evidence() {
        var ids = new LinkedHashSet<String>();
        rung.all().forEach(s -> ids.add(s.id()));
        undecided.forEach(s -> ids.add(s.id()));
        return List.copyOf(ids);
    }
}
