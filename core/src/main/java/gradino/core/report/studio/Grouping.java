package gradino.core.report.studio;

import gradino.core.advance.look.Flight.Turned;
import gradino.core.report.Judged;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Counts over lines. A person with two sides, or two lines, counts once in a mean: their own mean. */
final class Grouping {
    private Grouping() {}

    static Map<Turned, Integer> turned(List<LineLife> lives) {
        var count = new EnumMap<Turned, Integer>(Turned.class);
        lives.stream().flatMap(l -> l.overrides().stream()).forEach(t -> count.merge(t, 1, Integer::sum));
        return count;
    }

    /** A session, or a stop sign, of two sides or of two lines is one. */
    static int distinct(List<LineLife> lives, Function<LineLife, Set<String>> ids) {
        return (int)
                lives.stream().flatMap(l -> ids.apply(l).stream()).distinct().count();
    }

    static int judged(List<LineLife> measured, Judged as) {
        return (int) measured.stream()
                .map(LineLife::change)
                .filter(c -> c != null && c.judged() == as)
                .count();
    }

    static boolean isOneMotion(List<LineLife> lives) {
        return lives.stream().map(LineLife::motion).distinct().count() == 1;
    }

    static @Nullable Double change(LineLife life) {
        var change = life.change();
        return change == null ? null : Double.valueOf(change.degrees());
    }

    static Collection<Double> byPerson(List<LineLife> lives, Function<LineLife, @Nullable Double> value) {
        return lives.stream()
                .filter(l -> value.apply(l) != null)
                .collect(Collectors.groupingBy(LineLife::client, TreeMap::new, Collectors.averagingDouble(l -> {
                    var of = value.apply(l);
                    return of == null ? 0 : of;
                })))
                .values();
    }
}
