package gradino.server.prescribe.program;

import gradino.core.advance.state.Policy;
import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.server.intake.Client;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/** What came of lines so far. Known to the steps after this one, which implement it; asked for here. */
public interface LineHistory {
    /** Lines of some clients, looked at together. */
    Look of(Collection<Client> clients, Collection<Line> lines);

    /** The numbers that steps are judged by now. */
    Policy policy();

    /** Keeps that the coach set a side's dose, at a time. */
    void edited(Line line, Side side, Dose before, Dose after, Instant at);

    /** As they are known at that moment; asking for a line that cannot be judged throws. */
    interface Look {
        /** The line with the doses to train with today. */
        Plan current(Line line);

        /** The same where no coach leads: a step down that waits for the coach counts already. */
        Look unled();

        /** Why less is done than the dose in force; empty where nothing is lowered. */
        Optional<String> lowered(Line line);

        /** What a change of the line is held against. */
        LineFacts facts(Line line);

        /** What forbids training the line now, beside the restrictions: an uncleared stop sign. */
        List<Finding> forbids(Line line);
    }
}
