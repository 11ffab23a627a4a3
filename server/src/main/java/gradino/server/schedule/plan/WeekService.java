package gradino.server.schedule.plan;

import gradino.core.because.Finding;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.schedule.Moves;
import gradino.core.schedule.WayOut;
import gradino.core.schedule.WeekFacts;
import gradino.core.schedule.WeekWords;
import gradino.core.schedule.WeekWords.Reason;
import gradino.core.schedule.calendar.EverySecondWeek;
import gradino.core.schedule.week.Broken;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekTask;
import gradino.server.account.people.SignedIn;
import gradino.server.intake.ClientService;
import gradino.server.perform.floor.Floor;
import gradino.server.perform.floor.RunService;
import gradino.server.platform.Heavy;
import gradino.server.platform.Problem;
import gradino.server.prescribe.program.Program;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.plan.WeekPlan.KeptLine;
import gradino.server.schedule.plan.WeekPlan.Own;
import gradino.server.schedule.plan.WeekPlan.Replanned;
import gradino.server.schedule.plan.WeekPlans.Asked;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;

/** A client's week: looked at, moved by hand, given a way out, started. Planning holds no transaction, so nothing here is one as a whole. */
@Service
public class WeekService {
    private static final int LONGEST_REASON = 300;

    private final WeekPlans plans;
    private final PlanRepository rows;
    private final InputReader reader;
    private final Program program;
    private final ClientService clients;
    private final RunService runs;
    private final CalendarService calendars;
    private final Heavy heavy;
    private final SignedIn signedIn;

