package gradino.core.schedule.week;

import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.week.Broken.Rule;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;

/**
 * What holds in a week, written once: for the search, for its proof in the tests, and for whoever moves a session by hand. Spacing runs
 * from the end of a line, were it done first on its day, to the start of the next day's session; it does not depend on how many minutes
 * a day has, so that more of them never make a week worse. House rules; the classes' spacing and caps are common practice, no source.
 */
public final class WeekRules {
    private final WeekTask task;

    public WeekRules(WeekTask task) {
        this.task = task;
    }

    /** Days on which a line may be planned, past ones as they were. */
    public DaySet open(WeekLine line) {
        var open = DaySet.NONE;
        for (int d = 0; d < DaySet.DAYS; d++) {
            boolean past = task.frozen().has(d);
            if (past ? task.done(line).has(d) : line.allowed().has(d) && isRested(line, d)) {
                open = open.with(d);
            }
        }
        return open;
    }

    private boolean isRested(WeekLine line, int day) {
        var start = task.days().get(day).start();
        return task.rested().stream().filter(r -> r.holds(line)).noneMatch(r -> start.isBefore(r.from()));
    }

    /** Whether one on a day is far enough before the other on a later day. What is past is over: how it rested is known. */
    public boolean isSpaced(WeekLine one, int day, WeekLine other, int later) {
        if (task.frozen().has(day)
                || (!one.id().equals(other.id()) && (one.isLight() || other.isLight() || !one.meets(other)))) {
            return true;
        }
        return hoursBetween(one, day, later).compareTo(one.spacing()) >= 0;
    }

    /** The same of two days in either order; on one day lines go together. */
    public boolean isApart(WeekLine one, int day, WeekLine other, int otherDay) {
        return day == otherDay
                || (day < otherDay ? isSpaced(one, day, other, otherDay) : isSpaced(other, otherDay, one, day));
    }

    private Duration hoursBetween(WeekLine one, int day, int later) {
        var end = task.days().get(day).start().plusSeconds(one.seconds());
        return Duration.between(end, task.days().get(later).start());
    }

    /** Days to come that a unit may have: open to all its lines, and no more of them than any of its lines still wants. */
    public List<DaySet> choices(Together unit) {
        var lines = unit.lines().stream().map(task::line).toList();
        var open =
                lines.stream().map(this::open).reduce(DaySet.ALL, DaySet::and).without(task.frozen());
        int most = lines.stream()
                .mapToInt(l -> Math.max(0, l.most() - task.done(l).size()))
                .max()
                .orElse(0);
        return open.within()
                .mapToObj(DaySet::new)
                .filter(days -> days.size() <= most)
                .toList();
    }

    /** Whether a line may have these days, by itself. */
    public boolean allows(WeekLine line, DaySet days) {
        return days.isWithin(open(line))
                && days.and(task.frozen()).equals(task.done(line))
                && days.without(task.frozen()).size()
                        <= Math.max(0, line.cap() - task.done(line).size())
                && isSpaced(line, days);
    }

    private boolean isSpaced(WeekLine line, DaySet days) {
        int[] all = days.days().toArray();
        for (int i = 1; i < all.length; i++) {
            if (!isSpaced(line, all[i - 1], line, all[i])) {
                return false;
            }
        }
        return true;
    }

    /** Days that the lines of a joint may have together, by how hard they are: the most that any of them may have. */
    public record JointCap(List<WeekLine> lines, int days) {}

    /** For each joint and side, and each class that its lines have: that class and the harder ones share a cap. */
    public List<JointCap> jointCaps() {
        var caps = new ArrayList<JointCap>();
        for (var line : task.lines()) {
            for (var least : EffortClass.values()) {
                var group = task.lines().stream()
                        .filter(l -> !l.isLight() && l.effort().compareTo(least) >= 0 && l.meets(line))
                        .toList();
                var cap = new JointCap(
                        group, group.stream().mapToInt(WeekLine::cap).max().orElse(0));
                boolean mine = least == line.effort() && !line.isLight();
                if (mine && group.size() > 1 && !caps.contains(cap)) {
                    caps.add(cap);
                }
            }
        }
        return caps;
    }

    /** Seconds that the lines of a day take, what they share once. */
    public int secondsOf(Map<String, DaySet> week, int day) {
        return seconds(on(week, day));
    }

    /** What these lines take, any of them together. */
    public DayLoad load(List<WeekLine> lines) {
        return new DayLoad(lines, task.shared());
    }

    private int seconds(List<WeekLine> lines) {
        var load = load(lines);
        return load.seconds(load.all());
    }

    private int setUps(List<WeekLine> lines) {
        var load = load(lines);
        return load.setUps(load.all());
    }

    private List<WeekLine> on(Map<String, DaySet> week, int day) {
        return task.lines().stream().filter(l -> days(week, l).has(day)).toList();
    }

