package gradino.server.exchange.table;

import gradino.core.figure.OwnPosition;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.SessionDraft;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.prescribe.library.PositionRepository.StudioPosition;
import gradino.server.prescribe.program.SessionRepository.Saving;
import gradino.server.prescribe.program.SessionRepository.StudioMethod;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The studio's own methods, positions and sessions, each saving a row. */
public final class SessionTables {
    private SessionTables() {}

    private static final SessionDraft EMPTY = new SessionDraft(List.of(), List.of());

    public static final CsvTable<StudioMethod> METHODS = new CsvTable<>(
            "studio-methods.csv",
            List.of("method_id", "method_json", "recorded_at"),
            m -> Arrays.asList(m.method().id(), CellJson.write(m.method()), m.recordedAt()),
            r -> new StudioMethod(
                    r.read("method_json", Method.shipped().get(0), text -> CellJson.read(text, Method.class)),
                    "",
                    r.instant("recorded_at")));

    public static final CsvTable<StudioPosition> POSITIONS = new CsvTable<>(
            "studio-positions.csv",
            List.of("position_id", "position_json", "recorded_at"),
            p -> Arrays.asList(p.id(), p.own() == null ? null : CellJson.write(p.own()), p.recordedAt()),
            r -> new StudioPosition(
                    r.required("position_id"),
                    r.optional("position_json", text -> CellJson.read(text, OwnPosition.class)),
                    "",
                    r.instant("recorded_at")));

    /** A run with how it ended. */
    public record RunRow(Run run, @Nullable Closed closed) {}

    public static final CsvTable<RunRow> RUNS = new CsvTable<>(
            "runs.csv",
            List.of(
                    "run_id",
                    "client_id",
                    "session_id",
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
            SessionTables::cells,
            SessionTables::run);

    private static List<@Nullable Object> cells(RunRow row) {
        var run = row.run();
        var cells = new ArrayList<@Nullable Object>(Arrays.asList(
                run.id(),
                run.clientId(),
                run.sessionId(),
                run.name(),
                CellJson.write(run.draft()),
                run.happenedAt(),
                run.recordedAt()));
        cells.addAll(RecordTables.cells(row.closed()));
        return cells;
    }

    private static RunRow run(CsvRow r) {
        var started = r.instant("started_at");
        var run = new Run(
                r.required("run_id"),
                r.required("client_id"),
                r.isEmpty("session_id") ? null : r.text("session_id"),
                r.required("name"),
                r.read("session_json", EMPTY, text -> CellJson.read(text, SessionDraft.class)),
                started,
                r.instant("recorded_at", started));
        return new RunRow(run, r.isEmpty("ended_at") ? null : RecordTables.closed(r, started));
    }

    /** Each saving a row; without lines: removed. */
    public static final CsvTable<Saving> SESSIONS = new CsvTable<>(
            "sessions.csv",
            List.of("session_id", "client_id", "name", "arrangement_json", "recorded_at"),
            s -> Arrays.asList(
                    s.id(), s.clientId(), s.name(), s.body() == null ? null : CellJson.write(s.body()), s.recordedAt()),
            r -> new Saving(
                    r.required("session_id"),
                    r.required("client_id"),
                    null,
                    r.required("name"),
                    r.optional("arrangement_json", text -> CellJson.read(text, Arrangement.class)),
                    r.instant("recorded_at")));
}
