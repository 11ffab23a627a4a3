package gradino.server.schedule.plan;

import gradino.core.schedule.week.DaySet;
import gradino.server.schedule.plan.PlanRepository.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Days as they are planned, and those from which everything was taken off again: whoever was told of them has to hear it. */
@Component
public class EverPlanned {
    private final PlanRepository plans;

    EverPlanned(PlanRepository plans) {
        this.plans = plans;
    }

    /**
     * @param lines ids; none where nothing is planned any more
     * @param times that its week was planned
     * @param at when it was planned last
     */
    public record Day(LocalDate date, List<String> lines, int seconds, int times, Instant at) {}

    /** Of the weeks around today, in their order. */
    public List<Day> of(String clientId, LocalDate today, int weeksBack, int weeksAhead) {
        var monday = WeekPlans.monday(today);
        return plans.since(clientId, monday.minusWeeks(weeksBack), monday.plusWeeks(weeksAhead)).stream()
                .collect(Collectors.groupingBy(Stored::monday, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .flatMap(EverPlanned::days)
                .toList();
    }

    /** @param plannings of one week, in the order in which they were made */
    private static Stream<Day> days(List<Stored> plannings) {
        var newest = plannings.get(plannings.size() - 1);
        return IntStream.range(0, DaySet.DAYS)
                .filter(d ->
                        plannings.stream().anyMatch(p -> !p.plan().planned(d).isEmpty()))
                .mapToObj(d -> new Day(
                        newest.monday().plusDays(d),
                        newest.plan().planned(d),
                        newest.plan().seconds().get(d),
                        plannings.size(),
                        newest.recordedAt()));
    }
}
