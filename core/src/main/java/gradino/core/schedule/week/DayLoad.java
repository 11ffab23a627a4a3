package gradino.core.schedule.week;

import java.util.List;

/** What lines take of a day, any of them together: a bit each, in their order. What they share counts once. */
public final class DayLoad {
    private final int[] seconds;
    private final List<Shared> shared;
    private final long[] who;

    DayLoad(List<WeekLine> lines, List<Shared> shared) {
        this.seconds = lines.stream().mapToInt(WeekLine::seconds).toArray();
        this.shared = shared;
        this.who = new long[shared.size()];
        for (int s = 0; s < who.length; s++) {
            for (int l = 0; l < seconds.length; l++) {
                who[s] |= lines.get(l).shares().contains(shared.get(s).key()) ? 1L << l : 0;
            }
        }
    }

    public int seconds(long chosen) {
        int sum = 0;
        for (long left = chosen; left != 0; left &= left - 1) {
            sum += seconds[Long.numberOfTrailingZeros(left)];
        }
        for (int s = 0; s < who.length; s++) {
            sum += (who[s] & chosen) != 0 ? shared.get(s).seconds() : 0;
        }
        return sum;
    }

    /** Positions that they need. */
    public int setUps(long chosen) {
        int sum = 0;
        for (int s = 0; s < who.length; s++) {
            sum += (who[s] & chosen) != 0 && shared.get(s).kind() == Shared.Kind.SET_UP ? 1 : 0;
        }
        return sum;
    }

    /** Lines that share something, a bit each. */
    public long who(Shared of) {
        return who[shared.indexOf(of)];
    }

    long all() {
        return seconds.length == Long.SIZE ? -1 : (1L << seconds.length) - 1;
    }
}
