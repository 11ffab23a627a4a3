package gradino.server.schedule.plan;

import gradino.core.schedule.BlockOfWeeks;
import gradino.core.schedule.PlanAndDone;
import gradino.core.schedule.PlanAndDone.Entry;
import gradino.core.schedule.PlanAndDone.Outcome;
import gradino.core.schedule.WeekWords;
import gradino.core.schedule.calendar.Appointment.Occurrence;
import gradino.core.schedule.calendar.ClientCalendar;
import gradino.core.schedule.calendar.OpenDay;
import gradino.core.schedule.calendar.Place;
import gradino.core.schedule.week.DaySet;
import gradino.server.intake.Client;
import gradino.server.prescribe.program.GoneOn;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.calendar.CalendarService.Calendar;
import gradino.server.schedule.plan.DoneRepository.Done;
import gradino.server.schedule.plan.PlanRepository.Stored;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is planned for the days of many clients, as it stands; nothing is planned here. */
@Component
public class DayPlans {
    /** As far back as anybody looks for who has gone quiet. */
    private static final int WEEKS_BACK = 5;

    private final PlanRepository plans;
    private final DoneRepository done;
    private final LineRepository lines;
    private final CalendarService calendars;
    private final Clock clock;

    DayPlans(PlanRepository plans, DoneRepository done, LineRepository lines, CalendarService calendars, Clock clock) {
        this.plans = plans;
        this.lines = lines;
        this.done = done;
        this.calendars = calendars;
        this.clock = clock;
    }

    /**
     * What a client does on a day.
     *
     * @param start when its session begins
     * @param minutes that it takes
     * @param lines their ids
     * @param battery that is measured again first; null for none
     * @param over whether it is past, or done
     */
    public record DayPlan(
            LocalDate date,
            Instant start,
            Place place,
            boolean led,
            int minutes,
            List<String> lines,
            @Nullable String battery,
            boolean over) {}

    /**
     * A client's plan from today on.
     *
     * @param hasPlan whether this week is planned at all
     * @param today null where nothing is
     * @param next the first day after today on which something is; null for none in this week and the next
     * @param appointment of today; null for none
     * @param beyondPlan days since the first planned day that was missed after the last one that was done; 0 in time
     */
    public record ClientPlan(
            boolean hasPlan,
            @Nullable DayPlan today,
            @Nullable LocalDate next,
            @Nullable Instant appointment,
            int beyondPlan) {
        public static final ClientPlan NONE = new ClientPlan(false, null, null, null, 0);
    }

    public Map<String, ClientPlan> of(List<Client> clients) {
        var today = LocalDate.now(clock);
        var ids = clients.stream().map(Client::id).toList();
        var since = WeekPlans.monday(today).minusWeeks(WEEKS_BACK);
        var stored =
                plans.newest(ids, since, today.plusWeeks(1)).stream().collect(Collectors.groupingBy(Stored::clientId));
        var last = done.last(ids);
        var all = calendars.of(clients);
        var found = new HashMap<String, ClientPlan>();
        for (int i = 0; i < ids.size(); i++) {
            var weeks = stored.getOrDefault(ids.get(i), List.of()).stream()
                    .collect(Collectors.toMap(Stored::monday, Stored::plan));
            found.put(ids.get(i), of(all.get(i), weeks, Optional.ofNullable(last.get(ids.get(i))), today));
        }
        return found;
    }

    private Map<LocalDate, Set<String>> byDay(List<Done> all, GoneOn goneOn) {
        var days = new HashMap<LocalDate, Set<String>>();
        all.forEach(d -> days.computeIfAbsent(LocalDate.ofInstant(d.endedAt(), clock.getZone()), k -> new HashSet<>())
                .add(goneOn.now(d.line())));
        return days;
    }

    private ClientPlan of(Calendar all, Map<LocalDate, WeekPlan> weeks, Optional<Instant> last, LocalDate today) {
        var calendar = all.days();
        var battery = battery(all);
        var day = day(calendar, battery, weeks, today);
        var next = today.plusDays(1)
                .datesUntil(WeekPlans.monday(today).plusWeeks(2))
                .filter(d -> day(calendar, battery, weeks, d).isPresent())
                .findFirst();
        var appointment = calendar.appointment(today)
                .map(Occurrence::start)
                .map(at -> at.atZone(clock.getZone()).toInstant());
        return new ClientPlan(
                weeks.containsKey(WeekPlans.monday(today)),
                day.orElse(null),
                next.orElse(null),
                appointment.orElse(null),
                planAndDone(weeks, Map.of(), today)
                        .daysBeyondPlan(last.map(at -> LocalDate.ofInstant(at, clock.getZone())), calendar::isPaused));
    }

    private static Optional<String> battery(Calendar of) {
        return Optional.ofNullable(of.block()).flatMap(b -> Optional.ofNullable(b.batteryId()));
    }

