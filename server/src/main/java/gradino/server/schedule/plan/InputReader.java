package gradino.server.schedule.plan;

import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Finding;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.WarmUp;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.BlockOfWeeks;
import gradino.core.schedule.ProgramWeek;
import gradino.core.schedule.ProgramWeek.Session;
import gradino.core.schedule.ProgramWeek.Trained;
import gradino.core.schedule.calendar.Place;
import gradino.core.schedule.week.Priority;
import gradino.core.schedule.week.Rested;
import gradino.server.advance.line.Known;
import gradino.server.advance.line.LineDoor;
import gradino.server.intake.Client;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Ranges.RangeRow;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.library.MethodService;
import gradino.server.prescribe.program.ClientProgram;
import gradino.server.prescribe.program.GoneOn;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.Program;
import gradino.server.prescribe.program.SessionContexts;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.plan.PlanRepository.Stored;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Reads what a client's weeks are planned from. */
@Component
class InputReader {
    /** A session that is not saved yet. */
    private static final String COMPOSED = "composed";

    private static final int WEEKS_BACK = 5;
    private static final int WEEKS_AHEAD = 60;
    /** No method asks for more. */
    private static final Duration LONGEST_REST = Duration.ofDays(7);
    /** What a measure or a movement of a battery takes (house rule). */
    private static final int SECONDS_A_MEASURE = 45;

    private final LineRepository lines;
    private final LineDoor door;
    private final Program program;
    private final SessionContexts contexts;
    private final MethodService methods;
    private final MeasureService measures;
    private final BatteryRepository batteries;
    private final CalendarService calendars;
    private final DoneRepository done;
    private final PlanRepository plans;
    private final Clock clock;

    InputReader(
            LineRepository lines,
            LineDoor door,
            Program program,
            SessionContexts contexts,
            MethodService methods,
            MeasureService measures,
            BatteryRepository batteries,
            CalendarService calendars,
            DoneRepository done,
            PlanRepository plans,
            Clock clock) {
        this.lines = lines;
        this.door = door;
        this.program = program;
        this.contexts = contexts;
        this.methods = methods;
        this.measures = measures;
        this.batteries = batteries;
        this.calendars = calendars;
        this.done = done;
        this.plans = plans;
        this.clock = clock;
    }

    Inputs of(Client client) {
        var own = lines.of(client.id());
        var ended = lines.endedSince(client.id(), clock.instant().minus(LONGEST_REST));
        var known = door.of(
                List.of(client), Stream.concat(own.stream(), ended.stream()).toList());
        var now = program.of(List.of(client), own, known).get(0);
        var today = known.moment().day(known.moment().instant());
        var calendar = calendars.of(client);
        var battery = Optional.ofNullable(calendar.block())
                .flatMap(b -> Optional.ofNullable(b.batteryId()))
                .flatMap(id -> batteries.find(client.id(), id));
        var since = today.minusWeeks(WEEKS_BACK);
        var goneOn = lines.goneOn(client.id());
        var byDay = done(client, since, goneOn);
        battery.ifPresent(b -> done.assessments(client.id(), b.id(), start(since))
                .forEach(at -> add(byDay, day(at), BlockOfWeeks.RETEST)));
        int measuresTaken = battery.map(
                        b -> b.body().items().size() + b.body().movements().size())
                .orElse(0);
        return new Inputs(
                client,
                week(now, known, calendar.usual().travelEquipment()),
                calendar,
                rested(now, known, ended),
                byDay,
                measuresTaken * SECONDS_A_MEASURE,
                stored(client, since, today),
                goneOn,
                today,
                clock.getZone());
    }

    private Map<LocalDate, WeekPlan> stored(Client client, LocalDate since, LocalDate today) {
        return plans.newest(List.of(client.id()), since, today.plusWeeks(WEEKS_AHEAD)).stream()
                .collect(Collectors.toMap(Stored::monday, Stored::plan));
    }

    private Instant start(LocalDate day) {
        return day.atStartOfDay(clock.getZone()).toInstant();
    }

