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
        for (var form : BlockForm.ALL) {
            var ofForm = method.ofForm(form);
            if (has(ofForm, role)) {
                of(ofForm, BlockNumbers.of(blocks, form), role, found);
            }
        }
        return found;
    }

    private static boolean has(List<MethodBlock> all, String role) {
        for (var block : all) {
            if (block.role().equals(role)) {
                return true;
            }
        }
        return false;
    }

    private static void of(List<MethodBlock> ofForm, List<Place> places, String role, List<Found> into) {
        for (int nth = 0; nth < places.size(); nth++) {
            var place = places.get(nth);
            own(ofForm, place.block(), nth)
                    .filter(own -> own.role().equals(role))
                    .ifPresent(own -> into.add(new Found(place, own)));
        }
    }

    /** Empty where the method has no block of this kind. */
    public static Optional<MethodBlock> own(Method method, List<BlockDraft> blocks, Place place) {
        int nth = 0;
        for (var other : BlockNumbers.of(blocks, place.block().form())) {
            if (other.path().equals(place.path())) {
                break;
            }
            nth++;
        }
        return own(method.ofForm(place.block().form()), place.block(), nth);
    }

    private static Optional<MethodBlock> own(List<MethodBlock> ofForm, BlockDraft block, int nth) {
        var named = block.words().get(MethodBlock.ROLE);
        if (ofForm.isEmpty()) {
            return Optional.empty();
        } else if (named == null) {
            return Optional.of(ofForm.get(Math.min(nth, ofForm.size() - 1)));
        }
        for (var own : ofForm) {
            if (own.role().equals(named)) {
                return Optional.of(own);
            }
        }
        return Optional.empty();
    }
}
