package gradino.server.schedule.calendar;

import gradino.core.schedule.calendar.Appointment;
import gradino.core.schedule.calendar.Appointment.Altered;
import gradino.core.schedule.calendar.Busy;
import gradino.core.schedule.calendar.ClientCalendar;
import gradino.core.schedule.calendar.ClientCalendar.Pause;
import gradino.core.schedule.calendar.EverySecondWeek;
import gradino.core.schedule.calendar.FixedDates;
import gradino.core.schedule.calendar.UsualWeek;
import gradino.server.account.people.Account;
import gradino.server.account.people.SignedIn;
import gradino.server.advance.line.PauseRepository;
import gradino.server.advance.line.PauseRepository.StoredPause;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.measure.BatteryRepository;
import gradino.server.platform.Json;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.schedule.calendar.CalendarRepository.Entry;
import gradino.server.schedule.calendar.CalendarRepository.Kind;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what a client's days are like, and gives it as core knows it. */
@Service
public class CalendarService {
    private static final String ONE = "one";
    private static final int LONGEST_NOTE = 200;
    private static final int MOST_ENTRIES = 200;
    private static final int YEARS = 3;

    private final CalendarRepository entries;
    private final PauseRepository pauses;
    private final BatteryRepository batteries;
    private final LineRepository lines;
    private final ClientService clients;
    private final SignedIn signedIn;
    private final Json json;
    private final Clock clock;

    CalendarService(
            CalendarRepository entries,
            PauseRepository pauses,
            BatteryRepository batteries,
            LineRepository lines,
            ClientService clients,
            SignedIn signedIn,
            Json json,
            Clock clock) {
        this.entries = entries;
        this.pauses = pauses;
        this.batteries = batteries;
        this.lines = lines;
        this.clients = clients;
        this.signedIn = signedIn;
        this.json = json;
        this.clock = clock;
    }

    /** Dates with their id. */
    public record Dated(String id, FixedDates dates) {}

    /**
     * An appointment with its id.
     *
     * @param sequence how often it was changed
     * @param accountId who set it last; null where nobody was signed in
     */
    public record Booked(
            String id,
            Appointment appointment,
            int sequence,
            @Nullable String accountId) {}

    /**
     * All of a client's calendar.
     *
     * @param said whether anybody said what the usual week is like; else it follows from the client's file
     * @param block the running or coming one; null for none
     */
    public record Calendar(
            UsualWeek usual,
            boolean said,
            List<Dated> dates,
            List<Busy> busy,
            List<Booked> appointments,
            List<StoredPause> pauses,
            List<EverySecondWeek> everySecondWeek,
            @Nullable Block block,
            LocalDate today) {
        public ClientCalendar days() {
            return new ClientCalendar(
                    usual,
                    dates.stream().map(Dated::dates).toList(),
                    pauses.stream()
                            .map(p -> new Pause(p.from(), p.until(), p.kind().words()))
                            .toList(),
                    busy,
                    appointments.stream().map(Booked::appointment).toList());
        }
    }

    /** Busy times of one file. */
    record BusyTimes(List<Busy> times) {}

    @Transactional(readOnly = true)
    public Calendar of(String clientId) {
        return of(clients.get(clientId));
    }

    public Calendar of(Client client) {
        return of(List.of(client)).get(0);
    }

    public List<Calendar> of(List<Client> of) {
        var ids = of.stream().map(Client::id).toList();
        var all = entries.newest(ids).stream()
                .filter(e -> e.body() != null)
                .collect(Collectors.groupingBy(Entry::clientId));
        var paused = pauses.of(ids).stream().collect(Collectors.groupingBy(StoredPause::clientId));
        return of.stream()
                .map(c -> calendar(c, all.getOrDefault(c.id(), List.of()), paused.getOrDefault(c.id(), List.of())))
                .toList();
    }