    private Optional<DayPlan> day(
            ClientCalendar calendar, Optional<String> battery, Map<LocalDate, WeekPlan> weeks, LocalDate date) {
        var monday = WeekPlans.monday(date);
        var plan = weeks.get(monday);
        int day = Inputs.day(monday, date);
        if (plan == null) {
            return Optional.empty();
        }
        var lines = new ArrayList<>(plan.planned(day));
        boolean retest = lines.remove(BlockOfWeeks.RETEST);
        if (lines.isEmpty() && !retest) {
            return Optional.empty();
        }
        OpenDay open = calendar.day(date, clock.getZone());
        return Optional.of(new DayPlan(
                date,
                open.day().start(),
                open.place(),
                open.led(),
                WeekWords.minutes(plan.seconds().get(day)),
                lines,
                retest ? battery.orElse(null) : null,
                plan.facts().frozen().has(day)));
    }

    /**
     * Minutes that are planned on a day, by client.
     *
     * @param retests clients whose battery is due
     */
    record OfDay(Map<String, Integer> byClient, Set<String> retests) {
        int minutes(String clientId) {
            return byClient.getOrDefault(clientId, 0);
        }
    }

    /** Every day from one on and before another. */
    List<OfDay> between(List<Client> clients, LocalDate from, LocalDate before) {
        var ids = clients.stream().map(Client::id).toList();
        var stored = plans.newest(ids, WeekPlans.monday(from), before);
        return from.datesUntil(before)
                .map(date -> {
                    var monday = WeekPlans.monday(date);
                    int day = Inputs.day(monday, date);
                    var ofDay = stored.stream()
                            .filter(s -> s.monday().equals(monday)
                                    && !s.plan().planned(day).isEmpty())
                            .toList();
                    return new OfDay(
                            ofDay.stream()
                                    .collect(Collectors.toMap(
                                            Stored::clientId,
                                            s -> Math.max(
                                                    1,
                                                    WeekWords.minutes(
                                                            s.plan().seconds().get(day))))),
                            ofDay.stream()
                                    .filter(s -> s.plan().planned(day).contains(BlockOfWeeks.RETEST))
                                    .map(Stored::clientId)
                                    .collect(Collectors.toSet()));
                })
                .toList();
    }

    /** Days of a client from one on, in their order. */
    public List<DayPlan> days(Client client, LocalDate from, LocalDate before) {
        var all = calendars.of(client);
        var calendar = all.days();
        var weeks = plans.newest(List.of(client.id()), WeekPlans.monday(from), before).stream()
                .collect(Collectors.toMap(Stored::monday, Stored::plan));
        return from.datesUntil(before)
                .flatMap(d -> day(calendar, battery(all), weeks, d).stream())
                .toList();
    }

    /** What became of a line on a day. */
    public record Attended(String clientId, Entry entry) {
        /** In place of what is only written, never read. */
        public static final Attended NONE = new Attended("", new Entry(LocalDate.EPOCH, "", Outcome.PLANNED));
    }

    /**
     * What a client was to do and did.
     *
     * @param paused days without training
     */
    public record History(PlanAndDone days, Predicate<LocalDate> paused) {}

    /**
     * Everything that was planned, and everything that was done since the week of a day: what was moved is told within its week. Lines
     * that went on in others are told as those.
     */
    public History history(Client client, LocalDate since) {
        var goneOn = lines.goneOn(client.id());
        var weeks = planned(client);
        weeks.replaceAll((monday, plan) -> plan.named(goneOn));
        var from = WeekPlans.monday(since).atStartOfDay(clock.getZone()).toInstant();
        var days = planAndDone(weeks, byDay(done.lines(List.of(client.id()), from), goneOn), LocalDate.now(clock));
        return new History(days, calendars.of(client).days()::isPaused);
    }

    private Map<LocalDate, WeekPlan> planned(Client client) {
        return plans
                .newest(
                        List.of(client.id()),
                        LocalDate.EPOCH,
                        LocalDate.now(clock).plusYears(1))
                .stream()
                .collect(Collectors.toMap(Stored::monday, Stored::plan));
    }

    /** Everything that was planned or done since the client's first plan. */
    public void outcomes(Client client, Consumer<Attended> to) {
        planned(client).keySet().stream().min(Comparator.naturalOrder()).ifPresent(first -> {
            var history = history(client, first);
            history.days().entries(history.paused()).forEach(e -> to.accept(new Attended(client.id(), e)));
        });
    }

    static PlanAndDone planAndDone(Map<LocalDate, WeekPlan> weeks, Map<LocalDate, Set<String>> done, LocalDate today) {
        var planned = new HashMap<LocalDate, Set<String>>();
        weeks.forEach((monday, plan) -> {
            for (int d = 0; d < DaySet.DAYS; d++) {
                var lines = Set.copyOf(plan.planned(d));
                if (!lines.isEmpty()) {
                    planned.put(monday.plusDays(d), lines);
                }
            }
        });
        return new PlanAndDone(planned, done, today);
    }
}
