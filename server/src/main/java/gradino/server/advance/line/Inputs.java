package gradino.server.advance.line;

import gradino.core.advance.Advance;
import gradino.core.advance.Proposal;
import gradino.core.advance.Turns.Rival;
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
 * @param rivals other lines of its joint
 * @param own the studio's method that the line follows; null where it is one that ships
 */
public record Inputs(
        String line,
        Plan plan,
        PropGrid grid,
        ClientFacts client,
        List<Event> events,
        Instant at,
        String zone,
        @Nullable Method own,
        List<Rival> rivals) {

    Inputs beside(List<Rival> others) {
        return new Inputs(line, plan, grid, client, events, at, zone, own, others);
    }

    public LineState start() {
        return LineState.open(plan, grid, client, own);
    }

    public LineState state(Policy policy) {
        return LineState.fold(start(), events, policy.noise(), at);
    }

    public Proposal replay(Side side, Policy policy) {
        var state = state(policy);
        return inTurn(state, Advance.propose(state, side, policy, moment()));
    }

    /** What is left of a step up while another line of the joint has its turn. */
    public Proposal inTurn(LineState state, Proposal proposal) {
        return Advance.inTurn(line, state, proposal, rivals, moment());
    }

    public Moment moment() {
        return new Moment(at, ZoneId.of(zone));
    }
}
