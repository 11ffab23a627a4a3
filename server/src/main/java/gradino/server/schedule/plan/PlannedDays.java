package gradino.server.schedule.plan;

import gradino.server.intake.ClientService;
import gradino.server.perform.floor.Floor;
import gradino.server.perform.floor.RunService;
import gradino.server.platform.Problem;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** The session of a day, as it is planned: told and started. */
@Service
public class PlannedDays {
    private final WeekPlans plans;
    private final InputReader reader;
    private final ClientService clients;
    private final RunService runs;

    PlannedDays(WeekPlans plans, InputReader reader, ClientService clients, RunService runs) {
        this.plans = plans;
        this.reader = reader;
        this.clients = clients;
        this.runs = runs;
    }

    /** Lines that are planned on a day and not done yet; empty where nothing is. */
    public List<String> planOf(String clientId, LocalDate date) {
        return openPlan(clientId, date)
                .map(plan -> plan.planned(Inputs.day(WeekPlans.monday(date), date)))
                .orElse(List.of());
    }

    /** Of a day that is not over. */
    private Optional<WeekPlan> openPlan(String clientId, LocalDate date) {
        var monday = WeekPlans.monday(date);
        return Optional.ofNullable(plans.fresh(clientId).stored().get(monday))
                .filter(plan -> !plan.facts().frozen().has(Inputs.day(monday, date)));
    }

    /** Starts the session of a day. */
    Floor start(String clientId, LocalDate date, String runId) {
        var client = clients.get(clientId);
        var plan = openPlan(clientId, date);
        var planned = plan.map(p -> p.planned(Inputs.day(WeekPlans.monday(date), date)))
                .orElse(List.of());
        if (planned.isEmpty()) {
            throw Problem.conflict("nothing-planned", "Nothing is planned on this day any more.");
        }
        var setLess = plan.map(p -> p.own().setLess()).orElse(Set.of());
        return runs.openPlanned(
                client,
                dayId(date),
                runId,
                name(date),
                now -> reader.program(now).withASetLess(setLess).session(planned));
    }

    /** A day's session, told from a session of the program. */
    static String dayId(LocalDate date) {
        return "day-" + date;
    }

    static String name(LocalDate date) {
        return date.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + "’s session";
    }
}
