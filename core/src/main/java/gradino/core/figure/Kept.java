package gradino.core.figure;

import gradino.core.figure.FigureMaker.Asked;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/** What was worked out for the last few hundred that were asked for; those not asked for longest go. */
final class Kept<T> {
    private static final int MOST = 300;

    private final Function<Asked, T> maker;
    private final Map<Asked, T> made = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, T> eldest) {
            return size() > MOST;
        }
    });

    Kept(Function<Asked, T> maker) {
        this.maker = maker;
    }

    T of(Asked asked) {
        var known = made.get(asked);
        if (known == null) {
            known = maker.apply(asked);
            made.put(asked, known);
        }
        return known;
    }
}
