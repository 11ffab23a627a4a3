package gradino.server.exchange.table;

import gradino.server.intake.Client;
import gradino.server.intake.Client.Details;
import gradino.server.intake.Client.Lengths;
import gradino.server.intake.Client.MotionGoal;
import gradino.server.intake.ClientRepository;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Clients. */
public final class ClientTables {
    private ClientTables() {}

    /** A client's file. */
    public record ClientRow(
            String id,
            Details details,
            Instant recordedAt,
            @Nullable Instant archivedAt) {
        public static ClientRow of(Client c) {
            return new ClientRow(c.id(), c.details(), c.recordedAt(), c.archivedAt());
        }
    }

    public static final CsvTable<ClientRow> CLIENTS = new CsvTable<>(
            "clients.csv",
            List.of(
                    "client_id",
                    "name",
                    "birth_date",
                    "sex",
                    "goal",
                    "goal_degrees",
                    "history",
                    "minutes",
                    "days",
                    "equipment",
                    "stature_cm",
                    "mass_kg",
                    "shank_cm",
                    "leg_cm",
                    "thigh_cm",
                    "hip_centres_cm",
                    "toe_to_ankle_cm",
                    "beighton",
                    "block_step_cm",
                    "recorded_at",
                    "archived_at"),
            c -> Arrays.asList(
                    c.id(),
                    c.details().name(),
                    c.details().birthDate(),
                    c.details().sex(),
                    c.details().goal(),
                    c.details().goals().stream().map(ClientTables::goal).collect(Collectors.joining(";")),
                    c.details().history(),
                    c.details().minutes(),
                    c.details().days().stream()
                            .map(d -> d.name().toLowerCase(Locale.ROOT))
                            .collect(Collectors.joining(";")),
                    String.join(";", c.details().equipment()),
                    c.details().statureCm(),
                    c.details().massKg(),
                    c.details().lengths().shank(),
                    c.details().lengths().leg(),
                    c.details().lengths().thigh(),
                    c.details().lengths().hipCentres(),
                    c.details().lengths().toeToAnkle(),
                    c.details().beighton(),
                    c.details().blockStepCm(),
                    c.recordedAt(),
                    c.archivedAt()),
            ClientTables::client);

    private static ClientRow client(CsvRow r) {
        var sex = r.text("sex");
        var details = new Details(
                r.required("name"),
                CsvRow.date(r, "birth_date"),
                sex.isEmpty() ? null : sex,
                r.text("goal"),
                r.text("history"),
                r.optional("minutes", Integer::valueOf),
                r.read("days", List.of(), ClientTables::days),
                ClientRepository.words(r.text("equipment")),
                r.optional("stature_cm", Double::valueOf),
                r.optional("mass_kg", Double::valueOf),
                new Lengths(
                        r.optional("shank_cm", Double::valueOf),
                        r.optional("leg_cm", Double::valueOf),
                        r.optional("thigh_cm", Double::valueOf),
                        r.optional("hip_centres_cm", Double::valueOf),
                        r.optional("toe_to_ankle_cm", Double::valueOf)),
                r.optional("beighton", Integer::valueOf),
                r.read("block_step_cm", 1.0, Double::parseDouble),
                r.isEmpty("goal_degrees") ? List.of() : r.read("goal_degrees", List.of(), ClientTables::goals));
        return new ClientRow(
                r.required("client_id"),
                details,
                r.instant("recorded_at"),
                r.isEmpty("archived_at") ? null : r.instant("archived_at"));
    }

    private static List<DayOfWeek> days(String text) {
        return ClientRepository.words(text).stream()
                .map(d -> DayOfWeek.valueOf(d.toUpperCase(Locale.ROOT)))
                .toList();
    }

    private static String goal(MotionGoal g) {
        return g.motion() + ":" + g.degrees() + (g.replacesTable() ? ":own" : "");
    }

    private static List<MotionGoal> goals(String text) {
        return Arrays.stream(text.split(";"))
                .map(part -> part.split(":"))
                .map(p -> {
                    boolean own = p.length == 3 && p[2].equals("own");
                    if (p.length != 2 && !own) {
                        throw new IllegalArgumentException("a goal is motion:degrees, or motion:degrees:own");
                    }
                    return new MotionGoal(p[0], Double.parseDouble(p[1]), own);
                })
                .toList();
    }
}
