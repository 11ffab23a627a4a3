package gradino.server.exchange;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.reading.Tape;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.server.exchange.table.CsvRow;
import gradino.server.intake.Client;
import gradino.server.measure.Measurement;
import gradino.server.prescribe.program.Line;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What is there already or comes with the same import, and what a row may therefore say. */
final class ImportFacts {
    private final Instant now;
    private final Map<String, Client> clients = new HashMap<>();
    private final ZoneId zone;
    private final Set<String> runs = new HashSet<>();
    final Map<String, Line> lines = new HashMap<>();
    final Map<String, Plan> newestPlan = new HashMap<>();
    private final Set<String> ids = new HashSet<>();

    ImportFacts(Instant now, ZoneId zone) {
        this.now = now;
        this.zone = zone;
    }

    /** As known so far; told again when an intake row changes it. */
    void client(Client client) {
        clients.put(client.id(), client);
    }

    /** @return whether it was not there yet */
    boolean run(String id) {
        return runs.add(id);
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

    boolean knowsRun(CsvRow row, String id) {
        return says(row, runs.contains(id), "run_id", "unknown-run", "no run called '" + id + "'.");
    }

    boolean past(CsvRow row, String column, Instant at) {
        return says(row, !at.isAfter(now), column, "in-the-future", "this lies in the future.");
    }

    boolean knows(CsvRow row, String kind, Optional<?> found, String id) {
        return says(row, found.isPresent(), kind + "_id", "unknown-" + kind, "no %s called '%s'.".formatted(kind, id));
    }

    /** Whether the catalogue has this motion, on this side, in this position. */
    boolean hasItsPlace(CsvRow row, String column, String motion, Side side, String position) {
        var noMotion = "no motion called '" + motion + "'.";
        var noPosition = "no position called '" + position + "' for this motion.";
        var sides = Catalogue.motion(motion).map(Side::of).orElse(Side.PAIR);
        boolean isThere =
                Catalogue.position(position).filter(p -> p.allows(motion)).isPresent();
        return says(row, Catalogue.motion(motion).isPresent(), or(column, "motion"), "unknown-motion", noMotion)
                && says(row, sides.contains(side), or(column, "side"), "side-for-motion", "not a side of this motion.")
                && says(row, isThere, or(column, "position"), "unknown-position", noPosition);
    }

    private static String or(String column, String own) {
        return column.isEmpty() ? own : column;
    }

    boolean hasItsPlace(CsvRow row, Measurement m) {
        return hasItsPlace(row, "", m.motion(), m.side(), m.position())
                && says(row, isLived(m), "happened_at", "before-birth", "this lies before the birth date.")
                && tapeFits(row, m);
    }

    private boolean isLived(Measurement m) {
        var client = clients.get(m.clientId());
        var birth = client == null ? null : client.details().birthDate();
        return birth == null || !LocalDate.ofInstant(m.happenedAt(), zone).isBefore(birth);
    }

    private static boolean tapeFits(CsvRow row, Measurement m) {
        var tape = m.tape();
        var formula = Catalogue.position(m.position()).map(Position::tape).orElse(null);
        if (tape == null || formula == null) {
            return true;
        }
        try {
            for (double length : tape.lengthsCm()) {
                var read = new Tape(formula, length, tape.startCm(), tape.body());
                says(row, read.angle().expanded() >= 0, "tape_lengths_cm", "does-not-fit", "");
            }
            return true;
        } catch (IllegalArgumentException e) {
            return says(row, false, "tape_lengths_cm", "does-not-fit", e.getMessage() + ".");
        }
    }

    @Nullable
    Client clients(String id) {
        return clients.get(id);
    }

    /** What the restrictions of a day alone say, for what was prescribed then. */
    LineFacts restrictionsOnly(Client client, String motion, Instant at) {
        return new LineFacts(
                client.limits(motion, at, zone).at(at),
                false,
                Sided.both(Optional.empty()),
                Sided.both(Optional.empty()),
                true,
                true);
    }

    /** Whether a session has lines of this client, and can be one. */
    boolean fits(CsvRow row, String clientId, Arrangement body) {
        for (var id : body.lines()) {
            var line = lines.get(id);
            if (!says(
                    row,
                    line != null && line.clientId().equals(clientId),
                    "arrangement_json",
                    "unknown-line",
                    "this client has no line called '" + id + "'.")) {
                return false;
            }
        }
        return isReadable(
                row,
                "arrangement_json",
                clientId,
                body.with(id -> Objects.requireNonNull(newestPlan.get(id)).draft(id)));
    }

    boolean isReadable(CsvRow row, String column, String clientId, SessionDraft draft) {
        var read = SessionReader.read(draft);
        read.findings().stream()
                .filter(Finding::blocks)
                .forEach(f -> row.finding(column, f.code(), f.path() + ": " + f.message()));
        for (var line : draft.lines()) {
            var known = lines.get(line.id());
            says(
                    row,
                    known != null && known.clientId().equals(clientId),
                    column,
                    "unknown-line",
                    "this client has no line called '" + line.id() + "'.");
        }
        return row.isClean() && read.plan().isPresent();
    }

    static boolean says(CsvRow row, boolean fine, String column, String code, String message) {
        if (!fine) {
            row.finding(column, code, message);
        }
        return fine;
    }
}
