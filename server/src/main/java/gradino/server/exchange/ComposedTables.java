package gradino.server.exchange;

import gradino.core.prescribe.Method;
import gradino.core.prescribe.SessionDraft;
import gradino.server.perform.SessionRepository.Closed;
import gradino.server.perform.VisitRepository.Visit;
import gradino.server.prescribe.CompositionRepository.Composition;
import gradino.server.prescribe.CompositionRepository.StudioMethod;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The studio's own methods and composed sessions, each saving a row. */
final class ComposedTables {
    private ComposedTables() {}

    private static final SessionDraft EMPTY = new SessionDraft(List.of(), List.of());

    static final CsvTable<StudioMethod> METHODS = new CsvTable<>(
            "studio-methods.csv",
            List.of("method_id", "method_json", "recorded_at"),
            m -> Arrays.asList(m.method().id(), CellJson.write(m.method()), m.recordedAt()),
            r -> new StudioMethod(
                    r.read("method_json", Method.shipped().get(0), text -> CellJson.read(text, Method.class)),
                    "",
                    r.instant("recorded_at")));

    /** What was composed as it was run, with how it ended. */
    record RunRow(Visit visit, @Nullable Closed closed) {}

    static final CsvTable<RunRow> RUNS = new CsvTable<>(
            "composed-runs.csv",
            List.of(
                    "session_id",
                    "client_id",
                    "composition_id",
                    "name",
                    "session_json",
                    "started_at",
                    "recorded_at",
                    "ended_at",
                    "close_recorded_at",
                    "observer",
                    "rating",
                    "stop_sign",
                    "stop_side",
                    "note"),
            ComposedTables::cells,
            ComposedTables::run);

    private static List<@Nullable Object> cells(RunRow row) {
        var v = row.visit();
        var cells = new ArrayList<@Nullable Object>(Arrays.asList(
                v.id(),
                v.clientId(),
                v.compositionId(),
                v.name(),
                CellJson.write(v.draft()),
                v.happenedAt(),
                v.recordedAt()));
        cells.addAll(SessionTables.cells(row.closed()));
        return cells;
    }

    private static RunRow run(CsvRow r) {
        var started = r.instant("started_at");
        var visit = new Visit(
                r.required("session_id"),
                r.required("client_id"),
                r.required("composition_id"),
                r.required("name"),
                r.read("session_json", EMPTY, text -> CellJson.read(text, SessionDraft.class)),
                started,
                r.instant("recorded_at", started));
        return new RunRow(visit, r.isEmpty("ended_at") ? null : SessionTables.closed(r, started));
    }

    static final CsvTable<Composition> SESSIONS = new CsvTable<>(
            "composed-sessions.csv",
            List.of("composition_id", "client_id", "name", "session_json", "recorded_at"),
            c -> Arrays.asList(c.id(), c.clientId(), c.name(), CellJson.write(c.draft()), c.recordedAt()),
            r -> new Composition(
                    r.required("composition_id"),
                    r.required("client_id"),
                    null,
                    r.required("name"),
                    r.read("session_json", EMPTY, text -> CellJson.read(text, SessionDraft.class)),
                    r.instant("recorded_at")));
}
