package gradino.server.schedule.plan;

import gradino.core.because.Finding;
import gradino.core.schedule.Moves;
import gradino.core.schedule.WeekFacts;
import gradino.core.schedule.week.Broken;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekTask;
import gradino.server.platform.Problem;
import gradino.server.schedule.plan.WeekPlan.KeptLine;
import gradino.server.schedule.plan.WeekPlan.Own;
import gradino.server.schedule.plan.WeekPlan.Replanned;
import gradino.server.schedule.plan.WeekPlans.Asked;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;

/** A session of a week moved by hand: where it may go, what that breaks, and why a coach does it all the same. */
@Service
class WeekMoves {
    private static final int LONGEST_REASON = 300;

    private final WeekPlans plans;
    private final WeekKeeper weeks;

    WeekMoves(WeekPlans plans, WeekKeeper weeks) {
        this.plans = plans;
        this.weeks = weeks;
    }

    /**
     * A day to move to.
     *
     * @param broken what it would break, in sentences
     * @param never whether nobody may do it, whatever the reason
     */
    record Target(int day, List<String> broken, boolean never) {}

    List<Target> targets(String clientId, LocalDate monday, String unitId, int from) {
        var asked = plans.asked(weeks.planned(clientId, monday), monday);
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
        var in = weeks.planned(clientId, monday);
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
        var whole = plans.asked(WeekKeeper.with(in, monday, WeekKeeper.own(before, own)), monday)
                .whole();
        return weeks.keep(
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
}
