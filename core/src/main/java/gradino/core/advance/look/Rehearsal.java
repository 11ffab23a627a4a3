package gradino.core.advance.look;

import gradino.core.advance.Advance;
import gradino.core.advance.Proposal;
import gradino.core.advance.SessionStart;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.reading.PropGrid;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.Plan;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** An invented client through a plan under a policy, every proposal accepted, week by week. A model, not a forecast. */
public final class Rehearsal {
    public static final int LEAST_WEEKS = 4;
    public static final int MOST_WEEKS = 26;

    private static final Instant START = Instant.parse("2026-01-05T09:00:00Z");
    private static final int DAYS_PER_WEEK = 7;
    private static final double WANTED_DEGREES = 45;
    private static final double FIRST_ERROR = 1.7;
    private static final PropGrid GRID = new PropGrid.AngleStep(0.5);

    private final SimulatedClient client;
    private final Policy policy;
    private final Look look;
    private LineState state;
    private double daysSinceWork;

    /** Sees every proposal with the state it was made in. */
    public interface Look {
        void at(LineState state, Proposal proposal, Moment moment);
    }

    private Rehearsal(SimulatedClient client, LineState state, Policy policy, Look look) {
        this.client = client;
        this.look = look;
        this.state = state;
        this.policy = policy;
    }

    /**
     * Who lives through it.
     *
     * @param seed the same seed lives the same life
     * @param adherence share of the planned sessions that are held, 0 to 1
     * @param weeks 4 to 26
     * @param leftDegrees cold passive range to begin with, 5 to 90°
     * @param rightDegrees the same of the other side
     */
    public record Cast(
            Set<Trait> traits,
            long seed,
            double adherence,
            int weeks,
            int sessionsPerWeek,
            double leftDegrees,
            double rightDegrees) {
        public Cast {
            traits = Set.copyOf(traits);
            OutOfBoundsException.require("adherence", adherence, 0, 1, "");
            OutOfBoundsException.require("weeks", weeks, LEAST_WEEKS, MOST_WEEKS, "weeks");
            OutOfBoundsException.require("sessionsPerWeek", sessionsPerWeek, 1, 7, "");
            OutOfBoundsException.require("leftDegrees", leftDegrees, 5, 90, "°");
            OutOfBoundsException.require("rightDegrees", rightDegrees, 5, 90, "°");
        }
    }

    /**
     * One side's week.
     *
     * @param passive what the range really is, which only a model knows
     * @param estimate what the readings say; null before the first
     * @param dose in force at the end of the week
     * @param sets of it
     * @param ceiling its highest effort, %
     * @param steps what was decided
     * @param prevented what the rules held back
     */
    public record SideWeek(
            double passive,
            double active,
            @Nullable Double estimate,
            Dose dose,
            int sets,
            int ceiling,
            int worstPain,
            List<TakenStep> steps,
            List<Because> prevented) {}

    /** A decision of the week. */
    public record TakenStep(Verdict verdict, @Nullable LeverId lever, Because why) {}

    /** A week of both sides. */
    public record Week(int number, int held, Sided<SideWeek> sides) {}

    public static List<Week> of(Cast cast, Policy policy) {
        return of(cast, policy, (state, proposal, moment) -> {});
    }

    public static List<Week> of(Cast cast, Policy policy, Look look) {
        var passive = new Sided<>(cast.leftDegrees(), cast.rightDegrees());
        var client = new SimulatedClient(cast.traits(), cast.seed(), cast.adherence(), passive);
        var plan = first(client, policy).withSessionsPerWeek(cast.sessionsPerWeek());
        var facts = ClientFacts.PLAIN.withWanted(WANTED_DEGREES);
        var rehearsal = new Rehearsal(client, LineState.open(plan, GRID, facts), policy, look);
        var weeks = new ArrayList<Week>();
        for (int week = 1; week <= cast.weeks(); week++) {
            weeks.add(rehearsal.week(week, cast.sessionsPerWeek()));
        }
        return List.copyOf(weeks);
    }