    private Calendar calendar(Client client, List<Entry> all, List<StoredPause> paused) {
        var byKind = all.stream().collect(Collectors.groupingBy(Entry::kind));
        var usual = first(byKind, Kind.USUAL, UsualWeek.class);
        var details = client.details();
        return new Calendar(
                usual.orElseGet(() -> UsualWeek.of(
                        details.days(), Optional.ofNullable(details.minutes()).orElse(0))),
                usual.isPresent(),
                each(byKind, Kind.DATES, e -> new Dated(e.id(), read(e, FixedDates.class))),
                first(byKind, Kind.BUSY, BusyTimes.class).map(BusyTimes::times).orElse(List.of()),
                each(
                        byKind,
                        Kind.APPOINTMENT,
                        e -> new Booked(e.id(), read(e, Appointment.class), e.savings() - 1, e.accountId())),
                paused,
                each(byKind, Kind.EVERY_SECOND_WEEK, e -> read(e, EverySecondWeek.class)),
                first(byKind, Kind.BLOCK, Block.class).orElse(null),
                LocalDate.now(clock));
    }

    /** Every block of weeks that a client had, the oldest first; of those that begin on one day the last that was saved. */
    public List<Block> blocks(String clientId) {
        var byStart = new TreeMap<LocalDate, Block>();
        entries.bodies(clientId, Kind.BLOCK).stream()
                .map(body -> json.read(body, Block.class))
                .forEach(b -> byStart.put(b.start(), b));
        return List.copyOf(byStart.values());
    }

    /** As it is now, or as it was before it was removed. */
    public Optional<Booked> appointment(Entry e) {
        return Optional.ofNullable(e.body())
                .or(() -> entries.lastBody(e.clientId(), e.kind(), e.id()))
                .map(body -> new Booked(e.id(), json.read(body, Appointment.class), e.savings() - 1, e.accountId()));
    }

    private <T> T read(Entry e, Class<T> type) {
        return json.read(Optional.ofNullable(e.body()).orElseThrow(), type);
    }

    private <T> Optional<T> first(Map<Kind, List<Entry>> all, Kind kind, Class<T> type) {
        return all.getOrDefault(kind, List.of()).stream().findFirst().map(e -> read(e, type));
    }

    private static <T> List<T> each(Map<Kind, List<Entry>> all, Kind kind, Function<Entry, T> read) {
        return all.getOrDefault(kind, List.of()).stream().map(read).toList();
    }

    @Transactional
    public Calendar keepUsual(String clientId, UsualWeek usual) {
        if (usual.longest() > 0) {
            clients.keepTime(clientId, usual.open(), usual.longest());
        }
        return keep(clientId, Kind.USUAL, ONE, usual);
    }

    @Transactional
    public Calendar keepDates(String clientId, String id, FixedDates dates) {
        if (dates.until().isBefore(dates.from())) {
            throw Problem.invalid("until", "before-start", "It cannot end before it begins.");
        }
        near("from", dates.from());
        near("until", dates.until());
        if (dates.note().isBlank() || dates.note().length() > LONGEST_NOTE) {
            throw Problem.invalid("note", "required", "What is it? Up to %d letters.".formatted(LONGEST_NOTE));
        }
        if (dates.kind() == FixedDates.Kind.MINUTES && dates.minutes() == null) {
            throw Problem.invalid("minutes", "required", "How many minutes are there?");
        }
        return keep(clientId, Kind.DATES, id, dates);
    }

    @Transactional
    public Calendar keepAppointment(String clientId, String id, Appointment a) {
        near("start", a.start().toLocalDate());
        if (a.until() != null && a.until().isBefore(a.start().toLocalDate())) {
            throw Problem.invalid("until", "before-start", "It cannot end before it begins.");
        }
        if (a.note().length() > LONGEST_NOTE) {
            throw Problem.invalid("note", "too-long", "Up to %d letters.".formatted(LONGEST_NOTE));
        }
        if (a.changes().size() > MOST_ENTRIES || a.changes().stream().anyMatch(c -> !a.isRule(c.of()))) {
            throw Problem.invalid("changes", "no-such-day", "The appointment has no such day.");
        }
        return keep(clientId, Kind.APPOINTMENT, id, a);
    }

    /** Moves or cancels one of several. */
    @Transactional
    public Calendar change(String clientId, String id, Altered change) {
        var booked = of(clientId).appointments().stream()
                .filter(b -> b.id().equals(id))
                .findFirst()
                .orElseThrow(Problem::nothingHere);
        if (change.movedTo() != null) {
            near("movedTo", change.movedTo().toLocalDate());
        }
        return keepAppointment(clientId, id, booked.appointment().with(change));
    }

