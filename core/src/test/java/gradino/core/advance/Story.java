package gradino.core.advance;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.SideState;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.RangeState;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MeasuredEffort;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.PropUsed;
import gradino.core.perform.SessionRecord;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Tells the history of an invented line, day by day, and asks the engine what it makes of it. Day 0 is the last day. */
final class Story {
    static final Instant NOW = Instant.parse("2026-03-20T18:00:00Z");
    static final Dose BASE = House.dose(30, 60, 2, 50, 10);

    private final List<Event> events = new ArrayList<>();
    private Sided<Dose> doses = Sided.both(BASE);
    private Sided<Dose> bases = Sided.both(BASE);
    private ClientFacts client = new ClientFacts(Limits.NONE, false, null, 45.0, null, null, null);
    private UnaryOperator<SideState> ranges = s -> s;
    private final Map<Side, RangeState> sideRanges = new EnumMap<>(Side.class);
    private Observer observer = Observer.COACH;
    private int sessions;
    private String method = "ramp-both-ways";
    private String position = "prone-knee-bent";
    private SideOrder order = SideOrder.ONE_AFTER_OTHER;

    static Story of(Dose dose) {
        var story = new Story();
        story.doses = Sided.both(dose);
        return story;
    }

    static Instant daysAgo(double days) {
        return NOW.minus(Math.round(days * 24 * 60), ChronoUnit.MINUTES);
    }

    Story client(ClientFacts facts) {
        client = facts;
        return this;
    }

    Story observedBy(Observer who) {
        observer = who;
        return this;
    }

    /** A cold passive estimate as it stands at the end of the story. */
    Story passive(double degrees, double se) {
        return passive(degrees, se, 0);
    }

    Story passive(double degrees, double se, double daysAgo) {
        var before = ranges;
        ranges = s -> before.apply(s).withPassive(RangeState.known(Story.daysAgo(daysAgo), degrees, se * se));
        return this;
    }

    Story active(double degrees, double se) {
        var before = ranges;
        ranges = s -> before.apply(s).withActive(RangeState.known(NOW, degrees, se * se));
        return this;
    }

    /** Clean sessions at the dose in force, answered the next morning. */
    Story clean(double... daysAgo) {
        for (double days : daysAgo) {
            session(days, b -> b).morning(days, true, 1);
        }
        return this;
    }

    Story session(double daysAgo, UnaryOperator<BlockRecord> change) {
        var started = daysAgo(daysAgo);
        var blocks = done(plan()).stream().map(change).toList();
        var session = held("s" + ++sessions, started, observer, doses, blocks);
        events.add(new Event.SessionHeld(session, session.endedAt()));
        return this;
    }

    /** A session over which gauges were heard. */
    Story gauged(double daysAgo, UnaryOperator<BlockRecord> change, List<MeasuredEffort> efforts) {
        session(daysAgo, change);
        var held = (Event.SessionHeld) events.remove(events.size() - 1);
        events.add(new Event.SessionHeld(held.session().withEfforts(efforts), held.recordedAt()));
        return this;
    }

    Story painful(double daysAgo, int pain, PainKind kind) {
        return session(
                daysAgo,
                b -> b.blockId().set() == 1 && b.kind() == BlockKind.PRESS
                        ? with(b, List.of(new Pain(PainScore.of(pain), kind, "hip")))
                        : b);
    }

    Story stopped(double daysAgo, StopSign sign, Side side) {
        session(daysAgo, b -> b);
        var held = (Event.SessionHeld) events.remove(events.size() - 1);
        var s = held.session();
        var stopped = new SessionRecord(
                s.id(),
                s.startedAt(),
                s.endedAt(),
                s.observer(),
                s.doses(),
                s.blocks(),
                s.rating(),
                sign,
                side,
                "",
                List.of());
        events.add(new Event.SessionHeld(stopped, held.recordedAt()));
        return this;
    }

    Story morning(double sessionDaysAgo, boolean settled, int soreness) {
        return morningRecorded(sessionDaysAgo, settled, soreness, sessionDaysAgo - 0.6);
    }

    /** The answer to the last session told, known only {@code recordedDaysAgo}. */
    Story morningRecorded(double sessionDaysAgo, boolean settled, int soreness, double recordedDaysAgo) {
        events.add(Event.MorningAnswered.first(
                "s" + sessions, settled, Tenths.of(soreness), daysAgo(sessionDaysAgo - 0.6), daysAgo(recordedDaysAgo)));
        return this;
    }

    /** A step that the coach accepted on both sides. */
    Story stepped(double daysAgo, Dose to, LeverId lever) {
        return decided(daysAgo, to, Event.Answer.ACCEPTED, Verdict.STEP_UP, lever);
    }

    /** A coach's own change. */
    Story edited(double daysAgo, Dose to) {
        return decided(daysAgo, to, Event.Answer.EDITED, Verdict.STAY, null);
    }

    private Story decided(double daysAgo, Dose to, Event.Answer answer, Verdict verdict, @Nullable LeverId lever) {
        for (var side : Side.PAIR) {
            events.add(new Event.DoseDecided(
                    "d" + side.word() + daysAgo,
                    side,
                    answer,
                    verdict,
                    lever,
                    doses.on(side),
                    to,
                    daysAgo(daysAgo),
                    daysAgo(daysAgo)));
        }
        doses = Sided.both(to);
        return this;
    }

    /** What the line was given before the story's first session, when it differs from the base. */
    Story startingFrom(Dose first) {
        bases = Sided.both(first);
        return this;
    }

