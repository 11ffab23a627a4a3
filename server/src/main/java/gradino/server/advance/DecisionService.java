package gradino.server.advance;

import gradino.core.advance.Advance;
import gradino.core.advance.Change;
import gradino.core.advance.DecisionCheck;
import gradino.core.advance.Proposal;
import gradino.core.advance.gate.SideRange;
import gradino.core.advance.look.ReasonChange;
import gradino.core.advance.look.SessionEvidence;
import gradino.core.advance.state.Event.Answer;
import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.Plan;
import gradino.server.advance.line.DecisionRepository;
import gradino.server.advance.line.DecisionRepository.StoredDecision;
import gradino.server.advance.line.Inputs;
import gradino.server.advance.line.Known;
import gradino.server.advance.line.LineDoor;
import gradino.server.advance.line.PolicyService;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.Json;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.program.EachLine;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.LineRepository.LineVersion;
import gradino.server.prescribe.program.LineService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows what core proposes and keeps what the coach made of it. */
@Service
public class DecisionService {
    private final DecisionRepository decisions;
    private final LineDoor door;
    private final EachLine each;
    private final StageMoves stages;
    private final LineService lines;
    private final LineRepository lineRows;
    private final RunRepository runs;
    private final MeasurementRepository measurements;
    private final PolicyService policies;
    private final Json json;
    private final Clock clock;

    DecisionService(
            DecisionRepository decisions,
            LineDoor door,
            EachLine each,
            StageMoves stages,
            LineService lines,
            LineRepository lineRows,
            RunRepository runs,
            MeasurementRepository measurements,
            PolicyService policies,
            Json json,
            Clock clock) {
        this.decisions = decisions;
        this.door = door;
        this.each = each;
        this.stages = stages;
        this.lines = lines;
        this.lineRows = lineRows;
        this.runs = runs;
        this.measurements = measurements;
        this.policies = policies;
        this.json = json;
        this.clock = clock;
    }

    /** A line's proposals, of the sides that it trains. {@code minutes} is what a session takes if both are accepted. */
    public record Proposals(Line line, Plan plan, List<Side> trained, Sided<Judged> sides, int minutes) {}

    /**
     * A proposal with what a coach wants to see beside it.
     *
     * @param waits for the coach
     * @param isNew nobody has looked at it yet
     * @param range today's cold passive range; null when never measured
     * @param change of the reasons since a week ago
     */
    public record Judged(
            Proposal proposal,
            boolean waits,
            boolean isNew,
            List<SessionEvidence> evidence,
            @Nullable RangeBand range,
            ReasonChange change) {}

    /**
     * The range estimate with its 95 % band.
     *
     * @param bound deepest angle that it allows
     * @param instrument whose readings it is of: the line's own, or that of the newest
     */
    public record RangeBand(
            double degrees,
            double standardError,
            double lower,
            double upper,
            double bound,
            Instant measuredAt,
            Instrument instrument) {}

    /** What the coach says to one proposal; {@code seen} guards against deciding on what has changed meanwhile. */
    public record Decision(
            String id,
            Side side,
            Answer answer,
            Dose seen,
            @Nullable Dose dose,
            String reason) {}

    /** A decision as kept. */
    public record PastDecision(
            String id,
            Side side,
            Answer answer,
            Verdict proposed,
            List<Change> changes,
            String reason,
            Instant happenedAt,
            String policyVersion,
            @Nullable Instant undoneAt,
            boolean mayBeTakenBack) {}

    @Transactional(readOnly = true)
    public Proposals proposals(String lineId) {
        return proposals(lines.get(lineId));
    }

    private Proposals proposals(Line line) {
        return each.required(line, () -> worked(line));
    }

    private Proposals worked(Line line) {
        var known = door.of(line);
        var state = known.state(line);
        var instrument =
                measurements.instrument(state.plan().instrument(), line.clientId(), line.motion(), line.position());
        var sides = Sided.of(side -> {
            var proposal = known.proposal(line, side);
            boolean trained = state.plan().trained().contains(side);
            return new Judged(
                    proposal,
                    trained && Advance.waits(state, proposal.proposed()),
                    trained && Advance.isNew(state, proposal),
                    SessionEvidence.of(state, proposal),
                    band(state, side, known, instrument),
                    known.sinceLastWeek(line, proposal));
        });
        var plan = state.plan().withDoses(sides.map((s, j) -> j.proposal().from()));
        var after = plan.withDoses(sides.map((s, j) -> j.proposal().to()));
        return new Proposals(line, plan, plan.trained(), sides, (after.seconds() + 59) / 60);
    }

    /** Of two sides that work together that of the shorter one. */
    private static @Nullable RangeBand band(LineState state, Side side, Known known, Instrument instrument) {
        return SideRange.of(state, side, known.policy(), known.moment())
                .series()
                .map(range -> {
                    var today = range.predict(
                                    known.moment().instant(), known.policy().noise())
                            .estimate();
                    return new RangeBand(
                            today.value().value(),
                            today.standardUncertainty(),
                            today.lower95(),
                            today.upper95(),
                            known.policy().deepest(today).value(),
                            range.at(),
                            instrument);
                })
                .orElse(null);
    }

    @Transactional
    public Proposals decide(String lineId, Decision decision) {
        var line = lines.get(lineId);
        if (decisions.find(decision.id()).isPresent()) {
            return proposals(line);
        }
        var inputs = door.inputs(line);
        var policy = policies.current();
        var state = inputs.state(policy);
        if (!state.plan().trained().contains(decision.side())) {
            throw Problem.invalid("side", "side-for-motion", "This line does not train that side.");
        }
        var proposal = inputs.inTurn(state, Advance.propose(state, decision.side(), policy, inputs.moment()));
        if (!proposal.to().equals(decision.seen())) {
            throw Problem.conflict(
                    "changed-meanwhile", "Something new was recorded meanwhile: look again, then decide.");
        }
        var after = after(decision, proposal);
        if (decision.answer() != Answer.DECLINED) {
            Problem.throwIfBlocking(
                    DecisionCheck.check(state, proposal, after, decision.reason(), policy, inputs.moment()));
        }
        keep(line, decision, proposal, after, inputs);
        return proposals(line);
    }

