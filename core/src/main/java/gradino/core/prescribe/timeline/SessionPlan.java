package gradino.core.prescribe.timeline;

import gradino.core.prescribe.block.Block;
import java.util.List;

/** A session: the rotations that warm up the joints to come, then the stations. */
public record SessionPlan(List<Block> warmUp, List<Station> stations) {
    public SessionPlan {
        warmUp = List.copyOf(warmUp);
        stations = List.copyOf(stations);
    }

    public static SessionPlan of(Protocol line) {
        return new SessionPlan(List.of(), List.of(Station.of(line)));
    }
}
