package gradino.server.exchange;

import gradino.core.advance.Event.Answer;
import gradino.core.advance.Event.DoseDecided;
import gradino.core.advance.LeverId;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Restriction;
import gradino.core.measure.EndFeel;
import gradino.core.measure.Instrument;
import gradino.core.measure.Mode;
import gradino.core.measure.Tester;
import gradino.core.measure.Trials;
import gradino.core.measure.Warmth;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.BlockKind;
import gradino.core.prescribe.Breathing;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Plan;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import gradino.server.advance.DecisionRepository.StoredDecision;
import gradino.server.intake.Client.Details;
import gradino.server.intake.Client.MotionGoal;
import gradino.server.intake.ClientRepository.Clearance;
import gradino.server.intake.ClientRepository.ClearanceRow;
import gradino.server.measure.Measurement;
import gradino.server.measure.Measurement.TapeInput;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.SessionRepository;
import gradino.server.perform.SessionRepository.Closed;
import gradino.server.perform.SessionRepository.Morning;
import gradino.server.perform.SessionRepository.StoredBlock;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.LineRepository.PlanVersion;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The files that go out and come in; documented in docs/formats.md. */
final class Tables {
    private static final Dose NO_DOSE = new Dose(Degrees.of(0), 0, 1, EffortPercent.of(1), 0, 0, 0);

    private Tables() {}

    /** A client with the restriction in force. */
    record ClientRow(String id, Details details, Restriction restriction, Instant restrictedAt, Instant recordedAt) {}

    /** A line with one version of its plan. */
    record LineRow(Line line, PlanVersion version) {}

    /** A session with how it was closed. */
    record SessionRow(
            String id,
            String lineId,
            Instant startedAt,
            Instant recordedAt,
            Sided<Dose> doses,
            @Nullable Closed closed) {}

    static final CsvTable<ClientRow> CLIENTS = new CsvTable<>(
            "clients.csv",
            List.of(
                    "client_id",
                    "name",
                    "birth_date",
                    "goal",
                    "goal_degrees",
                    "minutes",
                    "stature_cm",
                    "shank_cm",
                    "beighton",
                    "block_step_cm",
                    "effort_cap",
                    "no_deepening",
                    "stopped",
                    "restriction_reason",
                    "restricted_at",
                    "recorded_at"),
            c -> Arrays.asList(
                    c.id(),
                    c.details().name(),
                    c.details().birthDate(),
                    c.details().goal(),
                    c.details().goals().stream()
                            .map(g -> g.motion() + ":" + g.degrees())
                            .collect(Collectors.joining(";")),
                    c.details().minutes(),
                    c.details().statureCm(),
                    c.details().shankCm(),
                    c.details().beighton(),
                    c.details().blockStepCm(),
                    c.restriction().effortCap() == null
                            ? null
                            : c.restriction().effortCap().value(),
                    CsvRow.flag(c.restriction().noDeepening()),
                    CsvRow.flag(c.restriction().stopped()),
                    c.restriction().reason(),
                    c.restriction().isNone() && c.restriction().reason().isEmpty() ? null : c.restrictedAt(),
                    c.recordedAt()),
            Tables::client);

    private static ClientRow client(CsvRow r) {
        var recorded = r.instant("recorded_at");
        var details = new Details(
                r.required("name"),
                CsvRow.date(r, "birth_date"),
                r.text("goal"),
                r.optional("minutes", Integer::valueOf),
                r.optional("stature_cm", Double::valueOf),
                r.optional("shank_cm", Double::valueOf),
                r.optional("beighton", Integer::valueOf),
                r.read("block_step_cm", 1.0, Double::parseDouble),
                r.isEmpty("goal_degrees") ? List.of() : r.read("goal_degrees", List.of(), Tables::goals));
        var restriction = new Restriction(
                r.optional("effort_cap", text -> EffortPercent.of(Integer.parseInt(text))),
                r.flag("no_deepening"),
                r.flag("stopped"),
                r.text("restriction_reason"));
        return new ClientRow(
                r.required("client_id"), details, restriction, r.instant("restricted_at", recorded), recorded);
    }

