package gradino.server.report.told;

import gradino.core.report.Judged;
import gradino.core.report.LineClimb;
import gradino.core.report.MotionChange;
import gradino.core.report.MotionSide;
import gradino.core.report.Pair;
import gradino.core.report.Report;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What changed, is trained or has a goal comes first, each told on its own; the rest is told together. */
final class BetterOrder {
    private final List<MotionChange> all;
    private final Set<String> trained;

    BetterOrder(Report report) {
        all = report.better().motions();
        trained = report.climb().stream().map(LineClimb::motion).collect(Collectors.toSet());
    }

    List<MotionChange> first() {
        return all.stream()
                .filter(this::isFirst)
                .sorted(Comparator.comparing((MotionChange m) -> m.goal() == null)
                        .thenComparing(m -> !changed(m)))
                .toList();
    }

    List<MotionChange> all() {
        return Stream.concat(first().stream(), rest().stream()).toList();
    }

    List<MotionChange> rest() {
        return all.stream().filter(m -> !isFirst(m)).toList();
    }

    private boolean isFirst(MotionChange m) {
        boolean told = m.passive() != null || m.active() != null;
        return told && (changed(m) || trained.contains(m.of().motion()) || m.goal() != null);
    }

    private static boolean changed(MotionChange m) {
        return isReal(m.passive()) || isReal(m.active());
    }

    private static boolean isReal(@Nullable Pair pair) {
        return pair != null && pair.change().judged() != Judged.WITHIN_NOISE;
    }

    /** "Hip flexion (both sides)", "Left wrist extension". */
    static List<String> bySide(List<MotionChange> all) {
        var sides = all.stream()
                .map(MotionChange::of)
                .collect(Collectors.groupingBy(
                        MotionSide::motion,
                        LinkedHashMap::new,
                        Collectors.mapping(MotionSide::side, Collectors.toCollection(TreeSet::new))));
        return sides.entrySet().stream()
                .map(e -> e.getValue().size() > 1
                        ? Says.motion(e.getKey()) + " (both sides)"
                        : Says.side(e.getKey(), e.getValue().first()))
                .toList();
    }
}
