package gradino.server.advance.line;

import gradino.core.advance.state.Event.Cleared;
import gradino.server.intake.IntakeRepository.StoredClearance;
import java.time.ZoneId;
import java.util.List;

/** What a client's written clearances do to stop signs. */
public final class ClearedSigns {
    private ClearedSigns() {}

    public static List<Cleared> of(List<StoredClearance> clearances, ZoneId zone) {
        return clearances.stream()
                .filter(c -> c.clearance().clearsSigns())
                .map(c -> new Cleared(
                        c.clearance().clearsUpTo(c.happenedAt(), zone),
                        c.clearance().names(),
                        c.happenedAt(),
                        c.recordedAt()))
                .toList();
    }
}