    private static List<MotionGoal> goals(String text) {
        return Arrays.stream(text.split(";"))
                .map(part -> part.split(":"))
                .map(p -> {
                    if (p.length != 2) {
                        throw new IllegalArgumentException("a goal is motion:degrees");
                    }
                    return new MotionGoal(p[0], Double.parseDouble(p[1]));
                })
                .toList();
    }

    static final CsvTable<ClearanceRow> CLEARANCES = new CsvTable<>(
            "clearances.csv",
            List.of("clearance_id", "client_id", "cleared_by", "note", "happened_at", "recorded_at"),
            c -> Arrays.asList(
                    c.id(),
                    c.clientId(),
                    c.clearance().clearedBy(),
                    c.clearance().note(),
                    c.happenedAt(),
                    c.recordedAt()),
            r -> new ClearanceRow(
                    r.required("clearance_id"),
                    r.required("client_id"),
                    new Clearance(r.required("cleared_by"), r.text("note")),
                    r.instant("happened_at"),
                    r.instant("recorded_at")));

    static final CsvTable<LineRow> LINES = new CsvTable<>(
            "plans.csv",
            List.of(
                    "line_id",
                    "client_id",
                    "motion",
                    "position",
                    "instrument",
                    "line_happened_at",
                    "line_recorded_at",
                    "plan_happened_at",
                    "plan_recorded_at",
                    "method",
                    "rotations_each_way",
                    "seconds_per_circle",
                    "press_steps",
                    "pull_s",
                    "settle_s",
                    "settle_in_s",
                    "settle_out_s",
                    "set_up_s",
                    "side_change_s",
                    "sessions_per_week",
                    "first_side",
                    "unequal_reason",
                    "left_dose",
                    "right_dose"),
            Tables::lineCells,
            Tables::line);

    private static List<@Nullable Object> lineCells(LineRow row) {
        var line = row.line();
        var plan = row.version().plan();
        return Arrays.asList(
                line.id(),
                line.clientId(),
                line.motion(),
                line.position(),
                CsvRow.word(line.instrument()),
                line.happenedAt(),
                line.recordedAt(),
                row.version().happenedAt(),
                row.version().recordedAt(),
                plan.method(),
                plan.rotationsEachWay(),
                plan.secondsPerCircle(),
                DoseText.steps(plan.press()),
                plan.pullSeconds(),
                plan.settleSeconds(),
                plan.settleBreathing().inSeconds(),
                plan.settleBreathing().outSeconds(),
                plan.setUpSeconds(),
                plan.sideChangeSeconds(),
                plan.sessionsPerWeek(),
                CsvRow.word(plan.firstSide()),
                plan.unequalReason(),
                DoseText.of(plan.dose(Side.LEFT)),
                DoseText.of(plan.dose(Side.RIGHT)));
    }

    private static LineRow line(CsvRow r) {
        var line = new Line(
                r.required("line_id"),
                r.required("client_id"),
                r.required("motion"),
                r.required("position"),
                r.choice("instrument", Instrument.TYPED),
                r.instant("line_happened_at"),
                r.instant("line_recorded_at"));
        var fallback = Plan.first(line.motion(), line.position(), Sided.both(Degrees.of(0)), Side.LEFT);
        var plan = r.read("line_id", fallback, id -> plan(r, line));
        return new LineRow(
                line, new PlanVersion(line.id(), plan, r.instant("plan_happened_at"), r.instant("plan_recorded_at")));
    }

