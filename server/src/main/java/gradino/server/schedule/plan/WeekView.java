package gradino.server.schedule.plan;

import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.PlanAndDone.Adherence;
import gradino.core.schedule.PlanAndDone.Outcome;
import gradino.core.schedule.WeekWords;
import gradino.core.schedule.calendar.OpenDay;
import gradino.core.schedule.calendar.Place;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import gradino.server.prescribe.program.ClientProgram;
import gradino.server.prescribe.program.SessionRepository.Saving;
import gradino.server.schedule.calendar.Block;
import gradino.server.schedule.plan.WeekPlan.Replanned;
import gradino.server.schedule.plan.WeekPlans.Asked;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A client's week as it is shown.
 *
 * @param leftOut lines with fewer days than wanted, and why
 * @param fits whether every line has its days; a week that is over has what it has
 * @param undo whether the last change was made by hand and may be undone
 * @param adherence of the four weeks before today
 * @param block null for none
 */
record WeekView(
        LocalDate monday,
        LocalDate today,
        List<DayView> days,
        List<UnitView> units,
        List<LeftOutView> leftOut,
        boolean fits,
        boolean proved,
        List<Replanned> news,
        boolean undo,
        Adherence adherence,
        @Nullable Block block) {

    /**
     * A day.
     *
     * @param start when its session begins
     * @param minutes that there are
     * @param note why it is other than usual; empty where it is not
     * @param seconds that its lines take
     * @param over whether it is past, or done
     * @param units that are planned on it, in the order of the program; the re-test first
     * @param outcomes of lines that were planned or done on it
     */
    record DayView(
            LocalDate date,
            Instant start,
            Place place,
            boolean led,
            String note,
            int minutes,
            int seconds,
            boolean over,
            List<String> units,
            List<LineOutcome> outcomes) {}

    record LineOutcome(String name, Outcome outcome) {}

    /**
     * What is moved as one: a kept session, a line of none, or the re-test.
     *
     * @param kept why it was set by hand against a rule; null where it was not
     */
    record UnitView(
            String id,
            String name,
            List<UnitLine> lines,
            @Nullable String kept) {}

    /**
     * A line of it.
     *
     * @param setLess whether it has a set less this week
     * @param everySecondWeek whether it is left out every second week
     */
    record UnitLine(
            String id,
            String name,
            EffortClass effort,
            int spacingHours,
            int wanted,
            int seconds,
            boolean setLess,
            boolean everySecondWeek) {}

    /** What is missing of a line. */
    record LeftOutView(String line, String name, int wanted, int has, List<ReasonView> reasons) {}

    record ReasonView(String days, String words) {}

    static WeekView of(Inputs in, ClientProgram now, Asked asked, LocalDate monday, boolean undo) {
        var plan = asked.stored().orElseThrow();
        var task = asked.whole();
        var words = asked.words();
        var open = in.open(monday);
        var rules = new WeekRules(task);
        var calendar = in.calendar().days();
        var attended = DayPlans.planAndDone(in.stored(), known(in), in.today());
        var entries = attended.entries(calendar::isPaused);
        var days = IntStream.range(0, DaySet.DAYS)
                .mapToObj(d -> {
                    var outcomes = entries.stream()
                            .filter(e -> e.date().equals(monday.plusDays(d)) && e.outcome() != Outcome.PLANNED)
                            .map(e -> new LineOutcome(words.name(e.line()), e.outcome()))
                            .toList();
                    return day(open.get(d), task, plan, d, rules, outcomes);
                })
                .toList();
        var leftOut = (task.frozen().equals(DaySet.ALL)
                        ? List.<WeekWords.LeftOut>of()
                        : words.leftOut(task, plan.days()))
                .stream()
                        .map(s -> new LeftOutView(
                                s.line(),
                                words.name(s.line()),
                                s.wanted(),
                                s.has(),
                                s.reasons().stream()
                                        .map(r -> new ReasonView(words.days(r.days()), r.words()))
                                        .toList()))
                        .toList();
        return new WeekView(
                monday,
                in.today(),
                days,
                task.units().stream()
                        .map(u -> unit(u, in, now, task, plan, words))
                        .toList(),
                leftOut,
                leftOut.isEmpty(),
                plan.proved(),
                plan.news(),
                undo,
                attended.adherence(calendar::isPaused),
                in.calendar().block());
    }

    private static DayView day(
            OpenDay open, WeekTask task, WeekPlan plan, int day, WeekRules rules, List<LineOutcome> outcomes) {
        boolean over = task.frozen().has(day);
        var on = task.units().stream()
                .filter(u -> u.lines().stream()
                        .allMatch(l -> plan.days().getOrDefault(l, DaySet.NONE).has(day)))
                .map(Together::id)
                .toList();
        return new DayView(
                open.day().date(),
                open.day().start(),
                open.place(),
                open.led(),
                open.note(),
                task.days().get(day).seconds() / 60,
                rules.secondsOf(plan.days(), day),
                over,
                over ? List.of() : on,
                outcomes);
    }

    private static UnitView unit(
            Together unit, Inputs in, ClientProgram now, WeekTask task, WeekPlan plan, WeekWords words) {
        var name = now.session(unit.id()).map(Saving::name).orElseGet(() -> words.name(unit.id()));
        var lines = new ArrayList<UnitLine>();
        for (var id : unit.lines()) {
            in.program()
                    .line(id)
                    .ifPresent(l -> lines.add(new UnitLine(
                            id,
                            words.name(id),
                            l.effort(),
                            l.spacingHours(),
                            task.line(id).wanted(),
                            Optional.ofNullable(plan.facts().lines().get(id))
                                    .map(w -> w.seconds())
                                    .orElse(0),
                            plan.own().setLess().contains(id),
                            in.isEverySecondWeek(id))));
        }
        var kept = unit.lines().stream()
                .flatMap(l -> Optional.ofNullable(plan.own().kept().get(l)).stream())
                .map(WeekPlan.KeptLine::reason)
                .findFirst()
                .orElse(null);
        return new UnitView(unit.id(), name, lines, kept);
    }

    /** Done lines that the program still has, and the re-test. */
    private static Map<LocalDate, Set<String>> known(Inputs in) {
        var done = new HashMap<LocalDate, Set<String>>();
        in.done().forEach((day, lines) -> {
            var left = lines.stream().filter(in::knows).collect(Collectors.toSet());
            if (!left.isEmpty()) {
                done.put(day, left);
            }
        });
        return done;
    }
}
