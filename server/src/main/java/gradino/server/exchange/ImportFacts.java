package gradino.server.exchange;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.measure.Tape;
import gradino.core.prescribe.DoseChange;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.RestrictionCheck;
import gradino.core.prescribe.SessionCheck;
import gradino.core.prescribe.SessionDraft;
import gradino.core.prescribe.SessionReader;
import gradino.server.intake.Client;
import gradino.server.measure.Measurement;
import gradino.server.prescribe.CompositionRepository.Composition;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.SessionContexts;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What is there already or comes with the same import, and what a row may therefore say. */
final class ImportFacts {
    private final Instant now;
    private final Map<String, Client> clients = new HashMap<>();
    private final ZoneId zone;
    private final Set<String> sessions = new HashSet<>();
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

    /** What was changed after a restriction stood must keep it; what was set before is history. */
    void obeys(CsvRow row, String clientId, Instant at, DoseChange change) {
        var client = clients.get(clientId);
        boolean changed = change.held().filter(change.wanted()::equals).isEmpty();
        if (client != null && changed) {
            var limits = client.limits(change.plan().motion(), at, zone).at(at);
            RestrictionCheck.check(limits, change, "").forEach(f -> row.finding("dose", f.code(), f.message()));
        }
    }

    /** A composed session keeps what stood when it was kept; its ranges and doses of that day are history. */
    boolean obeys(CsvRow row, Composition c, List<Method> own) {
        var client = clients.get(c.clientId());
        if (client == null) {
            return false;
        }
        var methods = new ArrayList<>(Method.shipped());
        methods.addAll(own);
        var context = SessionContexts.restrictionsOnly(client, c.recordedAt(), zone);
        var checked = SessionCheck.check(c.draft(), context, methods);
        checked.findings().stream()
                .filter(Finding::blocks)
                .forEach(f -> row.finding("session_json", f.code(), f.path() + ": " + f.message()));
        return row.isClean() && checked.timeline().isPresent();
    }

    boolean isReadable(CsvRow row, SessionDraft draft) {
        var read = SessionReader.read(draft);
        read.findings().stream()
                .filter(Finding::blocks)
                .forEach(f -> row.finding("session_json", f.code(), f.path() + ": " + f.message()));
        return row.isClean() && read.plan().isPresent();
    }

    private static boolean says(CsvRow row, boolean fine, String column, String code, String message) {
        if (!fine) {
            row.finding(column, code, message);
        }
        return fine;
    }
}
