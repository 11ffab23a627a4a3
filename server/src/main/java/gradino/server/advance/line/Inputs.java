package gradino.server.advance.line;

import gradino.core.advance.Advance;
import gradino.core.advance.Proposal;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.body.Side;
import gradino.core.measure.reading.PropGrid;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Everything a proposal rests on, resolved; stored with the decision so that it can be replayed after corrections.
 *
 * @param own the studio's method that the line follows; null where it is one that ships
 */
public record Inputs(
        Plan plan,
        PropGrid grid,
        ClientFacts client,
        List<Event> events,
        Instant at,
        String zone,
        @Nullable Method own) {

    public LineState start() {
        return LineState.open(plan, grid, client, own);
    }

    public LineState state(Policy policy) {
        return LineState.fold(start(), events, policy.noise(), at);
    }

    public Proposal replay(Side side, Policy policy) {
        return Advance.propose(state(policy), side, policy, moment());
    }

    public Moment moment() {
        return new Moment(at, ZoneId.of(zone));
    }
}
