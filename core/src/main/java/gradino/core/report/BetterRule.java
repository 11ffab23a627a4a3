package gradino.core.report;

import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.RangeSeries;
import gradino.core.quantity.UncertainAngle;
import gradino.core.report.Better.Family;
import gradino.core.report.Difference.Weighted;
import gradino.core.report.Missing.Why;
import gradino.core.report.MotionChange.Estimated;
import gradino.core.report.MotionChange.GapChange;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Works out {@link Better} for one period. */
final class BetterRule {
    private final Map<SeriesKey, Series> series;
    private final Map<String, Double> goals;
    private final NoiseRules noise;
    private final Period period;
    private final ZoneId zone;

    /** @param goals degrees that the goal needs, by motion */
    BetterRule(List<Series> series, Map<String, Double> goals, NoiseRules noise, Period period, ZoneId zone) {
        this.series = series.stream().collect(Collectors.toMap(Series::key, Function.identity()));
        this.goals = goals;
        this.noise = noise;
        this.period = period;
        this.zone = zone;
    }

    /** @param expected series of the battery that is measured again, whether or not there is a reading of them */
    Better of(Set<SeriesKey> expected, List<MovementChange> movements) {
        var places = new TreeSet<MotionSide>();
        expected.forEach(key -> places.add(MotionSide.of(key)));
        series.values().stream().filter(this::isOfPeriod).forEach(s -> places.add(MotionSide.of(s.key())));
        var all = places.stream().map(place -> change(place, expected)).toList();
        var standing = standing(all);
        double threshold = FalseDiscovery.threshold(
                standing.stream().mapToDouble(BetterRule::p).toArray(), FalseDiscovery.Q);
        var judged = all.stream()
                .map(m -> m.judged(
                        standing.contains(m) ? (m.passive() != null ? Mode.PASSIVE : Mode.ACTIVE) : null, threshold))
                .toList();
        return new Better(judged, movements, family(judged, threshold));
    }

    private boolean isOfPeriod(Series s) {
        return !s.of(period, zone).isEmpty();
    }

    private static double p(MotionChange change) {
        var pair = change.main();
        return pair == null ? 1 : pair.change().p();
    }

    private static Family family(List<MotionChange> judged, double threshold) {
        var tested = judged.stream().filter(m -> m.tested() != null).toList();
        int changed = (int) tested.stream()
                .filter(m -> Optional.ofNullable(m.main())
                        .filter(pair -> pair.change().judged() != Judged.WITHIN_NOISE)
                        .isPresent())
                .count();
        int hold = (int) tested.stream().filter(MotionChange::holds).count();
        return new Family(
                tested.size(), FalseDiscovery.Q * tested.size(), changed, hold, threshold < 0 ? null : threshold);
    }

    /** One a motion and side: passive before active, then the longest span, then the order of the names. */
    private static List<MotionChange> standing(List<MotionChange> all) {
        return all.stream()
                .filter(m -> m.main() != null)
                .filter(m -> all.stream()
                        .filter(other -> other.of().sameMotion(m.of()) && other.main() != null)
                        .min(Comparator.comparing((MotionChange o) -> o.passive() == null)
                                .thenComparing(BetterRule::span, Comparator.reverseOrder())
                                .thenComparing(MotionChange::of))
                        .filter(m::equals)
                        .isPresent())
                .toList();
    }

    private static long span(MotionChange m) {
        var pair = m.main();
        return pair == null
                ? 0
                : pair.to().at().getEpochSecond() - pair.from().at().getEpochSecond();
    }

    private MotionChange change(MotionSide place, Set<SeriesKey> expected) {
        var passive = pair(place, Mode.PASSIVE);
        var active = pair(place, Mode.ACTIVE);
        var now = now(place, Mode.PASSIVE).or(() -> now(place, Mode.ACTIVE)).orElse(null);
        var needed = goals.get(place.motion());
        return new MotionChange(
                place,
                passive,
                active,
                pair(place, Mode.HANDS_OFF),
                passive == null || active == null ? null : gap(passive, active),
                now == null ? null : estimated(now),
                needed == null || now == null ? null : GoalReach.of(now.angle(), needed),
                null,
                false,
                missing(place, expected));
    }

    private @Nullable Pair pair(MotionSide place, Mode mode) {
        return find(place, mode).flatMap(s -> Pair.of(s, period, zone)).orElse(null);
    }

    private Optional<Series> find(MotionSide place, Mode mode) {
        return Optional.ofNullable(series.get(place.series(mode)));
    }

    private record Now(Mode mode, UncertainAngle angle) {}

    private Optional<Now> now(MotionSide place, Mode mode) {
        return find(place, mode)
                .filter(this::isOfPeriod)
                .flatMap(s -> RangeSeries.fold(upToEnd(s), noise)
                        .map(state -> new Now(mode, state.estimate().with(s.bodyError()))));
    }

    private List<RangeReading> upToEnd(Series s) {
        var end = period.to().plusDays(1).atStartOfDay(zone).toInstant();
        return s.cold().stream().filter(r -> r.at().isBefore(end)).toList();
    }

    private static Estimated estimated(Now now) {
        var angle = now.angle();
        return new Estimated(now.mode(), angle.value().value(), angle.lower95(), angle.upper95());
    }

    /** Only where both were measured on the same two days: a gap of two days would be none. */
    private @Nullable GapChange gap(Pair passive, Pair active) {
        boolean sameDays = passive.fromDay(zone).equals(active.fromDay(zone))
                && passive.toDay(zone).equals(active.toDay(zone));
        if (!sameDays) {
            return null;
        }
        var change = Difference.of(List.of(
                new Weighted(1, passive.to()),
                new Weighted(-1, active.to()),
                new Weighted(-1, passive.from()),
                new Weighted(1, active.from())));
        return new GapChange(
                passive.from().degrees() - active.from().degrees(),
                passive.to().degrees() - active.to().degrees(),
                change);
    }

    private List<Missing> missing(MotionSide place, Set<SeriesKey> expected) {
        var found = new ArrayList<Missing>();
        for (var mode : Mode.values()) {
            var key = place.series(mode);
            var readings = find(place, mode).map(s -> s.of(period, zone)).orElse(List.of());
            if (readings.isEmpty() ? expected.contains(key) : pair(place, mode) == null) {
                found.add(missing(key, readings));
            }
        }
        return found;
    }

    private Missing missing(SeriesKey key, List<RangeReading> readings) {
        var others = series.values().stream()
                .filter(s -> s.key().motion().equals(key.motion())
                        && s.key().side() == key.side()
                        && s.key().mode() == key.mode()
                        && !s.key().equals(key)
                        && isOfPeriod(s))
                .toList();
        boolean sameElse = others.stream().anyMatch(s -> s.key().position().equals(key.position()));
        var why = sameElse
                ? Why.OTHER_INSTRUMENT
                : !others.isEmpty() ? Why.OTHER_POSITION : readings.isEmpty() ? Why.NEVER_MEASURED : Why.ONE_DAY;
        return new Missing(key.mode(), why);
    }
}
