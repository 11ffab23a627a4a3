package gradino.server.advance;

import gradino.core.advance.Advance;
import gradino.core.advance.DecisionCheck;
import gradino.core.advance.Event.Answer;
import gradino.core.advance.Event.DoseDecided;
import gradino.core.advance.Event.SessionHeld;
import gradino.core.advance.Policy;
import gradino.core.advance.Proposal;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Plan;
import gradino.server.advance.DecisionRepository.StoredDecision;
import gradino.server.platform.Json;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.LineRepository;
import gradino.server.prescribe.LineService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows what core proposes and keeps what the coach made of it. */
@Service
public class DecisionService {
    private final DecisionRepository decisions;
    private final LineHistories histories;
    private final LineService lines;
    private final LineRepository lineRows;
    private final Json json;
    private final Clock clock;

    DecisionService(
            DecisionRepository decisions,
            LineHistories histories,
            LineService lines,
            LineRepository lineRows,
            Json json,
            Clock clock) {
        this.decisions = decisions;
        this.histories = histories;
        this.lines = lines;
        this.lineRows = lineRows;
        this.json = json;
        this.clock = clock;
    }

    /** A line's two proposals. {@code minutes} is what a session takes if both are accepted. */
    public record Proposals(Line line, Plan plan, Sided<Judged> sides, int minutes) {}

    /** A proposal, and whether it waits for the coach. */
    public record Judged(Proposal proposal, boolean waits, List<Evidence> evidence) {}

    /** A session that a proposal looked at. */
    public record Evidence(String sessionId, Instant endedAt) {}

    /** What the coach says to one proposal; {@code seen} guards against deciding on what has changed meanwhile. */
    public record Decision(
            String id,
            Side side,
            Answer answer,
            Dose seen,
            @Nullable Dose dose,
            String reason) {}

    /** A decision as kept. */
    public record Kept(
            String id,
            Side side,
            Answer answer,
            Verdict proposed,
            Dose before,
            Dose after,
            String reason,
            Instant happenedAt,
            String policyVersion) {}

    @Transactional(readOnly = true)
    public Proposals proposals(String lineId) {
        return proposals(lines.get(lineId));
    }

    @Transactional(readOnly = true)
    public Proposals proposals(Line line) {
        var inputs = histories.inputs(line);
        var state = inputs.state(Policy.house());
        var sides = Sided.of(side -> {
            var proposal = Advance.propose(state, side, Policy.house(), inputs.moment());
            return new Judged(proposal, Advance.waits(state, proposal), evidence(inputs, proposal));
        });
        var plan = state.plan().withDoses(sides.map((s, j) -> j.proposal().from()));
        var after = plan.withDoses(sides.map((s, j) -> j.proposal().to()));
        return new Proposals(line, plan, sides, (Compiler.compile(after).seconds() + 59) / 60);
    }

    private static List<Evidence> evidence(Inputs inputs, Proposal proposal) {
        return inputs.events().stream()
                .flatMap(e -> e instanceof SessionHeld held ? Stream.of(held.session()) : Stream.empty())
                .filter(s -> proposal.evidence().contains(s.id()))
                .map(s -> new Evidence(s.id(), s.endedAt()))
                .toList();
    }

    @Transactional
    public Proposals decide(String lineId, Decision decision) {
        var line = lines.get(lineId);
        if (decisions.find(decision.id()).isPresent()) {
            return proposals(line);
        }
        var inputs = histories.inputs(line);
        var state = inputs.state(Policy.house());
        var proposal = Advance.propose(state, decision.side(), Policy.house(), inputs.moment());
        if (!proposal.to().equals(decision.seen())) {
            throw Problem.conflict(
                    "changed-meanwhile", "Something new was recorded meanwhile: look again, then decide.");
        }
        var after = after(decision, proposal);
        if (decision.answer() == Answer.CHANGED) {
            Problem.throwIfBlocking(
                    DecisionCheck.check(state, proposal, after, decision.reason(), Policy.house(), inputs.moment()));
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
                    throw Problem.invalid("reason", "required", "Say why not: the record keeps it.");
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
                proposal.engineVersion()));
        heavierLessOften(line, proposal, after, now);
    }

    /** When the step enters a harder class, the lower frequency is part of the same decision. */
    private void heavierLessOften(Line line, Proposal proposal, Dose after, Instant now) {
        var plan = histories.inputs(line).plan();
        if (after.equals(proposal.to()) && proposal.sessionsPerWeek() < plan.sessionsPerWeek()) {
            lineRows.addPlan(new LineRepository.PlanVersion(
                    line.id(), plan.withSessionsPerWeek(proposal.sessionsPerWeek()), now, now));
        }
    }

    @Transactional(readOnly = true)
    public List<Kept> kept(String lineId) {
        lines.get(lineId);
        return decisions.of(lineId).stream()
                .map(d -> new Kept(
                        d.decided().id(),
                        d.decided().side(),
                        d.decided().answer(),
                        d.decided().proposed(),
                        d.decided().before(),
                        d.decided().after(),
                        d.reason(),
                        d.decided().happenedAt(),
                        d.policyVersion()))
                .toList();
    }
}
