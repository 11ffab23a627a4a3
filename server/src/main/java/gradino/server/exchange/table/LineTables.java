package gradino.server.exchange.table;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository.LineVersion;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Lines, each version a row. */
public final class LineTables {
    private LineTables() {}

    /** A line with one version of it. */
    public record LineRow(Line line, LineVersion version) {}

    public static final CsvTable<LineRow> LINES = new CsvTable<>(
            "lines.csv",
            List.of(
                    "line_id",
                    "client_id",
                    "motion",
                    "position",
                    "line_happened_at",
                    "line_recorded_at",
                    "follows",
                    "ended_at",
                    "happened_at",
                    "recorded_at",
                    "method",
                    "sides",
                    "first_side",
                    "set_up_s",
                    "side_change_s",
                    "sessions_per_week",
                    "unequal_reason",
                    "instrument",
                    "left_dose",
                    "right_dose"),
            LineTables::lineCells,
            LineTables::line);

    private static List<@Nullable Object> lineCells(LineRow row) {
        var line = row.line();
        var plan = row.version().plan();
        return Arrays.asList(
                line.id(),
                line.clientId(),
                line.motion(),
                line.position(),
                line.happenedAt(),
                line.recordedAt(),
                line.follows(),
                line.endedAt(),
                row.version().happenedAt(),
                row.version().recordedAt(),
                plan.method(),
                CsvRow.word(plan.sides()),
                CsvRow.word(plan.firstSide()),
                plan.setUpSeconds(),
                plan.sideChangeSeconds(),
                plan.sessionsPerWeek(),
                plan.unequalReason(),
                CsvRow.word(plan.instrument()),
                DoseText.of(plan.dose(Side.LEFT)),
                DoseText.of(plan.dose(Side.RIGHT)));
    }

    private static LineRow line(CsvRow r) {
        var line = new Line(
                r.required("line_id"),
                r.required("client_id"),
                r.required("motion"),
                r.required("position"),
                r.instant("line_happened_at"),
                r.instant("line_recorded_at"),
                r.isEmpty("follows") ? null : r.text("follows"),
                r.isEmpty("ended_at") ? null : r.instant("ended_at"));
        var plan = r.read("line_id", NONE, id -> plan(r, line));
        return new LineRow(line, new LineVersion(line.id(), plan, r.instant("happened_at"), r.instant("recorded_at")));
    }

    /** Apparatuses in for what could not be read, so that the reading of the row goes on. */
    private static final Plan NONE = new Plan(
            "",
            "",
            Method.RAMP_BOTH_WAYS,
            SideOrder.ONE_AFTER_OTHER,
            Side.LEFT,
            0,
            0,
            1,
            "",
            null,
            Sided.both(DoseText.NONE));

    private static Plan plan(CsvRow r, Line line) {
        return new Plan(
                line.motion(),
                line.position(),
                r.required("method"),
                r.choice("sides", SideOrder.ONE_AFTER_OTHER),
                r.choice("first_side", Side.LEFT),
                whole(r, "set_up_s"),
                whole(r, "side_change_s"),
                whole(r, "sessions_per_week"),
                r.text("unequal_reason"),
                r.optionalChoice("instrument", Instrument.class),
                DoseText.sides(r));
    }

    private static int whole(CsvRow r, String column) {
        return r.read(column, 1, Integer::parseInt);
    }
}