    private static Dose after(Decision decision, Proposal proposal) {
        return switch (decision.answer()) {
            case ACCEPTED -> proposal.to();
            case CHANGED -> {
                if (decision.dose() == null) {
                    throw Problem.invalid("dose", "required", "Say which dose instead.");
                }
                yield decision.dose();
            }
            case DECLINED -> {
                if (decision.reason().isBlank()) {
                    throw Problem.invalid("reason", "required", "Say why not: it goes on record.");
                }
                yield proposal.from();
            }
            case EDITED -> throw Problem.invalid("answer", "invalid", "A plan is edited in Prescribe.");
        };
    }

    private void keep(Line line, Decision decision, Proposal proposal, Dose after, Inputs inputs) {
        var now = StudioClock.now(clock);
        var decided = new DoseDecided(
                decision.id(),
                decision.side(),
                decision.answer(),
                proposal.verdict(),
                proposal.lever(),
                proposal.from(),
                after,
                now,
                now);
        decisions.insert(new StoredDecision(
                line.id(),
                decided,
                decision.reason(),
                json.write(proposal),
                json.write(inputs),
                proposal.policyVersion(),
                proposal.engineVersion(),
                null));
        heavierLessOften(inputs.plan(), line, proposal, after, now);
        var stage = proposal.stage();
        if (stage != null && decision.answer() == Answer.ACCEPTED) {
            stages.move(line, inputs.plan().method(), stage, now);
        }
    }

    /** A plateau is answered: the line goes on by one of the methods that were proposed. */
    @Transactional
    public Proposals changeMethod(String lineId, String method) {
        var line = lines.get(lineId);
        var known = door.of(line);
        boolean proposed = known.state(line).plan().trained().stream()
                .anyMatch(side -> known.proposal(line, side).methods().contains(method));
        if (!proposed) {
            throw Problem.conflict("changed-meanwhile", "This method is not proposed now: look again.");
        }
        stages.toMethod(line, method, StudioClock.now(clock));
        return proposals(line);
    }

    /** When the step enters a harder class, the lower frequency is part of the same decision. */
    private void heavierLessOften(Plan plan, Line line, Proposal proposal, Dose after, Instant now) {
        if (after.equals(proposal.to()) && proposal.sessionsPerWeek() < plan.sessionsPerWeek()) {
            lineRows.add(new LineVersion(line.id(), plan.withSessionsPerWeek(proposal.sessionsPerWeek()), now, now));
        }
    }

    /** Takes the last decision on a side back, until the next session has begun with it. */
    @Transactional
    public Proposals undo(String lineId, String decisionId) {
        var line = lines.get(lineId);
        var all = decisions.of(lineId);
        var decision = all.stream()
                .filter(d -> d.decided().id().equals(decisionId))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("decision"));
        if (decision.undoneAt() == null) {
            if (decision.decided().answer() == Answer.EDITED) {
                throw Problem.conflict("edited", "This was set in the plan: set it there again.");
            }
            if (!isLast(decision, all)) {
                throw Problem.conflict("not-the-last", "Another decision followed: take that one back first.");
            }
            if (isTrainedWith(decision)) {
                throw Problem.conflict("session-begun", "A session has begun with it: decide again instead.");
            }
            var now = StudioClock.now(clock);
            decisions.undo(decisionId, now);
            asOftenAsBefore(line, decision, now);
            if (isStage(decision)) {
                stages.back(line, decision.decided().recordedAt(), now);
            }
        }
        return proposals(line);
    }

    private static boolean isLast(StoredDecision decision, List<StoredDecision> all) {
        return all.stream()
                .filter(d -> d.undoneAt() == null
                        && d.decided().side() == decision.decided().side())
                .reduce((first, second) -> second)
                .filter(decision::equals)
                .isPresent();
    }

    private static boolean isStage(StoredDecision decision) {
        return decision.decided().lever() == LeverId.STAGE && decision.decided().answer() == Answer.ACCEPTED;
    }

    private boolean isTrainedWith(StoredDecision decision) {
        return runs.isBegunSince(decision.lineId(), decision.decided().happenedAt());
    }

    /** A lower frequency that came with the decision goes with it. */
    private void asOftenAsBefore(Line line, StoredDecision decision, Instant now) {
        var versions = lineRows.versions(line.id());
        for (int i = 1; i < versions.size(); i++) {
            if (versions.get(i).recordedAt().equals(decision.decided().recordedAt())) {
                int before = versions.get(i - 1).plan().sessionsPerWeek();
                var newest = versions.get(versions.size() - 1).plan();
                lineRows.add(new LineVersion(line.id(), newest.withSessionsPerWeek(before), now, now));
            }
        }
    }

    @Transactional(readOnly = true)
    public List<PastDecision> past(String lineId) {
        lines.get(lineId);
        var all = decisions.of(lineId);
        return all.stream()
                .map(d -> new PastDecision(
                        d.decided().id(),
                        d.decided().side(),
                        d.decided().answer(),
                        d.decided().proposed(),
                        Change.between(d.decided().before(), d.decided().after()),
                        d.reason(),
                        d.decided().happenedAt(),
                        d.policyVersion(),
                        d.undoneAt(),
                        d.decided().answer() != Answer.EDITED && isLast(d, all) && !isTrainedWith(d)))
                .toList();
    }
}
