package gradino.server.report;

import gradino.server.report.read.Periods;
import gradino.server.report.told.Audience;
import gradino.server.report.told.Told.ReportPart;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Which report.
 *
 * @param period since the baseline unless it says otherwise
 * @param left parts that are left out; what was hard never is
 * @param named whether the client's name is told; null as is usual for the audience
 */
record ReportAsk(
        Periods.@Nullable Kind period,
        @Nullable LocalDate from,
        @Nullable LocalDate to,
        @Nullable Audience audience,
        @Nullable List<ReportPart> left,
        @Nullable Boolean named) {

    static final ReportAsk ALL = new ReportAsk(Periods.Kind.BASELINE, null, null, Audience.COACH, null, true);

    Periods.Asked days() {
        return new Periods.Asked(period == null ? Periods.Kind.BASELINE : period, from, to);
    }

    Audience whom() {
        return audience == null ? Audience.COACH : audience;
    }

    Set<ReportPart> without() {
        return left == null ? Set.of() : Set.copyOf(left);
    }

    boolean isNamed() {
        return named == null ? whom() != Audience.PROFESSIONAL : named;
    }

    ReportAsk forClient() {
        return new ReportAsk(period, from, to, Audience.CLIENT, left, true);
    }
}
