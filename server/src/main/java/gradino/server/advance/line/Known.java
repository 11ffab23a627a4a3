package gradino.server.advance.line;

import gradino.core.advance.Advance;
import gradino.core.advance.Proposal;
import gradino.core.advance.Proposed;
import gradino.core.advance.Turns.Rival;
import gradino.core.advance.gate.Checked;
import gradino.core.advance.look.ReasonChange;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.server.platform.StorageException;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineHistory;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Lines as they are known at a moment, judged by one policy. What is wrong with a line is thrown when it is asked for. Several
 * threads may ask.
 */
public final class Known implements LineHistory.Look {
    private static final Duration WEEK = Duration.ofDays(7);

    private final Map<String, List<Line>> ofClient;
    private final Map<String, Supplier<Folded>> lines;
    private final ClientSide.Facts facts;
    private final Policy policy;
    private final Moment moment;
    private final Map<String, LineState> asked = new ConcurrentHashMap<>();

    private final boolean led;

    private final Map<String, List<Proposed>> alone = new ConcurrentHashMap<>();
    private final Map<String, List<Rival>> asRivals = new ConcurrentHashMap<>();

    Known(
            Collection<Line> all,
            Map<String, Supplier<Folded>> lines,
            ClientSide.Facts facts,
            Policy policy,
            Moment moment,
            boolean led) {
        this(all.stream().collect(Collectors.groupingBy(Line::clientId)), lines, facts, policy, moment, led);
    }

    private Known(
            Map<String, List<Line>> ofClient,
            Map<String, Supplier<Folded>> lines,
            ClientSide.Facts facts,
            Policy policy,
            Moment moment,
            boolean led) {
        this.ofClient = ofClient;
        this.led = led;
        this.lines = lines;
        this.facts = facts;
        this.policy = policy;
        this.moment = moment;
    }

    /**
     * A line folded, without what changes with the day.
     *
     * @param stamp of its client then
     * @param recorded when each fact was recorded, rising
     * @param knownLastWeek how many of them the older state knows
     * @param checks of the newer state's doses
     */
    record Folded(
            long stamp,
            NoiseRules noise,
            LineState now,
            LineState lastWeek,
            List<Instant> recorded,
            int knownLastWeek,
            Checks checks) {

        static Folded of(Inputs inputs, long stamp, Policy policy) {
            var weekAgo = inputs.at().minus(WEEK);
            var recorded =
                    inputs.events().stream().map(Event::recordedAt).sorted().toList();
            var states = LineState.fold(inputs.start(), inputs.events(), policy.noise(), inputs.at(), weekAgo);
            return new Folded(
                    stamp,
                    policy.noise(),
                    states.now(),
                    states.then(),
                    recorded,
                    upTo(recorded, weekAgo),
                    new Checks());
        }

        int sessions() {
            return now.sessionCount();
        }

        /** What lay ahead of the clock is looked at again: it may have come about. */
        boolean holds(long newestStamp, NoiseRules wanted, Moment moment) {
            return now.later() == 0
                    && stamp == newestStamp
                    && noise.equals(wanted)
                    && knownLastWeek == upTo(recorded, moment.instant().minus(WEEK));
        }

        private static int upTo(List<Instant> sorted, Instant moment) {
            int low = 0;
            int high = sorted.size();
            while (low < high) {
                int middle = (low + high) >>> 1;
                if (sorted.get(middle).isAfter(moment)) {
                    high = middle;
                } else {
                    low = middle + 1;
                }
            }
            return low;
        }
    }

    /** What was found of a line's doses; it holds for the same facts of the client only. */
    static final class Checks {
        private @Nullable ClientFacts client;
        private Sided<Checked> checked = fresh();
        private final Map<Sided<Dose>, Integer> seconds = new HashMap<>();

        private static Sided<Checked> fresh() {
            return Sided.of(side -> new Checked());
        }

        synchronized Sided<Checked> of(ClientFacts facts) {
            if (!facts.equals(client)) {
                client = facts;
                checked = fresh();
                seconds.clear();
            }
            return checked;
        }

        /** How long a plan of this line takes. */
        synchronized int seconds(Plan plan) {
            return seconds.computeIfAbsent(plan.doses(), doses -> plan.seconds());
        }
    }

    private Folded folded(Line line) {
        return Objects.requireNonNull(lines.get(line.id()), "a line nobody gathered")
                .get();
    }

    public LineState state(Line line) {
        return asked.computeIfAbsent(line.id(), id -> ofToday(line, folded(line).now()));
    }

