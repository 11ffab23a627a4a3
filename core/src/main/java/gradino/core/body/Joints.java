package gradino.core.body;

import java.util.Set;

/** Joints by the names that motions and rotations give them. */
public final class Joints {
    private static final Set<String> OF_THE_MIDDLE = Set.of("neck", "thoracic", "lumbar", "spine");

    private Joints() {}

    /** Whether there is a left and a right one. */
    public static boolean isPaired(String joint) {
        return !OF_THE_MIDDLE.contains(joint);
    }
}