    private LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, clock.getZone());
    }

    private static void add(Map<LocalDate, Set<String>> byDay, LocalDate day, String line) {
        byDay.computeIfAbsent(day, d -> new HashSet<>()).add(line);
    }

    private Map<LocalDate, Set<String>> done(Client client, LocalDate since, GoneOn goneOn) {
        var byDay = new HashMap<LocalDate, Set<String>>();
        done.lines(List.of(client.id()), start(since)).forEach(d -> add(byDay, day(d.endedAt()), goneOn.now(d.line())));
        return byDay;
    }

    /** A program as its weeks see it. Lines that cannot be judged are left out: Today says what is wrong with them. */
    ProgramWeek week(ClientProgram now, Known known, List<String> travelEquipment) {
        var priorities = priorities(
                now.client(), now.lines().stream().map(Line::motion).distinct().toList());
        var all = methods.methods();
        var context = contexts.of(now);
        var trained = new ArrayList<Trained>();
        for (var line : now.lines()) {
            now.tried(line, look -> trained(now, line, known, context, all, priorities))
                    .found()
                    .ifPresent(trained::add);
        }
        trained.sort(Comparator.comparing(Trained::priority));
        var sessions = now.sessions().stream()
                .map(s -> new Session(s.id(), Objects.requireNonNull(s.body())))
                .toList();
        var owned = now.client().details().equipment();
        var equipment = new HashMap<Place, Set<String>>();
        if (!owned.isEmpty()) {
            equipment.put(Place.HOME, Set.copyOf(owned));
        }
        equipment.put(Place.TRAVEL, Set.copyOf(travelEquipment));
        return new ProgramWeek(trained, sessions, equipment);
    }

    /** The same, of whoever asks. */
    ProgramWeek program(ClientProgram now) {
        var known = door.of(List.of(now.client()), now.lines());
        return week(now, known, calendars.of(now.client()).usual().travelEquipment());
    }

    /** As if a session were saved that is composed just now. */
    Inputs with(Inputs in, SessionDraft session) {
        var now = program.of(in.client());
        var all = methods.methods();
        var context = contexts.of(now);
        var motions = session.lines().stream().map(LineDraft::motion).distinct().toList();
        var priorities = priorities(in.client(), motions);
        var more = new ArrayList<Trained>();
        for (var draft : session.lines()) {
            method(all, draft)
                    .filter(m -> in.program().line(draft.id()).isEmpty())
                    .ifPresent(m -> more.add(trained(draft, m, List.of(), context, all, priorities, draft.loaded())));
        }
        return in.with(in.program().with(more, new Session(COMPOSED, Arrangement.of(session))));
    }

    private Trained trained(
            ClientProgram now,
            Line line,
            Known known,
            SessionContext context,
            List<Method> all,
            Map<String, Priority> priorities) {
        var draft = now.look().current(line).draft(line.id());
        var state = known.state(line);
        return trained(
                draft,
                method(all, draft).orElseGet(state::method),
                now.look().forbids(line),
                context,
                all,
                priorities,
                draft.loaded() && !hasLifted(state));
    }

    private static Trained trained(
            LineDraft draft,
            Method method,
            List<Finding> forbids,
            SessionContext context,
            List<Method> all,
            Map<String, Priority> priorities,
            boolean firstLoad) {
        var alone = new SessionDraft(List.of(), List.of(StationDraft.of(draft)));
        var held = new ArrayList<>(forbids);
        held.addAll(SessionCheck.check(alone, context, all).findings());
        return new Trained(
                draft,
                method,
                priorities.getOrDefault(draft.motion(), Priority.SECOND),
                held.stream().filter(Finding::blocks).map(Finding::message).findFirst(),
                firstLoad);
    }

    private static Optional<Method> method(List<Method> all, LineDraft draft) {
        return all.stream().filter(m -> m.id().equals(draft.method())).findFirst();
    }

    private static boolean hasLifted(LineState state) {
        return state.sessions().stream()
                .anyMatch(s ->
                        s.doses().left().hasAddedLoad() || s.doses().right().hasAddedLoad());
    }

    /** A motion that its goal wants, or the one that is shortest, counts most; one that is as far as it should be, least (house rule). */
    private Map<String, Priority> priorities(Client client, List<String> motions) {
        var rows = measures.ranges(client, motions).stream()
                .sorted(Comparator.comparing(RangeRow::priority))
                .toList();
        var found = new HashMap<String, Priority>();
        for (var row : rows) {
            boolean first = row.priority().goalShortDegrees() > 0 || row.equals(rows.get(0));
            found.putIfAbsent(
                    row.motion(), row.priority().isNone() ? Priority.THIRD : first ? Priority.FIRST : Priority.SECOND);
        }
        return found;
    }

    /** From the real end of each line's last session on, longer after real soreness; of lines that ended since, too. */
    private List<Rested> rested(ClientProgram now, Known known, List<Line> ended) {
        return Stream.concat(now.lines().stream(), ended.stream())
                .flatMap(line -> now.tried(line, look -> rest(line, known)).found().stream()
                        .flatMap(List::stream))
                .toList();
    }

    private List<Rested> rest(Line line, Known known) {
        var state = known.state(line);
        var sessions = state.sessions();
        var draft = state.plan().draft(line.id());
        var joint = WarmUp.joint(draft);
        if (sessions.isEmpty() || joint.isEmpty()) {
            return List.of();
        }
        var last = sessions.get(sessions.size() - 1);
        return draft.done().stream()
                .flatMap(side -> draft.effortClass(side).stream()
                        .map(c -> new Rested(
                                line.id(),
                                joint.get(),
                                side,
                                c == EffortClass.LIGHT,
                                last.endedAt()
                                        .plus(Duration.ofHours(
                                                hours(state, c, last.sorenessOrZero(), known.policy()))))))
                .toList();
    }

    private static long hours(LineState state, EffortClass of, int soreness, Policy policy) {
        boolean sore = soreness >= policy.value(Threshold.SORENESS_SPACING);
        return state.method().spacingHours(of.spacingHours()) + (sore ? of.hoursWhenSore() : 0L);
    }

    ZoneId zone() {
        return clock.getZone();
    }

    Instant now() {
        return StudioClock.now(clock);
    }
}
