package gradino.core.schedule.week;

import java.util.List;

/** What a week is judged by once no rule is broken; each is fixed before the next is looked at, and all are the better the smaller. */
public enum Level {
    /** Days that lines miss, by their priority. */
    MISSING,
    /** Joints of the program that have no day. */
    JOINTS,
    /** Appointments on which nothing is done. */
    VISITS,
    /** How unevenly the days of each line lie. */
    SPREAD,
    /** Positions to get into, of all days. */
    SET_UPS,
    /** Days of lines that are others than before. */
    CHANGES;

    /** For a week that is planned anew. */
    public static final List<Level> PLANNED = List.of(MISSING, JOINTS, VISITS, SPREAD, SET_UPS, CHANGES);
    /** For a week that goes on: nothing is lost that need not be, and nothing more is moved than must be. */
    public static final List<Level> GOING_ON = List.of(MISSING, CHANGES, JOINTS, VISITS, SPREAD, SET_UPS);
}
