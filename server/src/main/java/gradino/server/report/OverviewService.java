package gradino.server.report;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import gradino.core.measure.noise.Mode;
import gradino.core.report.GoalReach;
import gradino.core.report.Hard;
import gradino.core.report.LineClimb;
import gradino.core.report.Period;
import gradino.server.account.people.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.Client.MotionGoal;
import gradino.server.intake.ClientNoteRepository;
import gradino.server.intake.ClientNoteRepository.ClientNote;
import gradino.server.intake.ClientNoteRepository.NoteKind;
import gradino.server.intake.ClientNoteRepository.NoteNow;
import gradino.server.intake.ClientService;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Ranges.Estimate;
import gradino.server.measure.Ranges.RangeRow;
import gradino.server.measure.Ranges.RangeSide;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.report.draw.Drawing;
import gradino.server.report.draw.WorkCharts;
import gradino.server.report.read.ReportReader;
import gradino.server.report.told.Teller;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a client is doing: what a coach looks at before the work begins. */
@Service
public class OverviewService {
    /** What "lately" means on the page (house value). */
    private static final int WEEKS = 8;

    private static final int MOST_NOTES = 30;

    private final ClientService clients;
    private final MeasureService measures;
    private final ReportReader reader;
    private final ClientNoteRepository notes;
    private final SignedIn signedIn;
    private final Clock clock;

    OverviewService(
            ClientService clients,
            MeasureService measures,
            ReportReader reader,
            ClientNoteRepository notes,
            SignedIn signedIn,
            Clock clock) {
        this.clients = clients;
        this.measures = measures;
        this.reader = reader;
        this.notes = notes;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /**
     * How a client is doing.
     *
     * @param weeks that "lately" covers
     * @param strip days that were planned and done; null without any
     * @param attended the same in words
     * @param retest first day of the week in which everything is measured again; null where none is planned
     * @param archivedAt when they left; null while they come
     */
    record Overview(
            List<GoalNow> goals,
            List<SideClimb> climbs,
            int weeks,
            @Nullable Drawing strip,
            String attended,
            List<PainDay> pains,
            List<Instant> stopSigns,
            @Nullable LocalDate retest,
            List<NoteNow> notes,
            @Nullable Instant archivedAt) {}

    /**
     * Degrees that the goal needs against the newest estimate.
     *
     * @param now null where it was never measured
     */
    record GoalNow(
            String motion,
            String name,
            double needed,
            @Nullable Side side,
            @Nullable ReachedNow now) {}

    /** @param mode passive where there is one */
    record ReachedNow(
            Mode mode,
            double degrees,
            double lower,
            double upper,
            double shortOf,
            GoalReach.Reached reached,
            Instant measuredAt) {}

    /** @param levels rungs above the first dose, in the order of time */
    record SideClimb(String lineId, Side side, List<Integer> levels, boolean plateau) {}

    /** The worst pain of a day, 0 to 10. */
    record PainDay(LocalDate date, int score, String motion, Side side) {}

    /** @param corrects id of the note that this one takes the place of; with an empty text it is removed */
    record ClientNoteDraft(
            @NotBlank @Size(max = 64) String id,

            @NotNull @Size(max = ClientNoteRepository.LONGEST)
            String text,

            @Nullable String corrects) {}

    @Transactional(readOnly = true)
    Overview overview(String clientId) {
        var client = clients.get(clientId);
        var today = LocalDate.now(clock);
        var period = new Period(today.minusWeeks(WEEKS), today);
        var lately = reader.lately(client, period);
        var days = lately.attendance().days();
        return new Overview(
                goals(client),
                lately.climbs().stream().map(OverviewService::climb).toList(),
                WEEKS,
                days.isEmpty() ? null : WorkCharts.strip(days, period),
                Teller.attended(lately.attendance()),
                pains(lately.hard()),
                lately.hard().stops().stream().map(Hard.StopSeen::at).toList(),
                lately.retest(),
                notes.now(clientId, MOST_NOTES),
                client.archivedAt());
    }

    private List<GoalNow> goals(Client client) {
        var rows = measures.ranges(
                client,
                client.details().goals().stream().map(MotionGoal::motion).toList());
        return client.details().goals().stream()
                .flatMap(goal -> newest(rows, goal.motion())
                        .map(row -> row.sides().stream().map(side -> now(goal, row, side)))
                        .findFirst()
                        .orElseGet(() -> Stream.of(unmeasured(goal))))
                .toList();
    }

    private static Stream<RangeRow> newest(List<RangeRow> rows, String motion) {
        return rows.stream()
                .filter(r -> r.motion().equals(motion))
                .max(Comparator.comparing(RangeRow::lastMeasured))
                .stream();
    }

    private static GoalNow unmeasured(MotionGoal goal) {
        var name = Catalogue.motion(goal.motion()).map(Motion::name).orElse(goal.motion());
        return new GoalNow(goal.motion(), name, goal.degrees(), null, null);
    }

    private static GoalNow now(MotionGoal goal, RangeRow row, RangeSide side) {
        var passive = side.passive();
        var of = passive == null ? side.active() : passive;
        return new GoalNow(
                row.motion(),
                row.name(),
                goal.degrees(),
                side.side(),
                of == null ? null : reached(goal, of, passive == null ? Mode.ACTIVE : Mode.PASSIVE));
    }

    private static ReachedNow reached(MotionGoal goal, Estimate now, Mode mode) {
        var reach = GoalReach.of(now.whole(), goal.degrees());
        return new ReachedNow(
                mode, now.degrees(), now.lower(), now.upper(), reach.shortOf(), reach.reached(), now.asOf());
    }

    private static SideClimb climb(LineClimb of) {
        var levels = Stream.concat(Stream.of(of.started()), of.steps().stream().map(LineClimb.Step::level));
        return new SideClimb(of.line(), of.side(), levels.toList(), of.plateau());
    }

    private List<PainDay> pains(Hard hard) {
        return hard.pains().stream()
                .map(p -> new PainDay(
                        LocalDate.ofInstant(p.at(), clock.getZone()), p.score().value(), p.motion(), p.side()))
                .toList();
    }

    /** A wrong note is corrected or, with an empty text, removed; what it said stays in the record. */
    @Transactional
    List<NoteNow> note(String clientId, ClientNoteDraft draft) {
        clients.get(clientId);
        boolean says = !draft.text().isBlank() || draft.corrects() != null;
        if (!says || draft.text().length() > ClientNoteRepository.LONGEST) {
            throw Problem.invalid(
                    "text", "required", "A note of up to %d letters.".formatted(ClientNoteRepository.LONGEST));
        }
        if (draft.corrects() != null && !isFirst(clientId, draft.corrects())) {
            throw Problem.invalid("corrects", "unknown", "This client has no such note.");
        }
        notes.add(new ClientNote(
                draft.id(),
                clientId,
                signedIn.required().id(),
                NoteKind.CLIENT,
                draft.corrects(),
                StudioClock.now(clock),
                draft.text().strip()));
        return notes.now(clientId, MOST_NOTES);
    }

    private boolean isFirst(String clientId, String noteId) {
        return notes.find(noteId)
                .filter(n -> n.clientId().equals(clientId) && n.kind() == NoteKind.CLIENT && n.corrects() == null)
                .isPresent();
    }
}
