package gradino.server.exchange;

import gradino.core.prescribe.Method;
import gradino.core.prescribe.SessionDraft;
import gradino.server.prescribe.CompositionRepository.Composition;
import gradino.server.prescribe.CompositionRepository.StudioMethod;
import java.util.Arrays;
import java.util.List;

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
