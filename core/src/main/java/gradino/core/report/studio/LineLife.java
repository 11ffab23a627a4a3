package gradino.core.report.studio;

import gradino.core.advance.look.Flight;
import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.report.Difference;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One side of a client's line within the period, as far as a studio looks at it.
 *
 * @param sessions ids of those in which it was trained
 * @param painful of these, with pain above 0 on this side
 * @param stops each sign by a name of its own: one of both sides, or of several lines, is one
 * @param overrides decisions that went another way than proposed
 * @param instrument of the change; null with it
 * @param change of the passive range, else the active one; null without two readings
 * @param kept share of what sessions gained that stayed; null where too little is known
 */
public record LineLife(
        String client,
        String motion,
        String position,
        String method,
        Side side,
        Set<String> sessions,
        Set<String> painful,
        Set<String> stops,
        int up,
        int down,
        List<Flight.Turned> overrides,
        @Nullable Instrument instrument,
        @Nullable Difference change,
        @Nullable Double kept) {}
