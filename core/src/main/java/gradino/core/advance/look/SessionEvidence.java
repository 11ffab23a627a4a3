package gradino.core.advance.look;

import gradino.core.advance.Proposal;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.SessionFacts;
import gradino.core.body.Side;
import gradino.core.perform.Observer;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A session that a proposal looked at, as a coach reads it.
 *
 * @param settled pain was back to usual the next morning; null while unknown
 * @param soreness 0 to 10; null when not said
 * @param effortOff distance of the felt effort from the asked tenth; null when nothing was rated
 * @param effortWithin share of the time that a gauge saw on target; null without one
 * @param otherAngle it was done at; null as planned
 */
public record SessionEvidence(
        String sessionId,
        Instant endedAt,
        Observer observer,
        double doneRatio,
        double lowestPhase,
        int pain,
        @Nullable Boolean settled,
        @Nullable Integer soreness,
        int faults,
        int cramps,
        @Nullable Double effortOff,
        @Nullable Double effortWithin,
        @Nullable Double otherAngle) {

    /** The sessions behind a proposal, newest first. */
    public static List<SessionEvidence> of(LineState state, Proposal proposal) {
        var found = new java.util.ArrayList<SessionEvidence>();
        for (var session : state.sessions()) {
            if (proposal.evidence().contains(session.id())) {
                found.add(0, of(session, proposal.side()));
            }
        }
        return List.copyOf(found);
    }

    private static SessionEvidence of(SessionFacts session, Side side) {
        var facts = session.on(side);
        var morning = session.morning();
        var soreness = morning == null ? null : morning.soreness();
        return new SessionEvidence(
                session.id(),
                session.endedAt(),
                session.observer(),
                facts.done().ratio(),
                facts.done().lowestPhase(),
                facts.worstPain().value(),
                morning == null ? null : morning.settled(),
                soreness == null ? null : soreness.value(),
                facts.mostFaults(),
                facts.mostCramps(),
                facts.effortOff(),
                facts.effortWithin(),
                facts.otherAngle() == null ? null : facts.otherAngle().value());
    }
}
