package gradino.server.exchange;

import gradino.core.intake.Restriction;
import gradino.core.quantity.EffortPercent;
import gradino.server.intake.Client.Details;
import gradino.server.intake.Client.MotionGoal;
import gradino.server.intake.ClientRepository.Clearance;
import gradino.server.intake.ClientRepository.ClearanceRow;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** Clients and clearances. */
final class ClientTables {
    private ClientTables() {}

    /** A client with the restriction in force. */
    record ClientRow(String id, Details details, Restriction restriction, Instant restrictedAt, Instant recordedAt) {}

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
            ClientTables::client);

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
                r.isEmpty("goal_degrees") ? List.of() : r.read("goal_degrees", List.of(), ClientTables::goals));
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
}