    /** Minutes change by a write alone, so the folded ones hold. */
    private LineState ofToday(Line line, LineState folded) {
        return folded.with(facts.of(line, folded.client().minutes()));
    }

    @Override
    public Known unled() {
        return new Known(ofClient, lines, facts, policy, moment, false);
    }

    public Moment moment() {
        return moment;
    }

    public Policy policy() {
        return policy;
    }

    public Proposal proposal(Line line, Side side) {
        var state = state(line);
        var checked = folded(line).checks().of(state.client());
        var proposal = Advance.propose(state, side, policy, moment, checked.on(side));
        return proposal.verdict() == Verdict.STEP_UP
                ? Advance.inTurn(line.id(), state, proposal, rivals(line), moment)
                : proposal;
    }

    /** What each trained side's proposal comes to. */
    public List<Proposed> proposed(Line line) {
        var own = alone(line);
        if (own.stream().noneMatch(p -> p.verdict() == Verdict.STEP_UP)) {
            return own;
        }
        var state = state(line);
        var rivals = rivals(line);
        return own.stream()
                .map(p -> Advance.inTurn(line.id(), state, p, rivals, moment))
                .toList();
    }

    /** The same, as if the line were the only one of its joint. */
    private List<Proposed> alone(Line line) {
        return alone.computeIfAbsent(line.id(), id -> {
            var state = state(line);
            var checked = folded(line).checks().of(state.client());
            return state.plan().trained().stream()
                    .map(side -> Advance.step(state, side, policy, moment, checked.on(side)))
                    .toList();
        });
    }

    /** The client's other lines of the same joint; one that cannot be judged stands in nobody's way. */
    List<Rival> rivals(Line line) {
        return ofClient.getOrDefault(line.clientId(), List.of()).stream()
                .filter(other -> isBeside(line, other) && lines.containsKey(other.id()))
                .flatMap(this::asRival)
                .toList();
    }

    private Stream<Rival> asRival(Line other) {
        try {
            return asRivals
                    .computeIfAbsent(other.id(), id -> {
                        var state = state(other);
                        return alone(other).stream()
                                .map(p -> Rival.of(id, state, p))
                                .toList();
                    })
                    .stream();
        } catch (StorageException theDatabaseItself) {
            throw theDatabaseItself;
        } catch (RuntimeException cannotBeJudged) {
            return Stream.empty();
        }
    }

    /** Whether two lines train the same joint. */
    static boolean isBeside(Line one, Line other) {
        return !one.id().equals(other.id())
                && Catalogue.motion(one.motion())
                        .map(Motion::joint)
                        .equals(Catalogue.motion(other.motion()).map(Motion::joint));
    }

    /** How long the line takes with what was proposed accepted. */
    public int secondsAfter(Line line, List<Proposed> proposals) {
        return folded(line).checks().seconds(Advance.planAfter(state(line), proposals));
    }

    /** How the reasons differ from those of a week ago, by what was known then. */
    public ReasonChange sinceLastWeek(Line line, Proposal proposal) {
        var then = moment.at(moment.instant().minus(WEEK));
        var lastWeek = ofToday(line, folded(line).lastWeek());
        return ReasonChange.between(Advance.propose(lastWeek, proposal.side(), policy, then), proposal);
    }

    @Override
    public Plan current(Line line) {
        var state = state(line);
        var plan = state.plan().withDoses(Sided.of(side -> Advance.effectiveDose(state, side, policy, moment)));
        if (!led) {
            for (var proposed : proposed(line)) {
                plan = plan.withDose(proposed.side(), Advance.unledDose(state, proposed, plan.dose(proposed.side())));
            }
        }
        return plan;
    }

    @Override
    public Optional<String> lowered(Line line) {
        var state = state(line);
        return led
                ? Optional.empty()
                : proposed(line).stream()
                        .filter(p -> p.verdict() == Verdict.STEP_DOWN && Advance.waits(state, p))
                        .findFirst()
                        .map(p -> Because.of(
                                        Reason.LESS_UNTIL_DECIDED,
                                        Term.of(p.why().text()))
                                .text());
    }

    @Override
    public LineFacts facts(Line line) {
        return Advance.facts(state(line), policy, moment);
    }

    /** One stopped side holds the whole line back: sides are never silently unequal. */
    @Override
    public List<Finding> forbids(Line line) {
        return proposed(line).stream()
                .filter(p -> p.verdict() == Verdict.STOP_AND_REFER)
                .map(p -> Finding.blocking(
                        p.side().word(), "stop-sign", null, "", p.why().text()))
                .distinct()
                .toList();
    }
}