    @Transactional
    public Calendar keepEverySecondWeek(String clientId, EverySecondWeek rare) {
        return keep(clientId, Kind.EVERY_SECOND_WEEK, rare.line(), rare);
    }

    @Transactional
    public Calendar keepBlock(String clientId, Block block) {
        near("start", block.start());
        if (block.start().getDayOfWeek() != DayOfWeek.MONDAY) {
            throw Problem.invalid("start", "monday", "A block of weeks begins on a Monday.");
        }
        var battery = block.batteryId();
        if (battery != null && batteries.find(clientId, battery).isEmpty()) {
            throw Problem.invalid("batteryId", "unknown", "Pick a battery of this client.");
        }
        return keep(clientId, Kind.BLOCK, ONE, block);
    }

    /** @param notes what of a file was read otherwise than it stands, or not at all */
    record Imported(Calendar calendar, List<String> notes) {}

    @Transactional
    Imported importBusy(String clientId, String file) {
        var read = BusyFile.read(file, clock.getZone(), LocalDate.now(clock))
                .orElseThrow(() -> Problem.invalid("file", "no-calendar", "This is no calendar file (.ics)."));
        return new Imported(keep(clientId, Kind.BUSY, ONE, new BusyTimes(read.times())), read.notes());
    }

    /** Takes an entry away; what was planned around it is planned again. */
    @Transactional
    public Calendar remove(String clientId, Kind kind, String id) {
        clients.get(clientId);
        var known = entries.newest(List.of(clientId)).stream()
                .anyMatch(e -> e.kind() == kind && e.id().equals(id) && e.body() != null);
        if (!known) {
            throw Problem.nothingHere();
        }
        add(clientId, kind, id, null);
        return of(clientId);
    }

    /** @param lineId as the program has it now */
    @Transactional
    Calendar removeEverySecondWeek(String clientId, String lineId) {
        clients.get(clientId);
        var goneOn = lines.goneOn(clientId);
        var rare = of(clientId).everySecondWeek().stream()
                .map(EverySecondWeek::line)
                .filter(line -> goneOn.now(line).equals(lineId))
                .toList();
        if (rare.isEmpty()) {
            throw Problem.nothingHere();
        }
        rare.forEach(line -> add(clientId, Kind.EVERY_SECOND_WEEK, line, null));
        return of(clientId);
    }

    @Transactional
    public Calendar removeOne(String clientId, Kind kind) {
        return remove(clientId, kind, ONE);
    }

    private Calendar keep(String clientId, Kind kind, String id, Object body) {
        clients.get(clientId);
        var others = entries.newest(List.of(clientId)).stream().filter(e -> e.body() != null && !e.id().equals(id));
        if (others.count() >= MOST_ENTRIES) {
            throw Problem.conflict("too-many", "More than %d entries in a calendar.".formatted(MOST_ENTRIES));
        }
        add(clientId, kind, id, json.write(body));
        return of(clientId);
    }

    private void add(String clientId, Kind kind, String id, @Nullable String body) {
        var me = signedIn.account().map(Account::id).orElse(null);
        entries.add(new Entry(id, clientId, kind, me, StudioClock.now(clock), body, 0));
    }

    private void near(String path, LocalDate date) {
        var today = LocalDate.now(clock);
        if (date.isBefore(today.minusYears(YEARS)) || date.isAfter(today.plusYears(YEARS))) {
            throw Problem.invalid(path, "out-of-bounds", "Within %d years of today.".formatted(YEARS));
        }
    }

    /** As what an entry's body is read. */
    public static Class<?> type(Kind kind) {
        return switch (kind) {
            case USUAL -> UsualWeek.class;
            case DATES -> FixedDates.class;
            case BUSY -> BusyTimes.class;
            case APPOINTMENT -> Appointment.class;
            case EVERY_SECOND_WEEK -> EverySecondWeek.class;
            case BLOCK -> Block.class;
        };
    }
}
