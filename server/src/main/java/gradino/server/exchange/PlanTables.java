package gradino.server.exchange;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.Instrument;
import gradino.core.prescribe.Breathing;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.SidePlan;
import gradino.core.quantity.Degrees;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.LineRepository.PlanVersion;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Lines with every version of their plans. */
final class PlanTables {
    private PlanTables() {}

    /** A line with one version of its plan. */
    record LineRow(Line line, PlanVersion version) {}

    static final CsvTable<LineRow> LINES = new CsvTable<>(
            "plans.csv",
            List.of(
                    "line_id",
                    "client_id",
                    "motion",
                    "position",
                    "instrument",
                    "line_happened_at",
                    "line_recorded_at",
                    "plan_happened_at",
                    "plan_recorded_at",
                    "method",
                    "rotations_each_way",
                    "seconds_per_circle",
                    "press_steps",
                    "pull_s",
                    "settle_s",
                    "settle_in_s",
                    "settle_out_s",
                    "set_up_s",
                    "side_change_s",
                    "sessions_per_week",
                    "first_side",
                    "unequal_reason",
                    "left_dose",
                    "right_dose",
                    "sides",
                    "composition_id",
                    "line_key",
                    "ended_at"),
            4,
            PlanTables::lineCells,
            PlanTables::line);

    private static List<@Nullable Object> lineCells(LineRow row) {
        var line = row.line();
        var plan = row.version().plan();
        return Arrays.asList(
                line.id(),
                line.clientId(),
                line.motion(),
                line.position(),
                CsvRow.word(line.instrument()),
                line.happenedAt(),
                line.recordedAt(),
                row.version().happenedAt(),
                row.version().recordedAt(),
                plan.method(),
                plan.rotationsEachWay(),
                plan.secondsPerCircle(),
                DoseText.steps(plan.press()),
                plan.pullSeconds(),
                plan.settleSeconds(),
                plan.settleBreathing().inSeconds(),
                plan.settleBreathing().outSeconds(),
                plan.setUpSeconds(),
                plan.sideChangeSeconds(),
                plan.sessionsPerWeek(),
                CsvRow.word(plan.firstSide()),
                plan.unequalReason(),
                DoseText.of(plan.dose(Side.LEFT)),
                DoseText.of(plan.dose(Side.RIGHT)),
                CsvRow.word(plan.sides()),
                line.composed() == null ? null : line.composed().compositionId(),
                line.composed() == null ? null : line.composed().key(),
                line.endedAt());
    }

    private static LineRow line(CsvRow r) {
        var line = new Line(
                r.required("line_id"),
                r.required("client_id"),
                r.required("motion"),
                r.required("position"),
                r.choice("instrument", Instrument.TYPED),
                r.instant("line_happened_at"),
                r.instant("line_recorded_at"),
                r.isEmpty("composition_id")
                        ? null
                        : new Line.InSession(r.required("composition_id"), r.required("line_key")),
                r.isEmpty("ended_at") ? null : r.instant("ended_at"));
        var fallback = Plan.first(line.motion(), line.position(), Sided.both(Degrees.of(0)), Side.LEFT);
        var plan = r.read("line_id", fallback, id -> plan(r, line));
        return new LineRow(
                line, new PlanVersion(line.id(), plan, r.instant("plan_happened_at"), r.instant("plan_recorded_at")));
    }

    private static Plan plan(CsvRow r, Line line) {
        return new Plan(
                line.motion(),
                line.position(),
                r.required("method"),
                whole(r, "rotations_each_way"),
                whole(r, "seconds_per_circle"),
                r.read("press_steps", DoseText.steps("20:5"), DoseText::steps),
                whole(r, "pull_s"),
                whole(r, "settle_s"),
                new Breathing(whole(r, "settle_in_s"), whole(r, "settle_out_s")),
                whole(r, "set_up_s"),
                whole(r, "side_change_s"),
                whole(r, "sessions_per_week"),
                r.choice("first_side", Side.LEFT),
                r.text("unequal_reason"),
                DoseText.sides(r),
                r.isEmpty("sides") ? SidePlan.ONE_AFTER_OTHER : r.choice("sides", SidePlan.ONE_AFTER_OTHER));
    }

    private static int whole(CsvRow r, String column) {
        return r.read(column, 1, Integer::parseInt);
    }
}
