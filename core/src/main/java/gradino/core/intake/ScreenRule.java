package gradino.core.intake;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What one finding of the screening forbids, from {@code screen-rules.csv}.
 *
 * @param joints where; empty for the whole body
 * @param ofEvent the joint comes from the event itself
 * @param reason with {0} for what the finding adds
 */
record ScreenRule(
        String finding,
        RestrictionKind kind,
        List<String> joints,
        boolean ofEvent,
        @Nullable Double limit,
        String reason,
        Source source) {
    private static final List<ScreenRule> ALL = DataFile.rows("screen-rules.csv", row -> {
        var joints = row.get("joints");
        boolean ofEvent = joints.equals("event");
        return new ScreenRule(
                row.get("finding"),
                RestrictionKind.valueOf(row.get("kind")),
                ofEvent || joints.isEmpty() ? List.of() : Arrays.asList(joints.split(";")),
                ofEvent,
                row.get("limit").isEmpty() ? null : Double.valueOf(row.get("limit")),
                row.get("reason"),
                Source.parse(row.get("source")));
    });

    static List<ScreenRule> all() {
        return ALL;
    }

    /** The restriction for a finding made at {@code since}. */
    Restriction restriction(Finding finding) {
        var scope = ofEvent ? finding.scope() : new Scope(joints, null, null);
        return new Restriction(
                finding.id() + "/" + kind,
                kind,
                scope,
                limit,
                reason.replace("{0}", finding.says()),
                source,
                finding.since(),
                finding.until());
    }

    /**
     * Something the screening brought up.
     *
     * @param id stable, so that a clearance can name it
     * @param rule under which rules it falls
     * @param says what it puts into the reason
     */
    record Finding(
            String id,
            String rule,
            String says,
            Scope scope,
            Instant since,
            @Nullable Instant until) {}
}
