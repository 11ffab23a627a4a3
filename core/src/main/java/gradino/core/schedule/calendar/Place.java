package gradino.core.schedule.calendar;

/** Where a day's session is done; what equipment is there follows. */
public enum Place {
    HOME,
    STUDIO,
    TRAVEL
}
