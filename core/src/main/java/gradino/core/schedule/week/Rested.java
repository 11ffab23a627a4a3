package gradino.core.schedule.week;

import gradino.core.body.Side;
import java.time.Instant;

/** From when a joint may be worked hard again, after what was done last and how sore it was. */
public record Rested(String joint, Side side, Instant from) {}
