package gradino.server.prescribe;

import gradino.core.advance.Policy;
import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanContext;
import java.time.Instant;
import java.util.List;

/** What came of a line so far. Known to the steps after this one, which implement it; asked for here. */
public interface LineHistory {
    /** The plan with the doses to train with today. */
    Plan current(Line line);

    /** What a change of the plan is held against. */
    PlanContext context(Line line);

    /** What forbids training the line now, beside the restrictions: an uncleared stop sign. */
    List<Finding> forbids(Line line);

    /** What forbids training anything composed. */
    List<Finding> forbids(String clientId);

    /** The numbers that steps are judged by now. */
    Policy policy();

    /** Keeps that the coach set a side's dose in the plan, at a time. */
    void edited(Line line, Side side, Dose before, Dose after, Instant at);
}
