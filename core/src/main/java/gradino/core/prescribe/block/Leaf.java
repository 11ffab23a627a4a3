package gradino.core.prescribe.block;

import java.util.List;

/** A block that unfolds into phases itself. */
public sealed interface Leaf extends Block permits Quiet, Contraction, Movement {
    BlockKind kind();

    /** The phases in order, in whole seconds. */
    List<Draft> phases();

    @Override
    default List<Part> parts() {
        return List.of(new Part(this, 0, 0));
    }

    /** The block's breath; six seconds where it names none. */
    default Breathing breathing() {
        return Breathing.USUAL;
    }

    @Override
    default int seconds() {
        int seconds = 0;
        for (var draft : phases()) {
            seconds += draft.seconds();
        }
        return seconds;
    }
}
