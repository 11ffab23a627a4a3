package gradino.core.figure;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Every joint's three angles, degrees. Whatever is not named is 0. */
final class Angles {
    /** @param number 0 flexion, 1 abduction, 2 rotation */
    record Freedom(Bone bone, int number) {
        Freedom {
            if (number < 0 || number > 2) {
                throw new IllegalArgumentException("a joint has angles 0 to 2, was " + number);
            }
        }

        static List<Freedom> of(Bone bone) {
            return IntStream.range(0, 3).mapToObj(n -> new Freedom(bone, n)).toList();
        }
    }

    private final Map<Freedom, Double> degrees = new HashMap<>();

    Angles copy() {
        var copy = new Angles();
        copy.degrees.putAll(degrees);
        return copy;
    }

    double get(Freedom freedom) {
        return degrees.getOrDefault(freedom, 0.0);
    }

    void set(Freedom freedom, double value) {
        degrees.put(freedom, value);
    }
}
