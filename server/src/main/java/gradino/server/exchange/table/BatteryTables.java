package gradino.server.exchange.table;

import gradino.core.measure.noise.Warmth;
import gradino.server.measure.Battery;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.Battery.BatterySet;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Battery.Unit;
import java.util.Arrays;
import java.util.List;

/** Saved batteries, each time one was gone through, and how the movements of it went. */
public final class BatteryTables {
    private BatteryTables() {}

    public static final CsvTable<Battery> BATTERIES = new CsvTable<>(
            "batteries.csv",
            List.of("battery_id", "client_id", "name", "set_json", "recorded_at"),
            b -> Arrays.asList(b.id(), b.clientId(), b.name(), CellJson.write(b.body()), b.recordedAt()),
            r -> new Battery(
                    r.required("battery_id"),
                    r.required("client_id"),
                    r.required("name"),
                    r.read(
                            "set_json",
                            new BatterySet(List.of(), List.of()),
                            text -> CellJson.read(text, BatterySet.class)),
                    r.instant("recorded_at")));

    public static final CsvTable<Assessment> ASSESSMENTS = new CsvTable<>(
            "assessments.csv",
            List.of("assessment_id", "client_id", "battery_id", "happened_at", "recorded_at"),
            a -> Arrays.asList(a.id(), a.clientId(), a.batteryId(), a.happenedAt(), a.recordedAt()),
            r -> new Assessment(
                    r.required("assessment_id"),
                    r.required("client_id"),
                    r.required("battery_id"),
                    r.instant("happened_at"),
                    r.instant("recorded_at", r.instant("happened_at"))));

    public static final CsvTable<MovementResult> MOVEMENTS = new CsvTable<>(
            "movements.csv",
            List.of(
                    "result_id",
                    "client_id",
                    "assessment_id",
                    "run_id",
                    "movement",
                    "unit",
                    "warmth",
                    "value",
                    "happened_at",
                    "recorded_at",
                    "note"),
            m -> Arrays.asList(
                    m.id(),
                    m.clientId(),
                    m.assessmentId(),
                    m.runId(),
                    m.movement(),
                    CsvRow.word(m.unit()),
                    CsvRow.word(m.warmth()),
                    m.value(),
                    m.happenedAt(),
                    m.recordedAt(),
                    m.note()),
            r -> new MovementResult(
                    r.required("result_id"),
                    r.required("client_id"),
                    r.optional("assessment_id", id -> id),
                    r.optional("run_id", id -> id),
                    r.required("movement"),
                    r.choice("unit", Unit.GRADE),
                    r.choice("warmth", Warmth.COLD),
                    r.read("value", 0.0, Double::valueOf),
                    r.instant("happened_at"),
                    r.instant("recorded_at", r.instant("happened_at")),
                    r.text("note")));
}
