package gradino.server.home;

import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.measure.reading.Tape;
import gradino.core.perform.MorningQuestion;
import gradino.core.schedule.calendar.Place;
import gradino.server.account.people.HomeGuest;
import gradino.server.account.people.SignedIn;
import gradino.server.home.NoteRepository.Note;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.compose.ComposeService;
import gradino.server.schedule.plan.DayPlans;
import gradino.server.schedule.plan.DayPlans.DayPlan;
import gradino.server.schedule.plan.PlannedDays;
import gradino.server.today.TodayService;
import gradino.server.today.TodayService.LineDay;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a client sees at home, and the notes they send. */
@Service
public class HomeService {
    public static final int LONGEST_NOTE = 500;
    private static final int DAYS = 7;

    private final SignedIn signedIn;
    private final ClientService clients;
    private final TodayService today;
    private final ComposeService compose;
    private final PlannedDays planned;
    private final DayPlans days;
    private final NoteRepository notes;
    private final Clock clock;

    HomeService(
            SignedIn signedIn,
            ClientService clients,
            TodayService today,
            ComposeService compose,
            PlannedDays planned,
            DayPlans days,
            NoteRepository notes,
            Clock clock) {
        this.signedIn = signedIn;
        this.clients = clients;
        this.today = today;
        this.compose = compose;
        this.planned = planned;
        this.days = days;
        this.notes = notes;
        this.clock = clock;
    }

    /**
     * The plan of the day.
     *
     * @param days what is planned from today on, for a week
     * @param heldBack why nothing may be trained now; empty when something may
     */
    record HomePlan(
            String clientId,
            String name,
            LocalDate today,
            List<HomeDay> days,
            List<String> heldBack,
            List<HomeSession> sessions,
            List<HomeMorning> mornings,
            List<HomeTape> tapes,
            List<Note> notes) {}

    /**
     * A session that may be run.
     *
     * @param lines the motions it trains
     * @param due any of its lines is
     * @param lastDone null when never
     * @param openRun null when none is open
     * @param heldBack why it may not be run now; empty when it may
     * @param lowered why less is done than was set
     */
    record HomeSession(
            String id,
            String name,
            List<String> lines,
            int minutes,
            boolean due,
            @Nullable Instant lastDone,
            @Nullable String openRun,
            List<String> heldBack,
            List<String> lowered) {}

    /**
     * What is planned on a day.
     *
     * @param lines the motions it trains
     * @param openRun of its session; null when none is open
     */
    record HomeDay(
            LocalDate date,
            Instant start,
            Place place,
            boolean led,
            int minutes,
            List<String> lines,
            boolean over,
            @Nullable String openRun) {}

    /** A session whose next-morning questions are still open. */
    record HomeMorning(String runId, String title, Instant endedAt, MorningQuestion question) {}

    /**
     * What can be measured with a tape by oneself.
     *
     * @param needed body lengths that the file does not have yet
     * @param hasStart whether the tape is also read at the zero
     */
    record HomeTape(String motion, String title, Position position, List<Needed> needed, boolean hasStart) {}

    /** A body length. */
    record Needed(String segment, String words) {}

    /** The weeks are planned again first where they have to be, so that this is no transaction as a whole. */
    HomePlan plan() {
        var client = client();
        planned.planOf(client.id(), LocalDate.now(clock));
        var asked = today.dayAsked(client.id());
        var day = asked.day();
        var now = LocalDate.now(clock);
        var details = client.details();
        var sessions = compose.named(client.id()).stream()
                .map(s -> session(s, day.lines()))
                .toList();
        return new HomePlan(
                client.id(),
                details.name().split(" ")[0],
                now,
                days.days(client, now, now.plusDays(DAYS)).stream()
                        .map(d -> homeDay(d, day.lines()))
                        .toList(),
                sessions.stream().allMatch(s -> !s.heldBack().isEmpty())
                        ? sessions.stream()
                                .flatMap(s -> s.heldBack().stream())
                                .distinct()
                                .toList()
                        : List.of(),
                sessions,
                asked.mornings().stream()
                        .map(m -> new HomeMorning(m.runId(), m.title(), m.endedAt(), m.question()))
                        .toList(),
                day.lines().stream()
                        .flatMap(l -> tape(client, l).stream())
                        .distinct()
                        .toList(),
                notes.of(client.id()));
    }

    private static HomeDay homeDay(DayPlan d, List<LineDay> lines) {
        var own = lines.stream().filter(l -> d.lines().contains(l.lineId())).toList();
        return new HomeDay(
                d.date(),
                d.start(),
                d.place(),
                d.led(),
                d.minutes(),
                own.stream().map(l -> motion(l.motion())).distinct().toList(),
                d.over(),
                own.stream()
                        .flatMap(l -> Stream.ofNullable(l.openRun()))
                        .findFirst()
                        .orElse(null));
    }

    private HomeSession session(ComposeService.Named named, List<LineDay> all) {
        var own = all.stream().filter(l -> named.lines().contains(l.lineId())).toList();
        return new HomeSession(
                named.id(),
                named.name(),
                own.stream().map(l -> motion(l.motion())).distinct().toList(),
                named.minutes(),
                own.stream().anyMatch(LineDay::due),
                own.stream()
                        .flatMap(l -> Stream.ofNullable(l.lastSession()))
                        .max(Comparator.naturalOrder())
                        .orElse(null),
                own.stream()
                        .flatMap(l -> Stream.ofNullable(l.openRun()))
                        .findFirst()
                        .orElse(null),
                own.stream()
                        .filter(l -> l.verdict() == Verdict.STOP_AND_REFER)
                        .flatMap(l -> Stream.ofNullable(l.why()))
                        .distinct()
                        .toList(),
                named.lowered());
    }

    private static String motion(String id) {
        return Catalogue.motion(id).map(Motion::name).orElse(id);
    }

    private static Optional<HomeTape> tape(Client client, LineDay l) {
        return Catalogue.position(l.position())
                .flatMap(p -> Optional.ofNullable(p.tape())
                        .map(formula -> new HomeTape(
                                l.motion(),
                                motion(l.motion()),
                                p,
                                Tape.needs(formula).stream()
                                        .filter(s -> !client.body().containsKey(s))
                                        .map(s -> new Needed(s.name(), s.words()))
                                        .toList(),
                                Tape.hasStart(formula))));
    }

    @Transactional
    void note(String id, String text) {
        if (text.isBlank() || text.length() > LONGEST_NOTE) {
            throw Problem.invalid("text", "required", "A few words, up to %d letters.".formatted(LONGEST_NOTE));
        }
        var now = StudioClock.now(clock);
        notes.add(new Note(id, client().id(), text.strip(), now, now, null));
    }

    private Client client() {
        return clients.get(signedIn.guest().map(HomeGuest::clientId).orElseThrow(Problem::nothingHere));
    }

    /** Unread notes of the clients that whoever asks may see. */
    @Transactional(readOnly = true)
    List<FromHome> unread() {
        var mine = clients.mine();
        return notes.unread().stream()
                .flatMap(n -> mine.stream()
                        .filter(c -> c.id().equals(n.clientId()))
                        .map(c -> new FromHome(c.id(), c.details().name(), n.text(), n.happenedAt())))
                .toList();
    }

    /** A note as the coach reads it. */
    record FromHome(String clientId, String clientName, String text, Instant at) {}

    @Transactional
    void read(String clientId) {
        notes.read(clientId, StudioClock.now(clock));
    }
}
