package gradino.server.advance.line;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;

/** How often lines are planned. Known to the step after this one, which implements it; asked for here. */
public interface PlannedDays {
    /** Days of a day's week that each line has in its client's plan; lines of clients without a plan are not in it. */
    Map<String, Integer> ofWeek(Collection<String> clientIds, LocalDate day);
}
