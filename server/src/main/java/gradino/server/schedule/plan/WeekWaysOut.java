package gradino.server.schedule.plan;

import gradino.core.prescribe.program.SessionDraft;
import gradino.core.schedule.WayOut;
import gradino.core.schedule.WeekWords;
import gradino.core.schedule.WeekWords.Reason;
import gradino.core.schedule.calendar.EverySecondWeek;
import gradino.core.schedule.week.DaySet;
import gradino.server.account.people.SignedIn;
import gradino.server.platform.Heavy;
import gradino.server.platform.Problem;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.plan.WeekPlan.Own;
import gradino.server.schedule.plan.WeekPlans.Asked;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;

/** What to do where not all of it fits, found by the same search and tried with it; and what a session that is composed would do to the week. */
@Service
class WeekWaysOut {
    private final WeekPlans plans;
    private final WeekKeeper weeks;
    private final InputReader reader;
    private final CalendarService calendars;
    private final Heavy heavy;
    private final SignedIn signedIn;

    WeekWaysOut(
            WeekPlans plans,
            WeekKeeper weeks,
            InputReader reader,
            CalendarService calendars,
            Heavy heavy,
            SignedIn signedIn) {
        this.plans = plans;
        this.weeks = weeks;
        this.reader = reader;
        this.calendars = calendars;
        this.heavy = heavy;
        this.signedIn = signedIn;
    }

    /** A day on which something would be done. */
    record SketchedDay(LocalDate date, int minutes) {}

    /**
     * A whole week as it would be if a session were saved.
     *
     * @param leftOut what of it would find no place, in sentences
     */
    record WeekSketch(List<SketchedDay> days, List<String> leftOut) {}

    /** The next whole week, with a session that is composed just now. */
    WeekSketch sketch(String clientId, SessionDraft session) {
        var in = reader.with(plans.fresh(clientId), session);
        var monday = WeekPlans.monday(in.today()).plusWeeks(1);
        var asked = plans.sketch(in, monday);
        var plan = heavy.runAnew(signedIn.required().id(), "week", work -> asked.next());
        var days = IntStream.range(0, DaySet.DAYS)
                .filter(d -> plan.seconds().get(d) > 0)
                .mapToObj(d -> new SketchedDay(
                        monday.plusDays(d), WeekWords.minutes(plan.seconds().get(d))))
                .toList();
        var leftOut = asked.words().leftOut(asked.whole(), plan.days()).stream()
                .map(l -> "%s: %d of %d days. %s"
                        .formatted(
                                asked.words().name(l.line()),
                                l.has(),
                                l.wanted(),
                                l.reasons().stream()
                                        .findFirst()
                                        .map(Reason::words)
                                        .orElse(""))
                        .strip())
                .toList();
        return new WeekSketch(days, leftOut);
    }

    /** A change that makes everything fit, as a button says it. */
    record Way(WayOut way, String words) {}

    /** @param conflict names of lines whose wishes cannot go together; empty where all fits */
    record WeekWays(List<String> conflict, List<Way> ways) {}

    WeekWays waysOut(String clientId, LocalDate monday) {
        var in = weeks.planned(clientId, monday);
        var asked = plans.asked(in, monday);
        var words = asked.words();
        return heavy.runAnew(signedIn.required().id(), "ways out", work -> {
            var conflict = plans.planner().conflict(asked.task());
            work.step(1, 2);
            return new WeekWays(
                    conflict.stream().map(words::name).toList(),
                    ways(in, asked).stream()
                            .map(w -> new Way(w, words.of(w, asked.task())))
                            .toList());
        });
    }

    private List<WayOut> ways(Inputs in, Asked asked) {
        var less = in.program().setsLess();
        less.keySet().removeAll(asked.own().setLess());
        return plans.planner().waysOut(asked.task(), less);
    }

    /** Takes a way out: for this week alone, but for what is done every second week from then on. */
    WeekView take(String clientId, LocalDate monday, WayOut way) {
        var in = weeks.planned(clientId, monday);
        var asked = plans.asked(in, monday);
        var ways = heavy.runAnew(signedIn.required().id(), "ways out", work -> ways(in, asked));
        if (!ways.contains(way)) {
            throw Problem.invalid("way", "no-way", "This does not help any more: look at the week again.");
        }
        var own = asked.own();
        var more = new HashMap<>(own.moreSeconds());
        var setLess = new HashSet<>(own.setLess());
        var fewer = new HashMap<>(own.fewer());
        switch (way.kind()) {
            case MORE_TIME -> more.merge(way.day(), way.amount(), Integer::sum);
            case SET_LESS -> setLess.add(way.line());
            case FEWER_DAYS -> fewer.merge(way.line(), way.amount(), Integer::sum);
            case EVERY_SECOND_WEEK -> {
                calendars.keepEverySecondWeek(clientId, new EverySecondWeek(way.line(), monday));
                return weeks.week(clientId, monday);
            }
        }
        return weeks.keep(in, monday, new Own(more, setLess, fewer, own.kept()));
    }
}
