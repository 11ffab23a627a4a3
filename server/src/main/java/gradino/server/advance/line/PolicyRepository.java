package gradino.server.advance.line;

import gradino.core.advance.state.Threshold;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns policy and policy_use. */
@Repository
public class PolicyRepository {
    private static final String COLUMNS = "id, version, name, note, thresholds, recorded_at";
    private final Sql sql;
    private final Json json;

    PolicyRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** @param values those that differ from the house policy */
    public record StoredPolicy(
            String id, int version, String name, String note, Map<Threshold, Double> values, Instant recordedAt) {}

    /** From when on a policy was judged by; without an id the house policy. */
    public record PolicyUse(
            @Nullable String policyId, @Nullable Integer version, Instant recordedAt) {}

    /** @return whether it was new */
    public boolean add(StoredPolicy p) {
        return sql.update("""
                        INSERT INTO policy (id, version, name, note, thresholds, recorded_at) VALUES (?, ?, ?, ?, ?, ?)
                        ON CONFLICT (id, version) DO NOTHING
                        """, p.id(), p.version(), p.name(), p.note(), json.write(p.values()), p.recordedAt()) > 0;
    }

    public void use(PolicyUse use) {
        sql.update(
                "INSERT INTO policy_use (policy_id, version, recorded_at) VALUES (?, ?, ?)",
                use.policyId(),
                use.version(),
                use.recordedAt());
    }

    /** Every version, the newest of each policy last. */
    public List<StoredPolicy> all() {
        return sql.list("SELECT " + COLUMNS + " FROM policy ORDER BY id, version", this::policy);
    }

    Optional<StoredPolicy> newest(String id) {
        return sql.first(
                "SELECT " + COLUMNS + " FROM policy WHERE id = ? ORDER BY version DESC LIMIT 1", this::policy, id);
    }

    /** Empty while the house policy is judged by. */
    Optional<StoredPolicy> inUse() {
        return sql.first("""
                SELECT p.* FROM policy_use u JOIN policy p ON p.id = u.policy_id AND p.version = u.version
                 WHERE u.seq = (SELECT max(seq) FROM policy_use)
                """, this::policy);
    }

    private StoredPolicy policy(ResultSet row) throws SQLException {
        return new StoredPolicy(
                row.getString("id"),
                row.getInt("version"),
                row.getString("name"),
                row.getString("note"),
                values(row.getString("thresholds")),
                Sql.instant(row, "recorded_at"));
    }

    private Map<Threshold, Double> values(String text) {
        var values = new EnumMap<Threshold, Double>(Threshold.class);
        json.read(text, NamedValues.class).forEach((name, value) -> values.put(Threshold.valueOf(name), value));
        return values;
    }

    private static final class NamedValues extends java.util.LinkedHashMap<String, Double> {
        private static final long serialVersionUID = 1;
    }
}