    private static Plan plan(CsvRow r, Line line) {
        return new Plan(
                line.motion(),
                line.position(),
                r.required("method"),
                whole(r, "rotations_each_way"),
                whole(r, "seconds_per_circle"),
                r.read("press_steps", DoseText.steps("20:5"), DoseText::steps),
                whole(r, "pull_s"),
                whole(r, "settle_s"),
                new Breathing(whole(r, "settle_in_s"), whole(r, "settle_out_s")),
                whole(r, "set_up_s"),
                whole(r, "side_change_s"),
                whole(r, "sessions_per_week"),
                r.choice("first_side", Side.LEFT),
                r.text("unequal_reason"),
                doses(r));
    }

    private static int whole(CsvRow r, String column) {
        return r.read(column, 1, Integer::parseInt);
    }

    private static Sided<Dose> doses(CsvRow r) {
        return new Sided<>(
                r.read("left_dose", NO_DOSE, DoseText::parse), r.read("right_dose", NO_DOSE, DoseText::parse));
    }

    static final CsvTable<Measurement> MEASUREMENTS = new CsvTable<>(
            "measurements.csv",
            List.of(
                    "measurement_id",
                    "client_id",
                    "motion",
                    "side",
                    "mode",
                    "warmth",
                    "position",
                    "instrument",
                    "tester",
                    "happened_at",
                    "recorded_at",
                    "trials_deg",
                    "tape_lengths_cm",
                    "tape_start_cm",
                    "tape_shank_cm",
                    "end_feel",
                    "pain",
                    "control_grade",
                    "note"),
            Tables::measurementCells,
            Tables::measurement);

    private static List<@Nullable Object> measurementCells(Measurement m) {
        var tape = m.tape();
        return Arrays.asList(
                m.id(),
                m.clientId(),
                m.motion(),
                CsvRow.word(m.side()),
                CsvRow.word(m.mode()),
                CsvRow.word(m.warmth()),
                m.position(),
                CsvRow.word(m.instrument()),
                CsvRow.word(m.tester()),
                m.happenedAt(),
                m.recordedAt(),
                MeasurementRepository.joined(
                        m.trials().angles().stream().map(Degrees::value).toList()),
                tape == null ? null : MeasurementRepository.joined(tape.lengthsCm()),
                tape == null ? null : tape.startCm(),
                tape == null ? null : tape.shankCm(),
                CsvRow.word(m.endFeel()),
                m.pain().value(),
                m.controlGrade(),
                m.note());
    }

    private static Measurement measurement(CsvRow r) {
        var happened = r.instant("happened_at");
        var tape = r.isEmpty("tape_lengths_cm")
                ? null
                : new TapeInput(
                        r.read("tape_lengths_cm", List.of(0.0), MeasurementRepository::numbers),
                        r.read("tape_start_cm", 0.0, Double::parseDouble),
                        r.read("tape_shank_cm", 0.0, Double::parseDouble));
        return new Measurement(
                r.isEmpty("measurement_id") ? "csv-" + r.contentHash() : r.text("measurement_id"),
                r.required("client_id"),
                r.required("motion"),
                r.choice("side", Side.LEFT),
                r.choice("mode", Mode.PASSIVE),
                r.choice("warmth", Warmth.COLD),
                r.required("position"),
                r.choice("instrument", Instrument.TYPED),
                r.choice("tester", Tester.COACH),
                happened,
                r.instant("recorded_at", happened),
                r.read("trials_deg", Trials.of(0), Tables::trials),
                tape,
                r.optionalChoice("end_feel", EndFeel.class),
                r.read("pain", PainScore.NONE, text -> PainScore.of(text.isEmpty() ? 0 : Integer.parseInt(text))),
                r.optional("control_grade", Tables::grade),
                r.text("note"));
    }

    private static Trials trials(String text) {
        return new Trials(
                MeasurementRepository.numbers(text).stream().map(Degrees::of).toList());
    }

    private static Integer grade(String text) {
        int grade = Integer.parseInt(text);
        if (grade < 0 || grade > 3) {
            throw new IllegalArgumentException("a control grade is 0 to 3");
        }
        return grade;
    }

