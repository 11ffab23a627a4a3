package gradino.server.prescribe;

import gradino.core.measure.Instrument;
import java.time.Instant;

/** One prescribed item for one client; its plan and doses come from {@link LineHistory}. */
public record Line(
        String id,
        String clientId,
        String motion,
        String position,
        Instrument instrument,
        Instant happenedAt,
        Instant recordedAt) {}
