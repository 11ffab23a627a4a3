package gradino.core.schedule;

import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Priority;
import gradino.core.schedule.week.Rested;
import gradino.core.schedule.week.Shared;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekDay;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekTask;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;

/** Invented weeks of five kinds, the same for the same seed. */
public final class SampleWeeks {
    private static final Instant MONDAY = Instant.parse("2026-11-23T18:00:00Z");
    private static final List<String> JOINTS = List.of("hip", "knee", "ankle", "shoulder", "spine");
    private static final int MINUTE = 60;

    /** What makes a week hard to plan. */
    public enum Kind {
        ROOMY,
        SHORT_DAYS,
        ONE_JOINT,
        SESSIONS,
        GOING_ON
    }

    private SampleWeeks() {}

    public static WeekTask of(Kind kind, int lines, long seed) {
        var random = new Random(seed);
        var all = new ArrayList<WeekLine>();
        for (int n = 0; n < lines; n++) {
            all.add(line(kind, n, random));
        }
        int most = kind == Kind.SHORT_DAYS ? 15 : 40;
        var days = IntStream.range(0, DaySet.DAYS)
                .mapToObj(d -> day(d, random.nextInt(5) == 0 ? 0 : MINUTE * (8 + random.nextInt(most - 7))))
                .toList();
        var task = WeekTask.of(days, all, shared(random));
        return switch (kind) {
            case SESSIONS -> with(task, sessions(all, random), DaySet.NONE, Map.of());
            case GOING_ON -> goingOn(task, random);
            default -> task;
        };
    }

    static WeekDay day(int d, int seconds) {
        return new WeekDay(LocalDate.of(2026, 11, 23).plusDays(d), MONDAY.plus(Duration.ofDays(d)), seconds, d == 2);
    }

    private static WeekLine line(Kind kind, int n, Random random) {
        var effort = EffortClass.values()[random.nextInt(4)];
        var joint = kind == Kind.ONE_JOINT ? "hip" : JOINTS.get(random.nextInt(JOINTS.size()));
        int wanted = 1 + random.nextInt(effort == EffortClass.LIGHT ? 5 : 3);
        var allowed = random.nextInt(4) == 0 ? new DaySet(1 + random.nextInt(127)) : DaySet.ALL;
        return new WeekLine(
                "l" + n,
                joint,
                Side.values()[random.nextInt(3)],
                effort,
                Duration.ofHours(effort.spacingHours()),
                wanted,
                effort.weeklyCap(),
                Priority.values()[random.nextInt(3)],
                MINUTE * (2 + random.nextInt(8)),
                List.of("position-" + random.nextInt(3), "warm-" + joint),
                allowed);
    }

    private static List<Shared> shared(Random random) {
        var all = new ArrayList<Shared>();
        for (int n = 0; n < 3; n++) {
            all.add(new Shared("position-" + n, Shared.Kind.SET_UP, 20 + random.nextInt(60)));
        }
        JOINTS.forEach(j -> all.add(new Shared("warm-" + j, Shared.Kind.WARM_UP, random.nextInt(90))));
        return all;
    }

    /** Two kept ones; a line may stand in both. */
    private static List<Together> sessions(List<WeekLine> lines, Random random) {
        var first = lines.stream().limit(2).map(WeekLine::id).toList();
        var second = lines.stream()
                .skip(random.nextInt(2) + 1L)
                .limit(2)
                .map(WeekLine::id)
                .toList();
        return List.of(new Together("morning", first), new Together("evening", second));
    }

    private static WeekTask with(WeekTask task, List<Together> sessions, DaySet frozen, Map<String, DaySet> done) {
        return new WeekTask(
                task.days(), task.lines(), task.shared(), sessions, task.rested(), task.before(), frozen, done);
    }

    /** In the middle of a week that was planned otherwise, a day of which was missed. */
    private static WeekTask goingOn(WeekTask task, Random random) {
        Map<String, DaySet> before = new HashMap<>();
        Map<String, DaySet> done = new HashMap<>();
        var frozen = new DaySet((1 << 1 + random.nextInt(4)) - 1);
        for (var line : task.lines()) {
            before.put(line.id(), new DaySet(random.nextInt(128)));
            done.put(line.id(), before.get(line.id()).and(frozen).and(new DaySet(random.nextInt(128))));
        }
        var rested = List.of(new Rested("last", "hip", Side.LEFT, false, MONDAY.plus(Duration.ofDays(frozen.size()))));
        return new WeekTask(task.days(), task.lines(), task.shared(), List.of(), rested, before, frozen, done);
    }
}
