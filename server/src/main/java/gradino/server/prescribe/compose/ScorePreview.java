package gradino.server.prescribe.compose;

import gradino.core.advance.state.Policy;
import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import gradino.core.effort.Forecast;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.BreathPhase;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.program.SessionCheck.Checked;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.WeeklyDose;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Totals;
import gradino.server.intake.Client;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A session while it is composed. Phases, totals and forecast are missing while nothing of it can be.
 *
 * @param phases what is drawn of the timeline
 * @param set how each line is set up on each side
 */
record ScorePreview(
        List<ScorePhase> phases,
        @Nullable Totals totals,
        List<LineTotals> lines,
        @Nullable ForecastView forecast,
        List<LineSet> set,
        List<Finding> findings) {
    private static final int VALUES_DRAWN = 400;

    /**
     * One phase as the score draws it.
     *
     * @param count 1-based; 0 when nothing is counted
     * @param inhales seconds after the phase's start at which a breath begins
     */
    record ScorePhase(
            int startSecond,
            int endSecond,
            Side side,
            String place,
            BlockKind block,
            PhaseKind kind,
            Direction direction,
            int effortFrom,
            int effortTo,
            String cue,
            int set,
            int count,
            List<Integer> inhales) {
        static ScorePhase of(Timeline.Phase p) {
            return new ScorePhase(
                    p.startSecond(),
                    p.endSecond(),
                    p.side(),
                    p.place(),
                    p.block(),
                    p.kind(),
                    p.direction(),
                    p.effortFrom().value(),
                    p.effortTo().value(),
                    p.cue(),
                    p.set(),
                    p.count(),
                    p.breaths().stream()
                            .filter(b -> b.phase() == BreathPhase.IN)
                            .map(b -> b.atSecond() - p.startSecond())
                            .toList());
        }
    }

    /** What a line amounts to, once and in a week. */
    record LineTotals(String line, Totals totals, WeeklyDose weekly) {}

    /**
     * The forecast, thinned for drawing.
     *
     * @param everySeconds from one value of a pool to the next
     */
    record ForecastView(int everySeconds, List<PoolView> pools, List<Forecast.Shortfall> marks) {}

    /**
     * One group of muscles.
     *
     * @param capacity what could be held, whole % of fresh
     * @param lowest the least of it over all seconds
     */
    record PoolView(
            String motion,
            String name,
            Side side,
            String joint,
            List<String> borrowed,
            List<Integer> capacity,
            int lowest) {}

    static ScorePreview of(Client client, SessionDraft draft, Checked checked, Policy policy) {
        var set = LineSets.of(client, draft, policy);
        return checked.timeline()
                .map(t -> new ScorePreview(
                        t.phases().stream().map(ScorePhase::of).toList(),
                        Totals.of(t, draft.lines().stream().anyMatch(LineDraft::loaded)),
                        lineTotals(draft, t),
                        forecast(draft, t),
                        set,
                        checked.findings()))
                .orElseGet(() -> new ScorePreview(List.of(), null, List.of(), null, set, checked.findings()));
    }

    private static List<LineTotals> lineTotals(SessionDraft draft, Timeline timeline) {
        return draft.lines().stream().map(l -> lineTotals(l, timeline)).toList();
    }

    private static LineTotals lineTotals(LineDraft line, Timeline timeline) {
        var totals = Totals.of(timeline.ofLine(line.id()), line.loaded());
        return new LineTotals(line.id(), totals, WeeklyDose.of(totals, line.sessionsPerWeek()));
    }

    private static ForecastView forecast(SessionDraft draft, Timeline timeline) {
        var forecast = Forecast.of(draft, timeline);
        int every = Math.max(1, timeline.seconds() / VALUES_DRAWN);
        return new ForecastView(
                every, forecast.pools().stream().map(p -> pool(p, every)).toList(), forecast.marks());
    }

    private static PoolView pool(Forecast.Pool p, int every) {
        var name = Catalogue.motion(p.motion()).map(Motion::name).orElse(p.motion());
        double lowest = Collections.min(p.capacity());
        return new PoolView(p.motion(), name, p.side(), p.joint(), p.borrowed(), thinned(p.capacity(), every), (int)
                Math.round(lowest));
    }

    private static List<Integer> thinned(List<Double> values, int every) {
        var some = new ArrayList<Integer>();
        for (int i = every - 1; i < values.size(); i += every) {
            some.add((int) Math.round(values.get(i)));
        }
        return some;
    }
}
