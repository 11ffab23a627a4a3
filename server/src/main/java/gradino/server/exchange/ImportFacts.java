package gradino.server.exchange;

import gradino.core.body.Catalogue;
import gradino.core.intake.Restriction;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanCheck;
import gradino.server.intake.Client;
import gradino.server.measure.Measurement;
import gradino.server.prescribe.Line;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What is there already or comes with the same import, and what a row may therefore say. */
final class ImportFacts {
    private final Instant now;
    private final Map<String, Restricted> clients = new HashMap<>();
    private final Set<String> sessions = new HashSet<>();
    final Map<String, Line> lines = new HashMap<>();
    final Map<String, Plan> newestPlan = new HashMap<>();
    private final Set<String> ids = new HashSet<>();

    ImportFacts(Instant now) {
        this.now = now;
    }

    private record Restricted(Restriction restriction, Instant since) {}

    void client(Client client) {
        client(client.id(), client.restriction(), client.restrictedAt());
    }

    void client(String id, Restriction restriction, Instant since) {
        clients.put(id, new Restricted(restriction, since));
    }

    /** @return whether it was not there yet */
    boolean session(String id) {
        return sessions.add(id);
    }

    /** @return whether the id of this kind was not there yet */
    boolean isNew(String kind, String id) {
        return ids.add(kind + ":" + id);
    }

    boolean knowsClient(CsvRow row, String id) {
        return says(row, clients.containsKey(id), "client_id", "unknown-client", "no client called '" + id + "'.");
    }

    boolean knowsLine(CsvRow row, String id) {
        return says(row, newestPlan.containsKey(id), "line_id", "unknown-line", "no line called '" + id + "'.");
    }

    boolean knowsSession(CsvRow row, String id) {
        return says(row, sessions.contains(id), "session_id", "unknown-session", "no session called '" + id + "'.");
    }

    boolean past(CsvRow row, String column, Instant at) {
        return says(row, !at.isAfter(now), column, "in-the-future", "this lies in the future.");
    }

    boolean hasItsPlace(CsvRow row, Measurement m) {
        var motion = "no motion called '" + m.motion() + "'.";
        var position = "no position called '" + m.position() + "' for this motion.";
        return says(row, Catalogue.motion(m.motion()).isPresent(), "motion", "unknown-motion", motion)
                && says(
                        row,
                        Catalogue.position(m.position())
                                .filter(p -> p.allows(m.motion()))
                                .isPresent(),
                        "position",
                        "unknown-position",
                        position);
    }

    /** What was changed after a restriction stood must keep it; what was set before is history. */
    void obeys(CsvRow row, String clientId, Instant at, Optional<Dose> held, Dose dose) {
        var restricted = clients.get(clientId);
        boolean changed = held.filter(dose::equals).isEmpty();
        if (restricted != null && changed && at.isAfter(restricted.since())) {
            PlanCheck.restricted(restricted.restriction(), held, dose, "")
                    .forEach(f -> row.finding("dose", f.code(), f.message()));
        }
    }

    private static boolean says(CsvRow row, boolean fine, String column, String code, String message) {
        if (!fine) {
            row.finding(column, code, message);
        }
        return fine;
    }
}