    static final CsvTable<SessionRow> SESSIONS = new CsvTable<>(
            "sessions.csv",
            List.of(
                    "session_id",
                    "line_id",
                    "started_at",
                    "recorded_at",
                    "left_dose",
                    "right_dose",
                    "ended_at",
                    "close_recorded_at",
                    "observer",
                    "rating",
                    "stop_sign",
                    "stop_side",
                    "note"),
            s -> {
                var c = s.closed();
                return Arrays.asList(
                        s.id(),
                        s.lineId(),
                        s.startedAt(),
                        s.recordedAt(),
                        DoseText.of(s.doses().left()),
                        DoseText.of(s.doses().right()),
                        c == null ? null : c.happenedAt(),
                        c == null ? null : c.recordedAt(),
                        c == null ? null : CsvRow.word(c.observer()),
                        c == null || c.rating() == null ? null : c.rating().value(),
                        c == null ? null : CsvRow.word(c.stopSign()),
                        c == null ? null : CsvRow.word(c.stopSide()),
                        c == null ? null : c.note());
            },
            Tables::session);

    private static SessionRow session(CsvRow r) {
        var started = r.instant("started_at");
        return new SessionRow(
                r.required("session_id"),
                r.required("line_id"),
                started,
                r.instant("recorded_at", started),
                doses(r),
                r.isEmpty("ended_at") ? null : closed(r, started));
    }

    private static Closed closed(CsvRow r, Instant started) {
        var ended = r.instant("ended_at");
        if (ended.isBefore(started)) {
            r.finding("ended_at", "before-start", "a session cannot end before it starts.");
        }
        return new Closed(
                r.text("session_id"),
                r.choice("observer", Observer.NOBODY),
                r.optional("rating", text -> Tenths.of(Integer.parseInt(text))),
                r.optionalChoice("stop_sign", StopSign.class),
                r.optionalChoice("stop_side", Side.class),
                r.text("note"),
                ended,
                r.instant("close_recorded_at", ended));
    }

    static final CsvTable<StoredBlock> BLOCKS = new CsvTable<>(
            "blocks.csv",
            List.of(
                    "record_id",
                    "session_id",
                    "block",
                    "side",
                    "kind",
                    "happened_at",
                    "recorded_at",
                    "phases",
                    "effort_rating",
                    "faults",
                    "pains",
                    "cramps",
                    "effort_missed",
                    "skipped",
                    "note"),
            Tables::blockCells,
            Tables::block);

    private static List<@Nullable Object> blockCells(StoredBlock stored) {
        var b = stored.block();
        return Arrays.asList(
                stored.id(),
                stored.sessionId(),
                b.blockId(),
                CsvRow.word(b.side()),
                CsvRow.word(b.kind()),
                stored.happenedAt(),
                stored.recordedAt(),
                SessionRepository.phases(b.phases()),
                b.effortRating() == null ? null : b.effortRating().value(),
                String.join(";", b.faults()),
                b.pains().stream()
                        .map(p -> p.score().value() + ":" + CsvRow.word(p.kind()) + ":" + p.where())
                        .collect(Collectors.joining(";")),
                b.cramps(),
                CsvRow.flag(b.effortMissed()),
                b.skippedBecause(),
                b.note());
    }

    private static StoredBlock block(CsvRow r) {
        var happened = r.instant("happened_at");
        var block = new BlockRecord(
                r.required("block"),
                r.choice("side", Side.LEFT),
                r.choice("kind", BlockKind.PRESS),
                r.read("phases", List.of(), SessionRepository::phases),
                r.optional("effort_rating", text -> Tenths.of(Integer.parseInt(text))),
                r.isEmpty("faults") ? List.of() : List.of(r.text("faults").split(";")),
                r.isEmpty("pains") ? List.of() : r.read("pains", List.of(), Tables::pains),
                r.read("cramps", 0, Tables::cramps),
                r.flag("effort_missed"),
                r.isEmpty("skipped") ? null : r.text("skipped"),
                r.text("note"));
        return new StoredBlock(
                r.required("record_id"), r.required("session_id"), block, happened, r.instant("recorded_at", happened));
    }

