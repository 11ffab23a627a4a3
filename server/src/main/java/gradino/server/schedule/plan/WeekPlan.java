package gradino.server.schedule.plan;

import gradino.core.schedule.WeekFacts;
import gradino.core.schedule.week.DaySet;
import gradino.server.prescribe.program.GoneOn;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * A client's week as it is planned now.
 *
 * @param days by line; past ones as they were done
 * @param was by line: what had been planned on days that are past
 * @param seconds that the lines of each day take
 * @param facts what it was planned from
 * @param own what the coach wants of this week alone
 * @param news what moved and why, the newest last
 */
record WeekPlan(
        Map<String, DaySet> days,
        Map<String, DaySet> was,
        List<Integer> seconds,
        boolean proved,
        WeekFacts facts,
        Own own,
        List<Replanned> news) {
    static final int MOST_NEWS = 20;

    /**
     * Ways out that were taken, and days that were set by hand against a rule.
     *
     * @param moreSeconds by the day of the week
     * @param setLess lines that have a set less each time
     * @param fewer days, by line
     */
    record Own(
            Map<Integer, Integer> moreSeconds,
            Set<String> setLess,
            Map<String, Integer> fewer,
            Map<String, KeptLine> kept) {
        static final Own NONE = new Own(Map.of(), Set.of(), Map.of(), Map.of());

        private Own named(UnaryOperator<String> now) {
            var less = new HashMap<String, Integer>();
            fewer.forEach((line, days) -> less.merge(now.apply(line), days, Integer::sum));
            var days = new HashMap<String, KeptLine>();
            kept.forEach((line, k) -> days.put(now.apply(line), k));
            return new Own(moreSeconds, setLess.stream().map(now).collect(Collectors.toSet()), less, days);
        }

        Map<String, DaySet> keptDays() {
            var days = new HashMap<String, DaySet>();
            kept.forEach((line, k) -> days.put(line, k.days()));
            return days;
        }
    }

    /** Days of a line that a coach set against a rule, and why. */
    record KeptLine(DaySet days, String reason) {}

    /** Planned again. */
    record Replanned(Instant at, List<String> why, List<String> moved) {}

    /** Of lines that have other ids now. */
    WeekPlan named(GoneOn goneOn) {
        if (goneOn.lines().isEmpty()) {
            return this;
        }
        UnaryOperator<String> now = goneOn::now;
        return new WeekPlan(
                DaySet.named(days, now),
                DaySet.named(was, now),
                seconds,
                proved,
                facts.named(now),
                own.named(now),
                news);
    }

    /** What moved so far and this; the oldest goes when there is too much. */
    List<Replanned> newsWith(Replanned one) {
        var all = new ArrayList<>(news);
        all.add(one);
        return List.copyOf(all.subList(Math.max(0, all.size() - MOST_NEWS), all.size()));
    }

    /** Days that each line has, or had when they passed. */
    Map<String, DaySet> daysOfLines() {
        var all = new HashMap<>(was);
        days.forEach((line, set) -> all.merge(line, set.without(facts.frozen()), DaySet::or));
        return all;
    }

    /** Lines that are, or had been, planned on a day. */
    List<String> planned(int day) {
        var of = facts.frozen().has(day) ? was : days;
        return of.entrySet().stream()
                .filter(e -> e.getValue().has(day))
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }
}
