package gradino.core.advance.lever;

import gradino.core.advance.state.Policy;
import gradino.core.effort.Gravity;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.BlockNumbers.Place;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.Roles;
import java.util.List;
import java.util.Optional;

/**
 * The first block of a line that a load can hang on, and what is counted with it: repetitions, or rounds where the method keeps
 * those few.
 *
 * @param counted where the number stands that is counted
 * @param now repetitions or rounds
 * @param low of the method, to which a heavier load goes back
 * @param top of the method, which comes before a first load
 */
public record LoadedBlock(Place place, List<Integer> counted, String number, int now, int low, int top) {
    private static final List<BlockForm> LOADABLE =
            List.of(BlockForm.LOADED_STRETCH, BlockForm.LIFT_OFF, BlockForm.ECCENTRIC);
    private static final String REPETITIONS = "repetitions";
    private static final String ROUNDS = "rounds";

    public static Optional<LoadedBlock> of(Method method, List<BlockDraft> blocks) {
        return LOADABLE.stream()
                .flatMap(form -> BlockNumbers.of(blocks, form).stream())
                .findFirst()
                .map(place -> of(method, blocks, place));
    }

    private static LoadedBlock of(Method method, List<BlockDraft> blocks, Place place) {
        var range = Roles.own(method, blocks, place).map(own -> own.numbers().get(REPETITIONS));
        if (range.isEmpty()) {
            return of(place, place, REPETITIONS, LoadStep.LOW_REPETITIONS, LoadStep.TOP_REPETITIONS);
        }
        var rounds = range.get().most() < LoadStep.LOW_REPETITIONS
                ? around(method, blocks, place)
                : Optional.<LoadedBlock>empty();
        return rounds.orElseGet(() -> of(
                place,
                place,
                REPETITIONS,
                (int) range.get().least(),
                range.get().mostWhole()));
    }

    private static Optional<LoadedBlock> around(Method method, List<BlockDraft> blocks, Place place) {
        var outside = place.path().subList(0, place.path().size() - 1);
        return BlockNumbers.of(blocks, BlockForm.GROUP).stream()
                .filter(group -> group.path().equals(outside))
                .findFirst()
                .flatMap(group -> Roles.own(method, blocks, group)
                        .map(own -> own.numbers().get(ROUNDS))
                        .map(r -> of(place, group, ROUNDS, (int) r.least(), r.mostWhole())));
    }

    private static LoadedBlock of(Place place, Place counted, String number, int low, int top) {
        int now = (int) Math.round(counted.block().number(number));
        return new LoadedBlock(place, counted.path(), number, now, low, top);
    }

    public double loadKg() {
        return place.block().number("load");
    }

    public Optional<LoadStep> next(Gravity limb, Policy policy) {
        return LoadStep.next(limb, loadKg(), now, low, top, policy);
    }

    List<BlockDraft> with(List<BlockDraft> blocks, LoadStep step) {
        var loaded = BlockNumbers.with(blocks, place.path(), b -> b.with("load", step.loadKg()));
        return BlockNumbers.with(loaded, counted, b -> b.with(number, step.repetitions()));
    }
}