    private static int cramps(String text) {
        int cramps = text.isEmpty() ? 0 : Integer.parseInt(text);
        if (cramps < 0 || cramps > 50) {
            throw new IllegalArgumentException("cramps are 0 to 50");
        }
        return cramps;
    }

    private static List<Pain> pains(String text) {
        return Arrays.stream(text.split(";")).map(Tables::pain).toList();
    }

    private static Pain pain(String text) {
        var parts = text.split(":", 3);
        if (parts.length != 3) {
            throw new IllegalArgumentException("a pain is score:kind:where");
        }
        var kind = Arrays.stream(PainKind.values())
                .filter(k -> CsvRow.word(k).equals(parts[1]))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no kind of pain called " + parts[1]));
        return new Pain(PainScore.of(Integer.parseInt(parts[0])), kind, parts[2]);
    }

    static final CsvTable<Morning> MORNINGS = new CsvTable<>(
            "mornings.csv",
            List.of("answer_id", "session_id", "settled", "soreness", "happened_at", "recorded_at"),
            m -> Arrays.asList(
                    m.id(),
                    m.sessionId(),
                    CsvRow.flag(m.settled()),
                    m.soreness() == null ? null : m.soreness().value(),
                    m.happenedAt(),
                    m.recordedAt()),
            r -> {
                var happened = r.instant("happened_at");
                return new Morning(
                        r.required("answer_id"),
                        r.required("session_id"),
                        r.flag("settled"),
                        r.optional("soreness", text -> Tenths.of(Integer.parseInt(text))),
                        happened,
                        r.instant("recorded_at", happened));
            });

    static final CsvTable<StoredDecision> DECISIONS = new CsvTable<>(
            "decisions.csv",
            List.of(
                    "decision_id",
                    "line_id",
                    "side",
                    "answer",
                    "proposed",
                    "lever",
                    "dose_before",
                    "dose_after",
                    "reason",
                    "happened_at",
                    "recorded_at",
                    "policy_version",
                    "engine_version"),
            d -> Arrays.asList(
                    d.decided().id(),
                    d.lineId(),
                    CsvRow.word(d.decided().side()),
                    CsvRow.word(d.decided().answer()),
                    CsvRow.word(d.decided().proposed()),
                    CsvRow.word(d.decided().lever()),
                    DoseText.of(d.decided().before()),
                    DoseText.of(d.decided().after()),
                    d.reason(),
                    d.decided().happenedAt(),
                    d.decided().recordedAt(),
                    d.policyVersion(),
                    d.engineVersion()),
            Tables::decision);

    private static StoredDecision decision(CsvRow r) {
        var decided = new DoseDecided(
                r.required("decision_id"),
                r.choice("side", Side.LEFT),
                r.choice("answer", Answer.ACCEPTED),
                r.choice("proposed", Verdict.STAY),
                r.optionalChoice("lever", LeverId.class),
                r.read("dose_before", NO_DOSE, DoseText::parse),
                r.read("dose_after", NO_DOSE, DoseText::parse),
                r.instant("happened_at"),
                r.instant("recorded_at"));
        return new StoredDecision(
                r.required("line_id"),
                decided,
                r.text("reason"),
                null,
                null,
                r.required("policy_version"),
                r.required("engine_version"));
    }

    /** Every table, in the order in which they refer to each other. */
    static List<CsvTable<?>> all() {
        return List.of(CLIENTS, CLEARANCES, LINES, MEASUREMENTS, SESSIONS, BLOCKS, MORNINGS, DECISIONS);
    }
}
