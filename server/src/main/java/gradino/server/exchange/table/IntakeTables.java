package gradino.server.exchange.table;

import gradino.core.body.Side;
import gradino.core.intake.Clearance;
import gradino.core.intake.RestrictionKind;
import gradino.core.intake.Scope;
import gradino.core.intake.Screening;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.IntakeRepository;
import gradino.server.intake.IntakeRepository.AddedRestriction;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.intake.IntakeRepository.StoredScreening;
import gradino.server.platform.Joined;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** Screenings, restrictions that coaches added, and clearances. What is nested inside is JSON in its cell. */
public final class IntakeTables {
    private IntakeTables() {}

    public static final CsvTable<StoredScreening> SCREENINGS = new CsvTable<>(
            "screenings.csv",
            List.of("screening_id", "client_id", "answers_json", "happened_at", "recorded_at"),
            s -> Arrays.asList(
                    s.id(),
                    s.clientId(),
                    CellJson.write(s.screening()),
                    s.screening().at(),
                    s.recordedAt()),
            r -> new StoredScreening(
                    r.required("screening_id"),
                    r.required("client_id"),
                    r.read("answers_json", none(r), text -> CellJson.read(text, Screening.class)),
                    r.instant("recorded_at")));

    private static Screening none(CsvRow r) {
        return new Screening(r.instant("happened_at"), Map.of(), null, List.of(), List.of(), null, null, null, 0, "");
    }

    public static final CsvTable<AddedRestriction> RESTRICTIONS = new CsvTable<>(
            "restrictions.csv",
            List.of(
                    "restriction_id",
                    "client_id",
                    "kind",
                    "joints",
                    "motion",
                    "side",
                    "limit",
                    "reason",
                    "happened_at",
                    "recorded_at"),
            a -> Arrays.asList(
                    a.restriction().id(),
                    a.clientId(),
                    CsvRow.word(a.restriction().kind()),
                    String.join(";", a.restriction().scope().joints()),
                    a.restriction().scope().motion(),
                    CsvRow.word(a.restriction().scope().side()),
                    a.restriction().limit(),
                    a.restriction().reason(),
                    a.restriction().since(),
                    a.recordedAt()),
            IntakeTables::restriction);

    private static AddedRestriction restriction(CsvRow r) {
        var motion = r.text("motion");
        var kind = r.choice("kind", RestrictionKind.NO_DEEPENING);
        var limit = r.optional("limit", Double::valueOf);
        if (kind.hasLimit() != (limit != null)) {
            r.finding("limit", "limit-for-kind", kind.hasLimit() ? "this kind needs one." : "this kind has none.");
            kind = RestrictionKind.NO_DEEPENING;
            limit = null;
        }
        var scope = new Scope(
                ClientRepository.words(r.text("joints")),
                motion.isEmpty() ? null : motion,
                r.optionalChoice("side", Side.class));
        var id = r.required("restriction_id");
        var reason = r.required("reason");
        var since = r.instant("happened_at");
        var fallback = IntakeRepository.ofCoach(id, RestrictionKind.STOPPED, scope, null, reason, since);
        var what = kind;
        var bound = limit;
        var restriction =
                r.read("limit", fallback, text -> IntakeRepository.ofCoach(id, what, scope, bound, reason, since));
        return new AddedRestriction(r.required("client_id"), restriction, r.instant("recorded_at"));
    }

    public static final CsvTable<StoredClearance> CLEARANCES = new CsvTable<>(
            "clearances.csv",
            List.of(
                    "clearance_id",
                    "client_id",
                    "cleared_by",
                    "written_on",
                    "until",
                    "note",
                    "stop_signs",
                    "names",
                    "loosens_json",
                    "happened_at",
                    "recorded_at"),
            c -> Arrays.asList(
                    c.id(),
                    c.clientId(),
                    c.clearance().clearedBy(),
                    c.clearance().writtenOn(),
                    c.clearance().until(),
                    c.clearance().note(),
                    CsvRow.flag(c.clearance().stopSigns()),
                    Joined.join(c.clearance().names()),
                    CellJson.write(c.clearance().loosens()),
                    c.happenedAt(),
                    c.recordedAt()),
            IntakeTables::clearance);

    private static StoredClearance clearance(CsvRow r) {
        var loosens = r.read(
                "loosens_json", new Clearance.Loosening[0], text -> CellJson.read(text, Clearance.Loosening[].class));
        return new StoredClearance(
                r.required("clearance_id"),
                r.required("client_id"),
                new Clearance(
                        r.required("cleared_by"),
                        r.read("written_on", LocalDate.EPOCH, LocalDate::parse),
                        CsvRow.date(r, "until"),
                        r.text("note"),
                        r.flag("stop_signs"),
                        r.read("names", List.<String>of(), Joined::split),
                        List.of(loosens)),
                r.instant("happened_at"),
                r.instant("recorded_at"));
    }
}
