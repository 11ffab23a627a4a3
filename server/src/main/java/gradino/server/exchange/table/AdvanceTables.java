package gradino.server.exchange.table;

import gradino.core.advance.state.Event.PauseKind;
import gradino.core.advance.state.Threshold;
import gradino.server.advance.line.PauseRepository.StoredPause;
import gradino.server.advance.line.PolicyRepository.StoredPolicy;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** A studio's own policies, and when clients paused. */
public final class AdvanceTables {
    private AdvanceTables() {}

    public static final CsvTable<StoredPolicy> POLICIES = new CsvTable<>(
            "policies.csv",
            List.of("policy_id", "version", "name", "note", "thresholds", "recorded_at"),
            p -> Arrays.asList(p.id(), p.version(), p.name(), p.note(), text(p.values()), p.recordedAt()),
            r -> new StoredPolicy(
                    r.required("policy_id"),
                    r.read("version", 1, Integer::parseInt),
                    r.required("name"),
                    r.text("note"),
                    r.read("thresholds", Map.of(), AdvanceTables::values),
                    r.instant("recorded_at")));

    public static final CsvTable<StoredPause> PAUSES = new CsvTable<>(
            "pauses.csv",
            List.of("pause_id", "client_id", "kind", "from_day", "until_day", "note", "recorded_at"),
            p -> Arrays.asList(
                    p.id(), p.clientId(), CsvRow.word(p.kind()), p.from(), p.until(), p.note(), p.recordedAt()),
            r -> new StoredPause(
                    r.required("pause_id"),
                    r.required("client_id"),
                    r.choice("kind", PauseKind.OTHER),
                    r.read("from_day", LocalDate.EPOCH, LocalDate::parse),
                    CsvRow.date(r, "until_day"),
                    r.text("note"),
                    r.instant("recorded_at")));

    private static String text(Map<Threshold, Double> values) {
        return values.entrySet().stream()
                .map(e -> e.getKey() + "=" + e.getValue())
                .collect(Collectors.joining(";"));
    }

    private static Map<Threshold, Double> values(String text) {
        var values = new EnumMap<Threshold, Double>(Threshold.class);
        for (var part : text.isEmpty() ? new String[0] : text.split(";")) {
            var pair = part.split("=");
            if (pair.length != 2) {
                throw new IllegalArgumentException("a threshold is NAME=value");
            }
            values.put(Threshold.valueOf(pair[0]), Double.parseDouble(pair[1]));
        }
        return values;
    }
}
