package gradino.server.schedule.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gradino.core.schedule.BlockOfWeeks;
import gradino.core.schedule.Planner;
import gradino.core.schedule.ProgramWeek;
import gradino.core.schedule.WeekFacts;
import gradino.core.schedule.WeekWords;
import gradino.core.schedule.solve.ConstraintWeekSolver;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Rested;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import gradino.server.advance.line.PolicyService;
import gradino.server.intake.ClientRepository;
import gradino.server.platform.InMemory;
import gradino.server.platform.Problem;
import gradino.server.schedule.plan.PlanRepository.Stored;
import gradino.server.schedule.plan.WeekPlan.Own;
import gradino.server.schedule.plan.WeekPlan.Replanned;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.temporal.TemporalAdjusters;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps every client's weeks planned: this one, the next, and those of the block. Whenever anything that they hang on is other than when
 * they were planned, the rest is planned again; what is read is read at one moment, what is solved holds no connection.
 */
@Component
public class WeekPlans implements InMemory {
    private static final int MOST_WEEKS = 14;
    private static final int MOST_KEPT = 1_000;

    private final InputReader reader;
    private final PlanRepository plans;
    private final ClientRepository clients;
    private final PolicyService policies;
    private final TransactionTemplate reading;
    private final TransactionTemplate writing;
    private final Planner planner = new Planner(new ConstraintWeekSolver());
    private final Cache<String, Read> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();
    private final Map<String, Object> turns = new ConcurrentHashMap<>();

    WeekPlans(
            InputReader reader,
            PlanRepository plans,
            ClientRepository clients,
            PolicyService policies,
            PlatformTransactionManager transactions) {
        this.reader = reader;
        this.plans = plans;
        this.clients = clients;
        this.policies = policies;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
        this.writing = new TransactionTemplate(transactions);
    }

