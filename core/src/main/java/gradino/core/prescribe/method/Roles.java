package gradino.core.prescribe.method;

import gradino.core.prescribe.method.BlockNumbers.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Which of a line's blocks is which of its method's: by the role it was made with, or by its place among those of its kind. */
public final class Roles {
    private Roles() {}

    /** A block of a line, and the one of its method that it is. */
    public record Found(Place place, MethodBlock own) {}

    /** Every block of a role, in the order in which it is done. */
    public static List<Found> of(Method method, List<BlockDraft> blocks, String role) {
        var found = new ArrayList<Found>();
        for (var own : method.withRole(role)) {
            for (var place : BlockNumbers.of(blocks, own.form())) {
                if (own(method, blocks, place).filter(own::equals).isPresent()) {
                    found.add(new Found(place, own));
                }
            }
        }
        return found;
    }

    /** Empty where the method has no block of this kind. */
    public static Optional<MethodBlock> own(Method method, List<BlockDraft> blocks, Place place) {
        var block = place.block();
        var ofForm = method.ofForm(block.form());
        var named = block.word(MethodBlock.ROLE, "");
        if (ofForm.isEmpty() || !named.isEmpty()) {
            return ofForm.stream().filter(b -> b.role().equals(named)).findFirst();
        }
        int nth = 0;
        for (var other : BlockNumbers.of(blocks, block.form())) {
            if (other.path().equals(place.path())) {
                return Optional.of(ofForm.get(Math.min(nth, ofForm.size() - 1)));
            }
            nth++;
        }
        return Optional.empty();
    }
}
