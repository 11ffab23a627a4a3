package gradino.server.measure;

import gradino.core.because.Because;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Norm;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.limit.GapLimit;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.limit.LimiterReason;
import gradino.core.measure.limit.LimiterReason.Wanted;
import gradino.core.measure.limit.Priority;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.reading.ReadingChange;
import gradino.core.quantity.UncertainAngle;
import gradino.server.intake.Client;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What a client's measurements say about each motion in each position, as it stands at a moment. */
public final class Ranges {
    private final Client client;
    private final NoiseBook noise;
    private final GapLimit gapLimit;
    private final Instant now;
    private final ZoneId zone;

    public Ranges(Client client, NoiseBook noise, GapLimit gapLimit, Instant now, ZoneId zone) {
        this.client = client;
        this.noise = noise;
        this.gapLimit = gapLimit;
        this.now = now;
        this.zone = zone;
    }

    /**
     * One motion in one position with one instrument.
     *
     * @param usualPassive null where no table was taken in this joint position
     * @param asymmetry left − right; null for a midline motion or while a side is missing
     */
    public record RangeRow(
            String motion,
            String joint,
            String name,
            String position,
            String positionName,
            Instrument instrument,
            @Nullable Usual usualPassive,
            @Nullable Usual usualActive,
            @Nullable Double goalDegrees,
            List<RangeSide> sides,
            @Nullable Difference asymmetry,
            Priority priority,
            Instant lastMeasured) {
        public RangeRow {
            sides = List.copyOf(sides);
        }

        public Optional<RangeSide> on(Side side) {
            return sides.stream().filter(s -> s.side() == side).findFirst();
        }

        /** Passive estimate of a side as the engine takes it: without the body lengths' common error. */
        public Optional<UncertainAngle> passive(Side side) {
            return on(side).map(RangeSide::passive).map(Estimate::own);
        }
    }

    /** A published usual range with its table; {@code fit} says whether the client belongs to its people. */
    public record Usual(
            double lower, double upper, double mean, double sd, String population, Norm.Fit fit, String source) {
        static Usual of(Norm norm, Norm.Person person) {
            return new Usual(
                    norm.lowerEdge(),
                    norm.upperEdge(),
                    norm.meanDegrees(),
                    norm.upperEdge() - norm.meanDegrees(),
                    norm.population(),
                    norm.fit(person),
                    norm.source().text());
        }
    }

    /**
     * One side's range.
     *
     * @param gap passive − active; null unless both were measured
     * @param gapLimit largest gap in order, degrees
     * @param why what limits it, in words with numbers
     */
    public record RangeSide(
            Side side,
            @Nullable Estimate passive,
            @Nullable Estimate active,
            @Nullable Difference gap,
            @Nullable Double gapLimit,
            Limiter limiter,
            List<Because> why,
            boolean veryMobile,
            @Nullable EndFeel endFeel) {}

    /**
     * An estimate with its 95 % band and the change since the first reading.
     *
     * @param standardError of the readings alone
     * @param bodyError what a tape's body lengths add to the value, in common to all readings, degrees
     * @param lower with both
     * @param asOf time of the last cold reading
     */
    public record Estimate(
            double degrees,
            double standardError,
            double bodyError,
            double lower,
            double upper,
            Instant asOf,
            int readings,
            Difference change) {
        UncertainAngle own() {
            return UncertainAngle.of(degrees, standardError);
        }

        public UncertainAngle whole() {
            return own().with(bodyError);
        }
    }

    /**
     * A difference with its 95 % interval; real when it leaves out zero.
     *
     * @param trialsThen that the earlier day's reading is of; null where it is no change between two days
     */
    public record Difference(
            double degrees,
            double lower,
            double upper,
            boolean real,
            @Nullable Integer trialsThen,
            @Nullable Integer trialsNow) {
        static Difference of(UncertainAngle d) {
            boolean real = d.lower95() > 0 || d.upper95() < 0;
            return new Difference(d.value().value(), d.lower95(), d.upper95(), real, null, null);
        }

        static Difference of(ReadingChange change) {
            double degrees = change.degrees();
            return new Difference(
                    degrees,
                    degrees - change.bound(),
                    degrees + change.bound(),
                    change.isReal(),
                    change.from().trials(),
                    change.to().trials());
        }
    }

    private record RowKey(String motion, String position, Instrument instrument) {
        static RowKey of(SeriesKey key) {
            return new RowKey(key.motion(), key.position(), key.instrument());
        }
    }

    public List<RangeRow> of(List<ColdSeries> series) {
        Map<RowKey, List<ColdSeries>> rows = new LinkedHashMap<>();
        for (var one : series) {
            rows.computeIfAbsent(RowKey.of(one.key()), k -> new ArrayList<>()).add(one);
        }
        return rows.entrySet().stream()
                .map(e -> row(e.getKey(), e.getValue()))
                .sorted(Comparator.comparing(RangeRow::priority).thenComparing(RangeRow::name))
                .toList();
    }

    /** The row of one line, if it was ever measured cold. */
    public Optional<RangeRow> of(List<ColdSeries> series, String motion, String position, Instrument instrument) {
        var wanted = new RowKey(motion, position, instrument);
        return of(series.stream().filter(s -> RowKey.of(s.key()).equals(wanted)).toList()).stream()
                .findFirst();
    }

