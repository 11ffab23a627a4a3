package gradino.core.effort;

import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.timeline.Compiler;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * What would make a block feasible that the forecast marks: the shortest rest between its sets, and the highest ceiling. Both
 * sides alike. Within the whole session, so that what came before still tires.
 */
public final class EffortSolver {
    private static final int MOST_REST = 600;

    private EffortSolver() {}

    /**
     * Ways out.
     *
     * @param restSeconds shortest rest between sets that makes the block feasible; empty when none up to 600 s does
     * @param ceiling highest ceiling below 90 % that fits as it is; empty when none does
     */
    public record WaysOut(Optional<Integer> restSeconds, Optional<Integer> ceiling) {}

    /** @param station with {@code line} and {@code block} the place of a graded set; other kinds have no way out here */
    public static WaysOut solve(SessionDraft draft, int station, int line, int block) {
        var at = new Place(station, line, block);
        if (!isGradedSet(draft, at)) {
            return new WaysOut(Optional.empty(), Optional.empty());
        }
        var rest = least(0, MOST_REST, r -> feasible(with(draft, at, "rest", r), at));
        var ceiling = most(1, (int) Forecast.ALL_OUT - 1, c -> feasible(with(draft, at, "ceiling", c), at));
        return new WaysOut(rest, ceiling);
    }

    private record Place(int station, int line, int block) {
        String path(String side) {
            return "stations[%d].lines[%d].%s[%d]".formatted(station, line, side, block);
        }
    }

    private static boolean isGradedSet(SessionDraft draft, Place at) {
        var line = draft.stations().get(at.station()).lines().get(at.line());
        var first = line.left().isEmpty() ? line.right() : line.left();
        return at.block() < first.size() && first.get(at.block()).form() == BlockForm.GRADED_SET;
    }

    private static boolean feasible(SessionDraft draft, Place at) {
        var plan = SessionReader.read(draft).plan();
        if (plan.isEmpty()) {
            return false;
        }
        return Forecast.of(draft, Compiler.compile(plan.get())).marks().stream()
                .filter(m -> !m.allOut())
                .noneMatch(m -> m.place().equals(at.path("left")) || m.place().equals(at.path("right")));
    }

    /** More rest is never worse: halving finds the least. */
    private static Optional<Integer> least(int low, int high, IntPredicate fits) {
        if (!fits.test(high)) {
            return Optional.empty();
        }
        int below = low - 1;
        int above = high;
        while (above - below > 1) {
            int middle = (below + above) / 2;
            if (fits.test(middle)) {
                above = middle;
            } else {
                below = middle;
            }
        }
        return Optional.of(above);
    }

    private static Optional<Integer> most(int low, int high, IntPredicate fits) {
        return least(-high, -low, negative -> fits.test(-negative)).map(n -> -n);
    }

    private static SessionDraft with(SessionDraft draft, Place at, String name, double value) {
        return draft.withBlocks(
                at.station(),
                at.line(),
                at.block(),
                block -> block.form() == BlockForm.GRADED_SET ? block.with(name, value) : block);
    }
}