    static LocalDate monday(LocalDate date) {
        return date.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    Planner planner() {
        return planner;
    }

    /** A client's weeks as they are planned now, planned again where they had to be. Outside of any transaction. */
    Inputs fresh(String clientId) {
        synchronized (turns.computeIfAbsent(clientId, id -> new Object())) {
            var known = kept.getIfPresent(clientId);
            if (known != null && known.key().equals(key(clientId))) {
                return known.inputs();
            }
            var read = read(clientId);
            var inputs = planned(read.inputs());
            kept.put(clientId, new Read(inputs, read.key()));
            return inputs;
        }
    }

    /** As the weeks would have been planned on an earlier day: for what is told of a time when nobody looked. */
    public void planAsOf(String clientId, LocalDate day) {
        forget(clientId);
        var now = read(clientId).inputs();
        var done = new HashMap<>(now.done());
        done.keySet().removeIf(d -> !d.isBefore(day));
        planned(new Inputs(
                now.client(),
                now.program(),
                now.calendar(),
                List.of(),
                done,
                now.retestSeconds(),
                now.stored(),
                now.goneOn(),
                day,
                now.zone()));
    }

    /** What is planned, and the key of what it was planned from. */
    private record Read(Inputs inputs, String key) {}

    private Read read(String clientId) {
        return required(reading.execute(status -> {
            var key = key(clientId);
            var client = clients.find(clientId).orElseThrow(Problem::nothingHere);
            return new Read(reader.of(client), key);
        }));
    }

    private static <T> T required(@Nullable T value) {
        return Optional.ofNullable(value).orElseThrow();
    }

    /** Clients whose weeks were planned from something else than what is known now. */
    List<String> stale(List<String> clientIds) {
        var keys = keys(clientIds);
        return clientIds.stream()
                .filter(id -> Optional.ofNullable(kept.getIfPresent(id))
                        .filter(known -> known.key().equals(keys.get(id)))
                        .isEmpty())
                .toList();
    }

    private String key(String clientId) {
        return keys(List.of(clientId)).getOrDefault(clientId, "");
    }

    private Map<String, String> keys(List<String> clientIds) {
        var rest = " " + LocalDate.ofInstant(reader.now(), reader.zone()) + " "
                + policies.current().version();
        var keys = new HashMap<String, String>();
        clients.stamps(clientIds).forEach((id, stamp) -> keys.put(id, stamp + rest));
        return keys;
    }

    private Inputs planned(Inputs in) {
        var weeks = new LinkedHashMap<>(in.stored());
        weeks.replaceAll((monday, plan) -> plan.named(in.goneOn()));
        var rested = in.rested();
        var last = Map.<String, DaySet>of();
        for (var monday : mondays(in)) {
            var asked = asked(in, monday, Optional.ofNullable(weeks.get(monday)), rested, last);
            var plan = asked.next();
            if (!plan.equals(in.stored().get(monday))) {
                keep(in.client().id(), monday, null, plan);
                weeks.put(monday, plan);
            }
            rested = BlockOfWeeks.restedAfter(asked.whole(), plan.days());
            last = plan.days();
        }
        return in.with(weeks);
    }

    void keep(String clientId, LocalDate monday, @Nullable String accountId, WeekPlan plan) {
        writing.executeWithoutResult(status -> plans.add(new Stored(clientId, monday, accountId, reader.now(), plan)));
    }

    /** This week and the next, and on to the end of the block. */
    static List<LocalDate> mondays(Inputs in) {
        if (in.program().lines().isEmpty()) {
            return List.of();
        }
        var first = monday(in.today());
        var last = in.block()
                .map(b -> b.retestMonday())
                .filter(end -> end.isAfter(first.plusWeeks(1)))
                .orElse(first.plusWeeks(1));
        return first.datesUntil(last.plusDays(1), Period.ofWeeks(1))
                .limit(MOST_WEEKS)
                .toList();
    }

    /** The rest that a week begins with: from what was done, and from what is planned in the weeks before it. */
    Asked asked(Inputs in, LocalDate monday) {
        var rested = in.rested();
        var last = Map.<String, DaySet>of();
        for (var before : mondays(in)) {
            var plan = in.stored().get(before);
            if (!before.isBefore(monday) || plan == null) {
                break;
            }
            rested = BlockOfWeeks.restedAfter(
                    asked(in, before, Optional.of(plan), rested, last).whole(), plan.days());
            last = plan.days();
        }
        return asked(in, monday, Optional.ofNullable(in.stored().get(monday)), rested, last);
    }

    /** A whole week as it would be, after nothing. */
    Asked sketch(Inputs in, LocalDate monday) {
        return asked(in, monday, Optional.empty(), List.of(), Map.of());
    }

    private Asked asked(
            Inputs in, LocalDate monday, Optional<WeekPlan> stored, List<Rested> rested, Map<String, DaySet> lastWeek) {
        var own = stored.map(WeekPlan::own).orElse(Own.NONE);
        var open = in.open(monday);
        var frozen = in.frozen(monday);
        var before = stored.map(WeekPlan::days).orElse(lastWeek);
        var done = in.done(monday, frozen);
        var known = new ProgramWeek.Known(rested, before, frozen, done, Map.of());
        var whole = asked(in, monday, own, known);
        var task = own.kept().isEmpty()
                ? whole
                : asked(in, monday, own, new ProgramWeek.Known(rested, before, frozen, done, own.keptDays()));
        return new Asked(planner, task, whole, stored, own, new WeekWords(in.program(), open), reader.now());
    }

    private static WeekTask asked(Inputs in, LocalDate monday, Own own, ProgramWeek.Known known) {
        var task = in.program().withASetLess(own.setLess()).task(in.open(monday), known);
        for (var line : in.leftOut(monday)) {
            task = task.withLine(line, l -> l.withWanted(0));
        }
        var asked = own(task, own);
        return in.isRetest(monday) ? BlockOfWeeks.ofRetest(asked, in.retestSeconds()) : asked;
    }

    private static WeekTask own(WeekTask task, Own own) {
        var changed = task;
        for (var more : own.moreSeconds().entrySet()) {
            int day = more.getKey();
            changed = changed.withSeconds(day, changed.days().get(day).seconds() + more.getValue());
        }
        for (var fewer : own.fewer().entrySet()) {
            changed = changed.withLine(
                    fewer.getKey(),
                    l -> l.withWanted(Math.min(DaySet.DAYS, Math.max(0, l.wanted() - fewer.getValue()))));
        }
        return changed;
    }

    /**
     * A week as it is to be planned.
     *
     * @param task without the lines that were set by hand
     * @param whole with them
     */
    record Asked(
            Planner planner,
            WeekTask task,
            WeekTask whole,
            Optional<WeekPlan> stored,
            Own own,
            WeekWords words,
            Instant at) {

        /** The plan that follows: the one there is, where it was planned from the same. */
        WeekPlan next() {
            var facts = WeekFacts.of(whole);
            return stored.filter(s -> s.facts().equals(facts)).orElseGet(() -> planned(facts));
        }

        /** Planned anew or on, with what the coach wants of this week. */
        WeekPlan planned(WeekFacts facts) {
            var week = planner.around(whole, task, own.keptDays(), stored.isPresent() ? planner::goOn : planner::plan);
            var days = week.days();
            return new WeekPlan(days, was(facts), seconds(whole, days), week.proved(), facts, own, news(facts, days));
        }

        static List<Integer> seconds(WeekTask task, Map<String, DaySet> days) {
            var rules = new WeekRules(task);
            return IntStream.range(0, DaySet.DAYS)
                    .mapToObj(d -> rules.secondsOf(days, d))
                    .toList();
        }

        private Map<String, DaySet> was(WeekFacts facts) {
            if (stored.isEmpty()) {
                return Map.of();
            }
            var before = stored.get();
            var passed = facts.frozen().without(before.facts().frozen());
            var was = new HashMap<>(before.was());
            before.days().forEach((line, days) -> {
                if (!days.and(passed).isEmpty()) {
                    was.merge(line, days.and(passed), DaySet::or);
                }
            });
            return was;
        }

        private List<Replanned> news(WeekFacts facts, Map<String, DaySet> days) {
            if (stored.isEmpty()) {
                return List.of();
            }
            var before = stored.get();
            var moved = words.changes(before.days(), days, facts.frozen());
            var why = facts.since(before.facts(), before.days(), words);
            return moved.isEmpty() && why.isEmpty() ? before.news() : before.newsWith(new Replanned(at, why, moved));
        }
    }

    /** Looked at again when asked for next. */
    void forget(String clientId) {
        kept.invalidate(clientId);
    }

    @Override
    public void forget() {
        kept.invalidateAll();
    }
}