    Story by(String id) {
        method = id;
        return this;
    }

    /** Both sides at once, at one dose. */
    Story together() {
        order = SideOrder.TOGETHER;
        doses = doses.with(Side.RIGHT, new Dose(doses.left().angle(), List.of()));
        return this;
    }

    /** The same of one side alone. */
    Story passive(Side side, double degrees, double se, double daysAgo) {
        sideRanges.put(side, RangeState.known(Story.daysAgo(daysAgo), degrees, se * se));
        return this;
    }

    Story in(String id) {
        position = id;
        return this;
    }

    /** The control of a side at its end, graded yesterday. */
    Story graded(Side side, int grade) {
        return with(new Event.ControlGraded(side, grade, daysAgo(1), daysAgo(1)));
    }

    Story with(Event event) {
        events.add(event);
        return this;
    }

    List<Event> events() {
        return List.copyOf(events);
    }

    LineState state() {
        return LineState.fold(start(), events, NoiseRules.HOUSE);
    }

    LineState start() {
        var start = LineState.open(plan().withDoses(bases), new PropGrid.AngleStep(0.5), client);
        for (var side : Side.PAIR) {
            boolean stepped = events.stream().anyMatch(e -> e instanceof Event.DoseDecided);
            var first = start.side(side);
            var dose = stepped ? first.dose() : doses.on(side);
            var ranged = ranges.apply(new SideState(dose, first.base(), List.of(), null, null, null));
            var own = sideRanges.get(side);
            start = start.with(side, own == null ? ranged : ranged.withPassive(own));
        }
        return start;
    }

    Proposal left() {
        return propose(Side.LEFT);
    }

    Proposal right() {
        return propose(Side.RIGHT);
    }

    Proposal propose(Side side) {
        return Advance.propose(state(), side, Policy.house(), new Moment(NOW, ZoneOffset.UTC));
    }

    Plan plan() {
        return House.line(position, method, order, Side.LEFT, doses);
    }

    /** A session of a quarter of an hour that nothing ended. */
    static SessionRecord held(
            String id, Instant started, Observer observer, Sided<Dose> doses, List<BlockRecord> blocks) {
        return new SessionRecord(
                id,
                started,
                started.plusSeconds(900),
                observer,
                doses,
                blocks,
                Tenths.of(5),
                null,
                null,
                "",
                List.of());
    }

    /** Every block of a plan, done as it was asked. */
    static List<BlockRecord> done(Plan plan) {
        return plan.timeline().phases().stream()
                .collect(Collectors.groupingBy(Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(Story::done)
                .toList();
    }

    private static BlockRecord done(List<Timeline.Phase> phases) {
        var first = phases.get(0);
        var rated = first.block() == BlockKind.PRESS
                ? Tenths.of((int) Math.round(asked(phases).tenths()))
                : null;
        return new BlockRecord(
                first.blockId(),
                first.side(),
                first.block(),
                phases.stream()
                        .map(p -> new PhaseDone(p.kind(), p.seconds(), p.seconds()))
                        .toList(),
                rated,
                List.of(),
                List.of(),
                0,
                false,
                null,
                "",
                null);
    }

    private static EffortPercent asked(List<Timeline.Phase> phases) {
        return phases.stream().map(Timeline.Phase::effortTo).reduce(EffortPercent.of(0), EffortPercent::atLeast);
    }

    static BlockRecord rated(BlockRecord b, Tenths rating) {
        return new BlockRecord(
                b.blockId(),
                b.side(),
                b.kind(),
                b.phases(),
                rating,
                b.faults(),
                b.pains(),
                b.cramps(),
                b.effortMissed(),
                b.skippedBecause(),
                b.note(),
                b.prop());
    }

    static BlockRecord with(BlockRecord b, List<Pain> pains) {
        return changed(b, b.phases(), pains, b.prop());
    }

    static BlockRecord lying(BlockRecord b, double degrees) {
        return changed(b, b.phases(), b.pains(), new PropUsed(Degrees.of(degrees), null, null));
    }

    /** Every contraction of one side cut to a share of its planned seconds. */
    static UnaryOperator<BlockRecord> doneShare(Side side, double share) {
        return b -> {
            var cut = b.phases().stream()
                    .map(p -> new PhaseDone(p.kind(), p.plannedSeconds(), p.plannedSeconds() * share))
                    .toList();
            return b.side() == side ? changed(b, cut, b.pains(), b.prop()) : b;
        };
    }

    /** Its first phase done to a share of what was planned. */
    static BlockRecord firstPhaseDone(BlockRecord b, double share) {
        var phases = new ArrayList<>(b.phases());
        var first = phases.get(0);
        phases.set(0, new PhaseDone(first.kind(), first.plannedSeconds(), first.plannedSeconds() * share));
        return changed(b, phases, b.pains(), b.prop());
    }

    private static BlockRecord changed(
            BlockRecord b, List<PhaseDone> phases, List<Pain> pains, @Nullable PropUsed prop) {
        return changed(b, phases, pains, b.cramps(), prop);
    }

    static BlockRecord changed(
            BlockRecord b, List<PhaseDone> phases, List<Pain> pains, int cramps, @Nullable PropUsed prop) {
        return new BlockRecord(
                b.blockId(),
                b.side(),
                b.kind(),
                phases,
                b.effortRating(),
                b.faults(),
                pains,
                cramps,
                b.effortMissed(),
                b.skippedBecause(),
                b.note(),
                prop);
    }
}