    WeekService(
            WeekPlans plans,
            PlanRepository rows,
            InputReader reader,
            Program program,
            ClientService clients,
            RunService runs,
            CalendarService calendars,
            Heavy heavy,
            SignedIn signedIn) {
        this.plans = plans;
        this.rows = rows;
        this.reader = reader;
        this.program = program;
        this.clients = clients;
        this.runs = runs;
        this.calendars = calendars;
        this.heavy = heavy;
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
    private Inputs planned(String clientId, LocalDate monday) {
        if (monday.getDayOfWeek() != DayOfWeek.MONDAY) {
            throw Problem.invalid("monday", "monday", "A week begins on a Monday.");
        }
        var in = plans.fresh(clientId);
        if (!in.stored().containsKey(monday)) {
            throw Problem.notFound("planned week");
        }
        return in;
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
        var plan = heavy.run(signedIn.required().id(), "week", work -> asked.next());
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
        var in = planned(clientId, monday);
        var asked = plans.asked(in, monday);
        var words = asked.words();
        return heavy.run(signedIn.required().id(), "ways out", work -> {
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
        var in = planned(clientId, monday);
        var asked = plans.asked(in, monday);
        var ways = heavy.run(signedIn.required().id(), "ways out", work -> ways(in, asked));
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
                return week(clientId, monday);
            }
        }
        return keep(in, monday, new Own(more, setLess, fewer, own.kept()));
    }

    /** Plans with other wishes of the coach. */
    private WeekView keep(Inputs in, LocalDate monday, Own own) {
        var before = in.stored().get(monday);
        if (before == null) {
            throw Problem.nothingHere();
        }
        var asked = plans.asked(with(in, monday, own(before, own)), monday);
        return keep(in, monday, asked.planned(WeekFacts.of(asked.whole())));
    }

    private static WeekPlan own(WeekPlan plan, Own own) {
        return new WeekPlan(plan.days(), plan.was(), plan.seconds(), plan.proved(), plan.facts(), own, plan.news());
    }

    private static Inputs with(Inputs in, LocalDate monday, WeekPlan plan) {
        var weeks = new HashMap<>(in.stored());
        weeks.put(monday, plan);
        return in.with(weeks);
    }

    private WeekView keep(Inputs in, LocalDate monday, WeekPlan plan) {
        plans.keep(in.client().id(), monday, signedIn.required().id(), plan);
        plans.forget(in.client().id());
        return week(in.client().id(), monday);
    }

    /**
     * A day to move to.
     *
     * @param broken what it would break, in sentences
     * @param never whether nobody may do it, whatever the reason
     */
    record Target(int day, List<String> broken, boolean never) {}

    List<Target> targets(String clientId, LocalDate monday, String unitId, int from) {
        var asked = plans.asked(planned(clientId, monday), monday);
        var unit = unit(asked.whole(), unitId);
        var moves = moves(asked);
        return IntStream.range(0, DaySet.DAYS)
                .mapToObj(day -> target(asked, unit, moves, from, day))
                .toList();
    }

    /** Where something can never be, that alone is said. */
    private static Target target(Asked asked, Together unit, Moves moves, int from, int day) {
        if (day == from) {
            return new Target(day, List.of(), false);
        } else if (moves.has(unit, day)) {
            return new Target(day, List.of("It is there already."), true);
        }
        var broken = moves.broken(unit, from, day);
        boolean never = broken.stream().anyMatch(Moves::isHard);
        var said = broken.stream()
                .filter(b -> !never || Moves.isHard(b))
                .map(asked.words()::of)
                .distinct()
                .toList();
        return new Target(day, said, never);
    }

    private static Moves moves(Asked asked) {
        return new Moves(
                asked.whole(), asked.stored().orElseThrow(Problem::nothingHere).days());
    }

    private static Together unit(WeekTask task, String id) {
        return task.units().stream()
                .filter(u -> u.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.invalid("unit", "unknown", "This is not in the week any more."));
    }

    /**
     * A move by hand.
     *
     * @param unit a session, a line of none or the re-test
     * @param from day of the week; −1 to add it
     * @param to day of the week; −1 to leave it out
     * @param reason why a rule is broken; empty where none is
     */
    record Move(String unit, int from, int to, String reason) {}

    WeekView move(String clientId, LocalDate monday, Move move) {
        var in = planned(clientId, monday);
        var asked = plans.asked(in, monday);
        var before = asked.stored().orElseThrow(Problem::nothingHere);
        var unit = unit(asked.whole(), move.unit());
        var moves = moves(asked);
        check(move, unit, moves, asked.whole());
        var broken = moves.broken(unit, move.from(), move.to());
        refuse(broken, move.reason(), asked);
        var days = moves.moved(unit, move.from(), move.to());
        var kept = new HashMap<>(before.own().kept());
        for (var line : unit.lines()) {
            var known = kept.get(line);
            if (!broken.isEmpty() || known != null) {
                var reason = broken.isEmpty() && known != null
                        ? known.reason()
                        : move.reason().strip();
                kept.put(line, new KeptLine(days.getOrDefault(line, DaySet.NONE), reason));
            }
        }
        var fewer = new HashMap<>(before.own().fewer());
        if (move.to() == Moves.NOWHERE) {
            unit.lines().forEach(l -> fewer.merge(l, 1, Integer::sum));
        } else if (move.from() == Moves.NOWHERE) {
            unit.lines().forEach(l -> fewer.merge(l, -1, Integer::sum));
        }
        var own = new Own(before.own().moreSeconds(), before.own().setLess(), fewer, kept);
        var whole = plans.asked(with(in, monday, own(before, own)), monday).whole();
        return keep(
                in,
                monday,
                new WeekPlan(
                        days,
                        before.was(),
                        Asked.seconds(whole, days),
                        before.proved(),
                        WeekFacts.of(whole),
                        own,
                        byHand(asked, before, days)));
    }

    private static List<Replanned> byHand(Asked asked, WeekPlan before, Map<String, DaySet> days) {
        var moved = asked.words().changes(before.days(), days, asked.whole().frozen());
        return before.newsWith(new Replanned(asked.at(), List.of("By hand."), moved));
    }

    private static void check(Move move, Together unit, Moves moves, WeekTask task) {
        boolean inWeek = move.from() >= Moves.NOWHERE
                && move.from() < DaySet.DAYS
                && move.to() >= Moves.NOWHERE
                && move.to() < DaySet.DAYS
                && move.from() != move.to();
        if (!inWeek) {
            throw Problem.invalid("to", "no-such-day", "The week has no such day.");
        }
        boolean past = (move.from() >= 0 && task.frozen().has(move.from()))
                || (move.to() >= 0 && task.frozen().has(move.to()));
        if (past) {
            throw Problem.invalid("to", "past", "What is past stays as it was.");
        }
        if ((move.from() >= 0 && !moves.has(unit, move.from())) || (move.to() >= 0 && moves.has(unit, move.to()))) {
            throw Problem.invalid("from", "moved-already", "The week is other by now: look at it again.");
        }
    }

    private static void refuse(List<Broken> broken, String reason, Asked asked) {
        var findings = new ArrayList<Finding>();
        for (var b : broken) {
            if (Moves.isHard(b)) {
                findings.add(
                        Finding.blocking("to", "never", null, "", asked.words().of(b)));
            } else if (reason.isBlank() || reason.length() > LONGEST_REASON) {
                findings.add(Finding.blocking(
                        "reason", "required", null, "", asked.words().of(b) + " Why all the same?"));
            }
        }
        Problem.throwIfBlocking(findings);
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