    private RangeRow row(RowKey key, List<ColdSeries> all) {
        var motion = Catalogue.motion(key.motion());
        var wanted = wanted(client, key.motion(), key.position(), today()).orElse(null);
        var sides = motion.map(Side::of).orElse(Side.PAIR).stream()
                .map(side -> side(side, all, wanted))
                .toList();
        var asymmetry = asymmetry(sides);
        return new RangeRow(
                key.motion(),
                motion.map(Motion::joint).orElse(""),
                motion.map(Motion::name).orElse(key.motion()),
                key.position(),
                Catalogue.position(key.position()).map(Position::name).orElse(key.position()),
                key.instrument(),
                usual(key.motion(), key.position(), Mode.PASSIVE),
                usual(key.motion(), key.position(), Mode.ACTIVE),
                client.goalFor(key.motion()).orElse(null),
                sides,
                asymmetry,
                priority(key, sides, asymmetry),
                newest(all));
    }

    private static Instant newest(List<ColdSeries> all) {
        return all.stream().map(ColdSeries::last).max(Instant::compareTo).orElseThrow();
    }

    private LocalDate today() {
        return LocalDate.ofInstant(now, zone);
    }

    @Nullable
    Usual usual(String motion, String position, Mode mode) {
        var person = client.person(today());
        return Catalogue.usual(motion, mode.tableMode(), position, person)
                .map(n -> Usual.of(n, person))
                .orElse(null);
    }

    /**
     * What the passive range is held against: the greater of the goal and the usual range's lower edge, or the goal alone
     * where the coach put it in the table's place.
     */
    public static Optional<Wanted> wanted(Client client, String motion, String position, LocalDate today) {
        var goal = client.goal(motion);
        var table = Catalogue.usual(motion, "passive", position, client.person(today))
                .filter(n -> goal.filter(Client.MotionGoal::replacesTable).isEmpty());
        var flag = table.map(n -> n.edge(2)).orElse(null);
        var lower = table.map(n -> new Wanted(n.lowerEdge(), usualOf(n, client.person(today)), flag));
        var needed = goal.map(g -> new Wanted(g.degrees(), "that the goal needs", flag));
        if (lower.isPresent() && needed.isPresent()) {
            return lower.get().degrees() > needed.get().degrees() ? lower : needed;
        }
        return needed.or(() -> lower);
    }

    private static String usualOf(Norm table, Norm.Person person) {
        var guess = table.fit(person) == Norm.Fit.GUESS ? "; a guess, since age or sex is not on file" : "";
        return "of the usual range (" + table.population() + guess + ")";
    }

    private static Optional<ColdSeries> find(List<ColdSeries> all, Side side, Mode mode) {
        return all.stream()
                .filter(s -> s.key().side() == side && s.key().mode() == mode)
                .findFirst();
    }

    private RangeSide side(Side side, List<ColdSeries> all, @Nullable Wanted wanted) {
        var series = find(all, side, Mode.PASSIVE);
        var passive = series.map(s -> s.estimate(noise, now)).orElse(null);
        var active =
                find(all, side, Mode.ACTIVE).map(s -> s.estimate(noise, now)).orElse(null);
        var feel = series.map(ColdSeries::endFeel).orElse(null);
        var reason = new LimiterReason(
                passive == null ? null : passive.whole(), active == null ? null : active.own(), wanted, feel, gapLimit);
        return new RangeSide(
                side,
                passive,
                active,
                passive == null || active == null
                        ? null
                        : Difference.of(passive.own().minusIndependent(active.own())),
                passive == null ? null : gapLimit.degrees(passive.degrees()),
                reason.limiter(),
                reason.why(),
                reason.veryMobile(),
                feel);
    }

    private static @Nullable Difference asymmetry(List<RangeSide> sides) {
        if (sides.size() < 2) {
            return null;
        }
        var left = sides.get(0).passive();
        var right = sides.get(1).passive();
        return left == null || right == null ? null : Difference.of(left.own().minusIndependent(right.own()));
    }

    private Priority priority(RowKey key, List<RangeSide> sides, @Nullable Difference asymmetry) {
        var goal = client.goalFor(key.motion());
        var usual = usual(key.motion(), key.position(), Mode.PASSIVE);
        double uneven = asymmetry != null && asymmetry.real() ? Math.abs(asymmetry.degrees()) : 0;
        var worst = new Priority(0, 0, uneven, 0);
        for (var side : sides) {
            var passive = side.passive();
            if (passive != null) {
                double shortOf = goal.map(g -> g - passive.degrees()).orElse(0.0);
                double deficit = usual == null ? 0 : (usual.mean() - passive.degrees()) / usual.sd();
                worst = worst.worse(new Priority(shortOf, deficit, 0, gapOver(side)));
            }
        }
        return worst;
    }

    private static double gapOver(RangeSide side) {
        var gap = side.gap();
        var limit = side.gapLimit();
        return gap == null || limit == null || gap.lower() <= limit ? 0 : gap.degrees() - limit;
    }
}
