package gradino.core.report.studio;

import gradino.core.measure.noise.Instrument;
import gradino.core.measure.reading.ReadingChange;
import gradino.core.report.Judged;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Two methods held against each other where all else is alike: one motion, position and instrument, people who followed the one or
 * the other alone. Nobody was drawn by lot, so it is no trial: who gets which method may be the reason for the difference.
 *
 * <p>Source of the interval: Welch BL 1947, Biometrika 34:28–35; degrees of freedom by Satterthwaite, rounded down (GUM G.4.1; from
 * memory).
 *
 * @param difference of the means, first − second; null while one of them is a small group
 */
public record LikeWithLike(
        String motion,
        String position,
        Instrument instrument,
        String first,
        String second,
        Mean firstChange,
        Mean secondChange,
        @Nullable Between difference) {

    /** A difference of two means with its 95 % interval, degrees. */
    public record Between(double degrees, double lower, double upper, Judged judged) {}

    static List<LikeWithLike> of(List<LineLife> lives) {
        var alike = lives.stream()
                .filter(l -> l.change() != null)
                .collect(Collectors.groupingBy(
                        l -> l.motion() + " " + l.position() + " " + l.instrument(),
                        TreeMap::new,
                        Collectors.toList()));
        var found = new ArrayList<LikeWithLike>();
        alike.values().forEach(group -> pairs(group, found));
        return List.copyOf(found);
    }

    private static void pairs(List<LineLife> group, List<LikeWithLike> found) {
        var methods = group.stream().map(LineLife::method).distinct().sorted().toList();
        for (int i = 0; i < methods.size(); i++) {
            for (int j = i + 1; j < methods.size(); j++) {
                found.add(pair(group, methods.get(i), methods.get(j)));
            }
        }
    }

    private static LikeWithLike pair(List<LineLife> group, String first, String second) {
        var one = Mean.of(alone(group, first, second));
        var other = Mean.of(alone(group, second, first));
        var like = group.get(0);
        return new LikeWithLike(
                like.motion(),
                like.position(),
                Optional.ofNullable(like.instrument()).orElseThrow(),
                first,
                second,
                one,
                other,
                between(one, other));
    }

    /** Whoever followed both would stand on both sides of the comparison. */
    private static java.util.Collection<Double> alone(List<LineLife> group, String method, String not) {
        var others = group.stream()
                .filter(l -> l.method().equals(not))
                .map(LineLife::client)
                .collect(Collectors.toSet());
        return Grouping.byPerson(
                group.stream()
                        .filter(l -> l.method().equals(method) && !others.contains(l.client()))
                        .toList(),
                Grouping::change);
    }

    private static @Nullable Between between(Mean one, Mean other) {
        var mean = one.value();
        var against = other.value();
        var deviation = one.deviation();
        var deviationAgainst = other.deviation();
        if (mean == null || against == null || deviation == null || deviationAgainst == null) {
            return null;
        }
        double first = deviation * deviation / one.n();
        double second = deviationAgainst * deviationAgainst / other.n();
        double variance = first + second;
        double freedom = variance * variance / (first * first / (one.n() - 1) + second * second / (other.n() - 1));
        double bound = variance == 0 ? 0 : ReadingChange.k((int) freedom) * Math.sqrt(variance);
        double degrees = mean - against;
        return new Between(degrees, degrees - bound, degrees + bound, Judged.of(degrees, bound));
    }
}
