package gradino.server.advance.line;

import gradino.core.advance.state.Event.Answer;
import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns decision. */
@Repository
public class DecisionRepository {
    private final Sql sql;
    private final Json json;

    DecisionRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /**
     * A decision with what it rested on.
     *
     * @param proposal JSON; null for an edit of the plan
     * @param inputs JSON of the {@link Inputs}; null for an edit or an import
     * @param undoneAt when it was undone; null while it stands
     */
    public record StoredDecision(
            String lineId,
            DoseDecided decided,
            String reason,
            @Nullable String proposal,
            @Nullable String inputs,
            String policyVersion,
            String engineVersion,
            @Nullable Instant undoneAt) {}

    private static final String WITH_UNDO = """
            SELECT d.line_id, d.id, d.side, d.answer, d.proposed, d.lever, d.dose_before, d.dose_after, d.reason, d.happened_at,
                   d.recorded_at, d.proposal, d.inputs, d.policy_version, d.engine_version, u.happened_at AS undone_at
              FROM decision d LEFT JOIN decision_undo u ON u.decision_id = d.id
            """;

    /** Those in force, without all they rested on. */
    private static final String IN_FORCE = """
            SELECT line_id, id, side, answer, proposed, lever, dose_before, dose_after, happened_at, recorded_at FROM decision d
             WHERE NOT EXISTS (SELECT 1 FROM decision_undo u WHERE u.decision_id = d.id) AND line_id
            """ + Sql.AMONG + "ORDER BY happened_at, seq";

    /** @return whether it was not undone before */
    public boolean undo(String decisionId, Instant at) {
        return sql.update("""
                        INSERT INTO decision_undo (decision_id, happened_at, recorded_at) VALUES (?, ?, ?)
                        ON CONFLICT (decision_id) DO NOTHING
                        """, decisionId, at, at) > 0;
    }

    /** @return false when this id was stored before */
    public boolean insert(StoredDecision d) {
        var decided = d.decided();
        return sql.update(
                        """
                        INSERT INTO decision
                          (id, line_id, side, answer, proposed, lever, dose_before, dose_after, reason, happened_at,
                           recorded_at, proposal, inputs, policy_version, engine_version)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        ON CONFLICT (id) DO NOTHING
                        """,
                        decided.id(),
                        d.lineId(),
                        decided.side(),
                        decided.answer(),
                        decided.proposed(),
                        decided.lever(),
                        json.write(decided.before()),
                        json.write(decided.after()),
                        d.reason(),
                        decided.happenedAt(),
                        decided.recordedAt(),
                        d.proposal(),
                        d.inputs(),
                        d.policyVersion(),
                        d.engineVersion())
                > 0;
    }

    public List<StoredDecision> of(String lineId) {
        return sql.list(WITH_UNDO + "WHERE d.line_id = ? ORDER BY d.happened_at, d.seq", this::decision, lineId);
    }

    /** Of each line the decisions in force. */
    Map<String, List<DoseDecided>> inForce(Collection<String> lineIds) {
        var decided = new HashMap<String, List<DoseDecided>>();
        var doses = json.reader(Dose.class);
        sql.list(
                IN_FORCE,
                row -> decided.computeIfAbsent(row.getString("line_id"), id -> new ArrayList<>())
                        .add(decided(row, doses)),
                lineIds);
        return decided;
    }

    public void each(Consumer<StoredDecision> to) {
        sql.each(WITH_UNDO + "ORDER BY d.line_id, d.happened_at, d.seq", this::decision, to);
    }

    public Optional<StoredDecision> find(String id) {
        return sql.first(WITH_UNDO + "WHERE d.id = ?", this::decision, id);
    }

    private static DoseDecided decided(ResultSet row, Function<String, Dose> doses) throws SQLException {
        var lever = row.getString("lever");
        return new DoseDecided(
                row.getString("id"),
                Side.valueOf(row.getString("side")),
                Answer.valueOf(row.getString("answer")),
                Verdict.valueOf(row.getString("proposed")),
                lever == null ? null : LeverId.valueOf(lever),
                doses.apply(row.getString("dose_before")),
                doses.apply(row.getString("dose_after")),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }

    private StoredDecision decision(ResultSet row) throws SQLException {
        return new StoredDecision(
                row.getString("line_id"),
                decided(row, text -> json.read(text, Dose.class)),
                row.getString("reason"),
                row.getString("proposal"),
                row.getString("inputs"),
                row.getString("policy_version"),
                row.getString("engine_version"),
                Sql.instantOrNull(row, "undone_at"));
    }
}
