package gradino.core.report;

import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MeasuredEffort;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionLoad;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.timeline.EffortClass;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What was done.
 *
 * @param sessions that ended in the period
 * @param minutes of their phases, as they were done
 * @param classes how often a side of a line was trained, by effort class
 * @param trend of the weekly load over whole weeks; null for fewer than four
 * @param unrated sessions without a rating, which have no load
 */
public record Work(
        AttendanceDays attendance,
        int sessions,
        double minutes,
        List<Tension> tension,
        Map<EffortClass, Integer> classes,
        List<LoadWeek> weeks,
        @Nullable Trend trend,
        int unrated,
        Trueness efforts) {
    private static final double SECONDS_A_MINUTE = 60;

    public Work {
        tension = List.copyOf(tension);
        classes = Map.copyOf(classes);
        weeks = List.copyOf(weeks);
    }

    /** Which way own strength works. */
    public enum Direction {
        PRESS,
        PULL,
        /** Lifts, lowering and what has no fixed way. */
        OTHER;

        static Direction of(BlockKind kind) {
            return switch (kind) {
                case PRESS, CONTRACT_RELAX -> PRESS;
                case PULL, HANDS_OFF, LIFT_OFF -> PULL;
                default -> OTHER;
            };
        }
    }

    /** Seconds under tension of one side of a motion; what both do at once stands for the middle. */
    public record Tension(String motion, Side side, Direction direction, double seconds) {}

    /**
     * Rating × minutes of a week (Foster 2001).
     *
     * @param monday its first day
     * @param whole whether all of its days lie in the period
     */
    public record LoadWeek(LocalDate monday, double points, int sessions, boolean whole) {}

    /**
     * How true the efforts were where a gauge saw them.
     *
     * @param blocks that it heard
     * @param within median share of the time on target, 0 to 1; null where no step below 90 % was heard
     * @param peak weakest best second of a near-maximal step, %; null where none was heard
     */
    public record Trueness(
            int blocks, @Nullable Double within, @Nullable Double peak) {}

    /** @param references seconds of reference contractions by session id, which are part of its minutes */
    static Work of(
            AttendanceDays attendance,
            List<LineSession> all,
            Map<String, Double> references,
            Period period,
            ZoneId zone) {
        var mine = all.stream()
                .filter(s -> period.contains(s.record().endedAt(), zone))
                .toList();
        var bySession =
                mine.stream().collect(Collectors.groupingBy(s -> s.record().id(), TreeMap::new, Collectors.toList()));
        double minutes = 0;
        int unrated = 0;
        var loads = new TreeMap<LocalDate, LoadWeek>();
        for (var monday = monday(period.from()); !monday.isAfter(period.to()); monday = monday.plusWeeks(1)) {
            loads.put(monday, new LoadWeek(monday, 0, 0, isWhole(monday, period)));
        }
        for (var session : bySession.values()) {
            var first = session.get(0).record();
            double took = minutes(session, references.getOrDefault(first.id(), 0.0));
            minutes += took;
            unrated += first.rating() == null ? 1 : 0;
            var week = monday(LocalDate.ofInstant(first.endedAt(), zone));
            loads.computeIfPresent(week, (monday, load) -> add(load, first, took));
        }
        var weeks = List.copyOf(loads.values());
        return new Work(
                attendance,
                bySession.size(),
                minutes,
                tension(mine),
                classes(mine),
                weeks,
                Trend.of(weeks.stream()
                                .filter(LoadWeek::whole)
                                .map(LoadWeek::points)
                                .toList())
                        .orElse(null),
                unrated,
                trueness(mine));
    }

    private static LocalDate monday(LocalDate of) {
        return of.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static boolean isWhole(LocalDate monday, Period period) {
        return period.contains(monday) && period.contains(monday.plusDays(6));
    }

    private static LoadWeek add(LoadWeek to, SessionRecord session, double minutes) {
        var rating = session.rating();
        double points = rating == null ? 0 : new SessionLoad(rating, minutes).points();
        return new LoadWeek(to.monday(), to.points() + points, to.sessions() + 1, to.whole());
    }

    private static double minutes(List<LineSession> session, double referenceSeconds) {
        double seconds = referenceSeconds
                + session.stream()
                        .flatMap(s -> s.record().blocks().stream())
                        .flatMap(b -> b.phases().stream())
                        .mapToDouble(PhaseDone::doneSeconds)
                        .sum();
        return Math.min(SessionLoad.MOST_MINUTES, seconds / SECONDS_A_MINUTE);
    }

    private record Way(String motion, Side side, Direction direction) implements Comparable<Way> {
        @Override
        public int compareTo(Way other) {
            return java.util.Comparator.comparing(Way::motion)
                    .thenComparing(Way::side)
                    .thenComparing(Way::direction)
                    .compare(this, other);
        }
    }

    private static List<Tension> tension(List<LineSession> all) {
        var seconds = new TreeMap<Way, Double>();
        for (var session : all) {
            for (var block : session.record().blocks()) {
                double worked = worked(block);
                if (worked > 0) {
                    seconds.merge(
                            new Way(session.motion(), block.side(), Direction.of(block.kind())), worked, Double::sum);
                }
            }
        }
        return seconds.entrySet().stream()
                .map(e -> new Tension(
                        e.getKey().motion(), e.getKey().side(), e.getKey().direction(), e.getValue()))
                .toList();
    }

    private static double worked(BlockRecord block) {
        return block.kind().isContraction()
                ? block.phases().stream()
                        .filter(p -> p.kind().works())
                        .mapToDouble(PhaseDone::doneSeconds)
                        .sum()
                : 0;
    }

    private static Map<EffortClass, Integer> classes(List<LineSession> all) {
        var count = new EnumMap<EffortClass, Integer>(EffortClass.class);
        for (var session : all) {
            for (var side : Side.PAIR) {
                if (session.record().blocks().stream().anyMatch(b -> b.isOf(side) && worked(b) > 0)) {
                    count.merge(session.classes().on(side), 1, Integer::sum);
                }
            }
        }
        return count;
    }

    private static Trueness trueness(List<LineSession> all) {
        var efforts = all.stream()
                .map(s -> s.record().efforts())
                .flatMap(Collection::stream)
                .toList();
        var within = new ArrayList<>(efforts.stream()
                .map(MeasuredEffort::within)
                .filter(Objects::nonNull)
                .sorted()
                .toList());
        var peak = efforts.stream()
                .map(MeasuredEffort::nearMaxPeak)
                .filter(Objects::nonNull)
                .min(Double::compare)
                .orElse(null);
        return new Trueness(efforts.size(), median(within), peak);
    }

    private static @Nullable Double median(List<Double> sorted) {
        int n = sorted.size();
        return n == 0 ? null : Double.valueOf((sorted.get((n - 1) / 2) + sorted.get(n / 2)) / 2);
    }
}