    /** Everything that a week breaks; empty where it may be so. */
    public List<Broken> broken(Map<String, DaySet> week) {
        var broken = new ArrayList<Broken>();
        for (var line : task.lines()) {
            var days = days(week, line);
            byItself(line, days, broken);
            for (var other : task.lines()) {
                spacing(line, days, other, days(week, other), broken);
            }
        }
        for (int d = 0; d < DaySet.DAYS; d++) {
            int seconds = secondsOf(week, d);
            if (!task.frozen().has(d) && seconds > task.days().get(d).seconds()) {
                broken.add(new Broken(
                        Rule.MINUTES, "", "", d, seconds, task.days().get(d).seconds()));
            }
        }
        caps(week, broken);
        together(week, broken);
        return broken;
    }

    private void byItself(WeekLine line, DaySet days, List<Broken> broken) {
        days.without(task.frozen())
                .without(open(line))
                .days()
                .forEach(d -> broken.add(new Broken(Rule.ALLOWED, line.id(), "", d, 1, 0)));
        if (!days.and(task.frozen()).equals(task.done(line))) {
            broken.add(new Broken(
                    Rule.PAST,
                    line.id(),
                    "",
                    -1,
                    days.and(task.frozen()).size(),
                    task.done(line).size()));
        }
        if (days.size() > line.cap() && !days.without(task.frozen()).isEmpty()) {
            broken.add(new Broken(Rule.CAP, line.id(), "", -1, days.size(), line.cap()));
        }
    }

    private void spacing(WeekLine one, DaySet days, WeekLine other, DaySet others, List<Broken> broken) {
        days.days()
                .forEach(d -> others.days().filter(later -> later > d).forEach(later -> {
                    if (!isSpaced(one, d, other, later)) {
                        broken.add(new Broken(
                                Rule.SPACING,
                                other.id(),
                                one.id(),
                                later,
                                hoursBetween(one, d, later).toHours(),
                                one.spacing().toHours()));
                    }
                }));
    }

    private void caps(Map<String, DaySet> week, List<Broken> broken) {
        for (var cap : jointCaps()) {
            var days = cap.lines().stream().map(l -> days(week, l)).reduce(DaySet.NONE, DaySet::or);
            if (days.size() > cap.days() && !days.without(task.frozen()).isEmpty()) {
                broken.add(new Broken(
                        Rule.CAP, cap.lines().get(0).id(), cap.lines().get(1).id(), -1, days.size(), cap.days()));
            }
        }
    }

    /** Each line has the days of its sessions: whether any days of the sessions could give that. */
    private void together(Map<String, DaySet> week, List<Broken> broken) {
        var most = task.units().stream()
                .map(u -> u.lines().stream()
                        .map(l -> week.getOrDefault(l, DaySet.NONE))
                        .reduce(DaySet.ALL, DaySet::and))
                .toList();
        task.daysOfLines(most).forEach((line, days) -> {
            var has = week.getOrDefault(line, DaySet.NONE);
            if (!has.without(task.frozen()).equals(days.without(task.frozen()))) {
                broken.add(new Broken(Rule.TOGETHER, line, "", -1, has.size(), days.size()));
            }
        });
    }

    public Score score(Map<String, DaySet> week) {
        var of = new EnumMap<Level, Integer>(Level.class);
        of.put(Level.MISSING, sum(line -> missing(line, days(week, line))));
        of.put(Level.SPREAD, sum(line -> days(week, line).squaredGaps()));
        of.put(Level.CHANGES, sum(line -> days(week, line).differences(task.before(line))));
        of.put(Level.JOINTS, jointsWithout(week));
        of.put(Level.VISITS, (int) visits().filter(d -> on(week, d).isEmpty()).count());
        of.put(
                Level.SET_UPS,
                IntStream.range(0, DaySet.DAYS).map(d -> setUps(on(week, d))).sum());
        return new Score(of);
    }

    /** Days to come on which the client is at the studio. */
    public IntStream visits() {
        return IntStream.range(0, DaySet.DAYS)
                .filter(d -> !task.frozen().has(d) && task.days().get(d).visit());
    }

    private int sum(ToIntFunction<WeekLine> of) {
        return task.lines().stream().mapToInt(of).sum();
    }

    private int jointsWithout(Map<String, DaySet> week) {
        var trained = task.lines().stream()
                .filter(l -> !days(week, l).isEmpty())
                .map(WeekLine::joint)
                .toList();
        return (int) task.lines().stream()
                .map(WeekLine::joint)
                .distinct()
                .filter(j -> !trained.contains(j))
                .count();
    }

    private static DaySet days(Map<String, DaySet> week, WeekLine line) {
        return week.getOrDefault(line.id(), DaySet.NONE);
    }

    /** What a line's missing days count. */
    public static int missing(WeekLine line, DaySet days) {
        return line.priority().weight() * Math.max(0, line.wanted() - days.size());
    }
}
