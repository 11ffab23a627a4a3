package gradino.core.schedule.week;

import gradino.core.quantity.OutOfBoundsException;
import java.util.HashMap;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * Days of one week, the first being 0. Ordered by {@link #bits()}: of as many days, the earlier ones come first.
 *
 * @param bits 0 to 127; the first day is the lowest
 */
public record DaySet(int bits) implements Comparable<DaySet> {
    public static final int DAYS = 7;
    private static final int EVERY = (1 << DAYS) - 1;

    public static final DaySet NONE = new DaySet(0);
    public static final DaySet ALL = new DaySet(EVERY);

    public DaySet {
        OutOfBoundsException.require("days", bits, 0, EVERY, "");
    }

    public static DaySet of(int... days) {
        var set = NONE;
        for (int day : days) {
            set = set.with(day);
        }
        return set;
    }

    /** By other keys; where two become one it has the days of both. */
    public static Map<String, DaySet> named(Map<String, DaySet> days, UnaryOperator<String> now) {
        var named = new HashMap<String, DaySet>();
        days.forEach((key, set) -> named.merge(now.apply(key), set, DaySet::or));
        return named;
    }

    /** All sets of days within this one, the lowest first. */
    public IntStream within() {
        return IntStream.rangeClosed(0, EVERY).filter(b -> (b & ~bits) == 0);
    }

    public IntStream days() {
        return IntStream.range(0, DAYS).filter(this::has);
    }

    public boolean has(int day) {
        return (bits >> day & 1) == 1;
    }

    public boolean isWithin(DaySet other) {
        return (bits & ~other.bits) == 0;
    }

    public DaySet with(int day) {
        return new DaySet(bits | 1 << OutOfBoundsException.require("day", day, 0, DAYS - 1, ""));
    }

    public DaySet without(DaySet other) {
        return new DaySet(bits & ~other.bits);
    }

    public DaySet and(DaySet other) {
        return new DaySet(bits & other.bits);
    }

    public DaySet or(DaySet other) {
        return new DaySet(bits | other.bits);
    }

    public int size() {
        return Integer.bitCount(bits);
    }

    public boolean isEmpty() {
        return bits == 0;
    }

    /** On how many days one of the two has something and the other has not. */
    public int differences(DaySet other) {
        return Integer.bitCount(bits ^ other.bits);
    }

    /**
     * Sum of the squared gaps in days from each to the next, the last one's reaching to the first of a week alike; 0 for none. The
     * smaller, the more evenly as many days lie.
     */
    public int squaredGaps() {
        int[] all = days().toArray();
        int sum = 0;
        for (int i = 0; i < all.length; i++) {
            int next = i + 1 < all.length ? all[i + 1] : all[0] + DAYS;
            sum += (next - all[i]) * (next - all[i]);
        }
        return sum;
    }

    @Override
    public int compareTo(DaySet other) {
        return Integer.compare(bits, other.bits);
    }
}
