package gradino.core.schedule.week;

import java.util.List;

/** Lines that are done on the same days: a session that is kept. A line in several of them has the days of all; twice on a day is once. */
public record Together(String id, List<String> lines) {
    public Together {
        lines = List.copyOf(lines);
    }
}
