package gradino.core.advance.gate;

import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.Roles;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Doses that were held against the restrictions, the method and the minutes: the dear part of a step. Holds for one side as
 * long as the plan, the doses in force and the client stay the same; may be asked by several at once.
 */
public final class Checked {
    /** Angles move with every new day; nobody needs those of days gone by. */
    private static final int MOST = 100;

    private final Map<Object, Dose> moved = new HashMap<>();
    private final IdentityHashMap<LadderRung, List<Roles.Found>> places = new IdentityHashMap<>();
    private final IdentityHashMap<Dose, Optional<Because>> newcomers = new IdentityHashMap<>();
    private final IdentityHashMap<Dose, Optional<Because>> others = new IdentityHashMap<>();
    private final IdentityHashMap<List<BlockDraft>, Optional<Finding>> newcomersBlocks = new IdentityHashMap<>();
    private final IdentityHashMap<List<BlockDraft>, Optional<Finding>> othersBlocks = new IdentityHashMap<>();

    synchronized Dose moved(Object change, Supplier<Dose> to) {
        if (moved.size() + newcomers.size() + others.size() > MOST) {
            forget();
        }
        return moved.computeIfAbsent(change, c -> to.get());
    }

    synchronized List<Roles.Found> places(LadderRung rung, Function<LadderRung, List<Roles.Found>> found) {
        return places.computeIfAbsent(rung, found);
    }

    private void forget() {
        moved.clear();
        newcomers.clear();
        others.clear();
        newcomersBlocks.clear();
        othersBlocks.clear();
    }

    synchronized Optional<Because> dose(boolean newcomer, Dose dose, Function<Dose, Optional<Because>> check) {
        return (newcomer ? newcomers : others).computeIfAbsent(dose, check);
    }

    synchronized Optional<Finding> blocks(
            boolean newcomer, List<BlockDraft> blocks, Supplier<Optional<Finding>> check) {
        return (newcomer ? newcomersBlocks : othersBlocks).computeIfAbsent(blocks, b -> check.get());
    }
}
