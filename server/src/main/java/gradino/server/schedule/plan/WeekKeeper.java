package gradino.server.schedule.plan;

import gradino.core.schedule.WeekFacts;
import gradino.server.account.people.SignedIn;
import gradino.server.platform.Problem;
import gradino.server.prescribe.program.Program;
import gradino.server.schedule.plan.WeekPlan.Own;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import org.springframework.stereotype.Component;

/** A client’s week as it stands, changed by hand and taken back. Planning holds no transaction, so nothing here is one as a whole. */
@Component
class WeekKeeper {
    private final WeekPlans plans;
    private final PlanRepository rows;
    private final Program program;
    private final SignedIn signedIn;

    WeekKeeper(WeekPlans plans, PlanRepository rows, Program program, SignedIn signedIn) {
        this.plans = plans;
        this.rows = rows;
        this.program = program;
        this.signedIn = signedIn;
    }

    WeekView week(String clientId, LocalDate monday) {
        return view(planned(clientId, monday), monday);
    }

    private WeekView view(Inputs in, LocalDate monday) {
        var now = program.of(in.client());
        var asked = plans.asked(in, monday);
        boolean undo = rows.history(in.client().id(), monday).stream().limit(1).anyMatch(s -> s.accountId() != null);
        return WeekView.of(in, now, asked, monday, undo);
    }

    /** With a plan for that week, or refused. */
    Inputs planned(String clientId, LocalDate monday) {
        if (monday.getDayOfWeek() != DayOfWeek.MONDAY) {
            throw Problem.invalid("monday", "monday", "A week begins on a Monday.");
        }
        var in = plans.fresh(clientId);
        if (!in.stored().containsKey(monday)) {
            throw Problem.notFound("planned week");
        }
        return in;
    }

    /** Plans with other wishes of the coach. */
    WeekView keep(Inputs in, LocalDate monday, Own own) {
        var before = in.stored().get(monday);
        if (before == null) {
            throw Problem.nothingHere();
        }
        var asked = plans.asked(with(in, monday, own(before, own)), monday);
        return keep(in, monday, asked.planned(WeekFacts.of(asked.whole())));
    }

    static WeekPlan own(WeekPlan plan, Own own) {
        return new WeekPlan(plan.days(), plan.was(), plan.seconds(), plan.proved(), plan.facts(), own, plan.news());
    }

    static Inputs with(Inputs in, LocalDate monday, WeekPlan plan) {
        var weeks = new HashMap<>(in.stored());
        weeks.put(monday, plan);
        return in.with(weeks);
    }

    WeekView keep(Inputs in, LocalDate monday, WeekPlan plan) {
        plans.keep(in.client().id(), monday, signedIn.required().id(), plan);
        plans.forget(in.client().id());
        return week(in.client().id(), monday);
    }

    /** The week as it was before the last change by hand. */
    WeekView undo(String clientId, LocalDate monday) {
        var in = planned(clientId, monday);
        var history = rows.history(clientId, monday);
        if (history.size() < 2 || history.get(0).accountId() == null) {
            throw Problem.conflict("nothing-to-undo", "Nothing was changed by hand since it was planned.");
        }
        plans.keep(clientId, monday, null, history.get(1).plan());
        plans.forget(clientId);
        return week(in.client().id(), monday);
    }
}
