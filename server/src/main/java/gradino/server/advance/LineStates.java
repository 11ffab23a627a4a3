package gradino.server.advance;

import gradino.core.advance.Advance;
import gradino.core.advance.Event;
import gradino.core.advance.LineState;
import gradino.core.advance.Moment;
import gradino.core.advance.Policy;
import gradino.core.advance.Proposal;
import gradino.core.advance.ReasonChange;
import gradino.core.measure.NoiseRules;
import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.platform.ClientChanges;
import gradino.server.platform.Problem;
import gradino.server.prescribe.Line;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Folded lines, kept until something of their client's changes: a coach looks at all of them again and again. */
@Component
class LineStates {
    static final Duration WEEK = Duration.ofDays(7);
    private static final int MOST_KEPT = 2_000;

    private final ClientRepository clients;
    private final LineHistories histories;
    private final ClientChanges changes;
    private final Map<String, Kept> kept = new ConcurrentHashMap<>();

    LineStates(ClientRepository clients, LineHistories histories, ClientChanges changes) {
        this.clients = clients;
        this.histories = histories;
        this.changes = changes;
    }

    /** A line as it is known now, and as it was known a week ago. */
    record Both(LineState now, LineState lastWeek) {
        /** How the reasons differ from those of a week ago, by what was known then. */
        ReasonChange sinceLastWeek(Proposal proposal, Policy policy, Moment moment) {
            var then = moment.at(moment.instant().minus(WEEK));
            return ReasonChange.between(Advance.propose(lastWeek, proposal.side(), policy, then), proposal);
        }
    }

    /**
     * @param recorded when each fact was recorded, rising
     * @param knownLastWeek how many of them the older state knows
     */
    private record Kept(long stamp, NoiseRules noise, Both states, List<Instant> recorded, int knownLastWeek) {}

    Both of(Line line, Moment moment, Policy policy) {
        var client = clients.find(line.clientId()).orElseThrow(() -> Problem.notFound("client"));
        return of(client, line, moment, policy);
    }

    Both of(Client client, Line line, Moment moment, Policy policy) {
        long stamp = changes.soFar(client.id());
        var weekAgo = moment.instant().minus(WEEK);
        var known = kept.get(line.id());
        // What lay ahead of the clock is looked at again: it may have come about.
        boolean holds = known != null
                && known.states().now().later() == 0
                && known.stamp() == stamp
                && known.noise().equals(policy.noise())
                && known.knownLastWeek() == upTo(known.recorded(), weekAgo);
        if (known == null || !holds) {
            known = folded(line, moment, policy, stamp, weekAgo);
            if (kept.size() >= MOST_KEPT) {
                kept.clear();
            }
            kept.put(line.id(), known);
        }
        // Minutes change by a write alone.
        var facts = histories.facts(client, line, known.states().now().client().minutes(), moment);
        return new Both(
                known.states().now().with(facts), known.states().lastWeek().with(facts));
    }

    private Kept folded(Line line, Moment moment, Policy policy, long stamp, Instant weekAgo) {
        var inputs = histories.inputs(line, moment);
        var recorded = inputs.events().stream().map(Event::recordedAt).sorted().toList();
        var both = new Both(inputs.state(policy), inputs.lastWeek().state(policy));
        return new Kept(stamp, policy.noise(), both, recorded, upTo(recorded, weekAgo));
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