    private static Plan first(SimulatedClient client, Policy policy) {
        var wish = new SessionStart.Wish(
                Catalogue.motion("hip-internal-rotation").orElseThrow(),
                Catalogue.position("prone-knee-bent").orElseThrow(),
                Sided.both(Limiter.RANGE),
                Sided.of(side -> Optional.of(UncertainAngle.of(client.passive(side), FIRST_ERROR))),
                Limits.NONE,
                false,
                Experience.NEWCOMER);
        var asked =
                new SessionStart.Asked(List.of(), List.of(), null, (position, angle) -> GRID.roundDown(angle), policy);
        return Plan.of(SessionStart.line(wish, asked, Optional.of(Method.rampBothWays()), "line"));
    }

    private Week week(int number, int planned) {
        var monday = START.plus(Duration.ofDays((long) DAYS_PER_WEEK * (number - 1)));
        client.measured(monday).forEach(this::step);
        int before = state.sessionCount();
        var steps = Sided.<List<TakenStep>>of(side -> new ArrayList<>());
        var prevented = Sided.<Set<Because>>of(side -> new TreeSet<>());
        int perWeek = Math.min(planned, state.plan().sessionsPerWeek());
        var days = trainingDays(perWeek);
        for (int day = 0; day < DAYS_PER_WEEK; day++) {
            var morning = monday.plus(Duration.ofDays(day));
            daysSinceWork++;
            if (days.contains(day) && client.comes()) {
                client.trains(state.currentPlan(), morning.plus(Duration.ofHours(1)))
                        .forEach(this::step);
                daysSinceWork = 0;
                decide(morning.plus(Duration.ofHours(23)), steps, prevented);
            } else {
                client.rests(daysSinceWork);
            }
        }
        return new Week(number, state.sessionCount() - before, Sided.of(side -> side(side, monday, steps, prevented)));
    }

    private void step(Event event) {
        state = state.step(event, policy.noise());
    }

    private static Set<Integer> trainingDays(int perWeek) {
        var days = new TreeSet<Integer>();
        for (int i = 0; i < perWeek; i++) {
            days.add(i * DAYS_PER_WEEK / perWeek);
        }
        return days;
    }

    private void decide(Instant at, Sided<List<TakenStep>> steps, Sided<Set<Because>> prevented) {
        for (var side : Side.PAIR) {
            var moment = new Moment(at, ZoneOffset.UTC);
            var proposal = Advance.propose(state, side, policy, moment);
            look.at(state, proposal, moment);
            if (proposal.verdict() == Verdict.STEP_UP || proposal.verdict() == Verdict.STEP_DOWN) {
                steps.on(side).add(new TakenStep(proposal.verdict(), proposal.lever(), proposal.why()));
                step(new Event.DoseDecided(
                        side.word() + at,
                        side,
                        Event.Answer.ACCEPTED,
                        proposal.verdict(),
                        proposal.lever(),
                        proposal.from(),
                        proposal.to(),
                        at,
                        at));
                lessOften(proposal.sessionsPerWeek());
            }
            heldBack(proposal, prevented.on(side));
        }
    }

    private void lessOften(int perWeek) {
        if (perWeek < state.plan().sessionsPerWeek()) {
            state = state.withSessionsPerWeek(perWeek);
        }
    }

    private static void heldBack(Proposal proposal, Set<Because> prevented) {
        prevented.addAll(proposal.failed());
        proposal.alternatives().stream()
                .filter(a -> !a.possible() && a.lever() == LeverId.ANGLE)
                .forEach(a -> prevented.add(a.why()));
    }

    private SideWeek side(Side side, Instant monday, Sided<List<TakenStep>> steps, Sided<Set<Because>> prevented) {
        var me = state.side(side);
        int pain = state.sessions().stream()
                .filter(s -> s.endedAt().isAfter(monday))
                .mapToInt(s -> s.on(side).worstPain().value())
                .max()
                .orElse(0);
        return new SideWeek(
                client.passive(side),
                client.active(side),
                me.passive() == null ? null : me.passive().level(),
                me.dose(),
                me.dose().sets(),
                me.dose().ceiling().value(),
                pain,
                List.copyOf(steps.on(side)),
                List.copyOf(prevented.on(side)));
    }
}
