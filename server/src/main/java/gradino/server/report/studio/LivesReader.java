package gradino.server.report.studio;

import gradino.core.advance.state.LineState;
import gradino.core.advance.state.SessionFacts;
import gradino.core.body.Side;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.report.LineClimb;
import gradino.core.report.LineClimb.Step;
import gradino.core.report.Pair;
import gradino.core.report.Period;
import gradino.core.report.Series;
import gradino.core.report.Stayed;
import gradino.core.report.studio.LineLife;
import gradino.server.advance.line.Known;
import gradino.server.advance.line.LineDoor;
import gradino.server.intake.Client;
import gradino.server.measure.Measurement;
import gradino.server.measure.MeasurementRepository;
import gradino.server.measure.NoiseService;
import gradino.server.perform.record.StopRepository;
import gradino.server.perform.record.StopRepository.Stop;
import gradino.server.prescribe.program.EachLine;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.report.read.LinesReader;
import gradino.server.report.read.MeasuredReader;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Every side of every line of many clients, as far as a studio looks at it. */
@Component
class LivesReader {
    private final LineRepository lines;
    private final LineDoor door;
    private final EachLine each;
    private final MeasurementRepository measurements;
    private final NoiseService noise;
    private final StopRepository stops;
    private final Clock clock;

    LivesReader(
            LineRepository lines,
            LineDoor door,
            EachLine each,
            MeasurementRepository measurements,
            NoiseService noise,
            StopRepository stops,
            Clock clock) {
        this.lines = lines;
        this.door = door;
        this.each = each;
        this.measurements = measurements;
        this.noise = noise;
        this.stops = stops;
        this.clock = clock;
    }

    /** What is the same for all lines. */
    private record Around(
            Period period,
            ZoneId zone,
            NoiseBook book,
            Map<String, List<Measurement>> measured,
            Map<String, List<Stop>> stops) {}

    List<LineLife> of(List<Client> clients, Period period) {
        var ids = clients.stream().map(Client::id).toList();
        var from = period.from().atStartOfDay(clock.getZone()).toInstant();
        var all = Stream.concat(lines.of(ids).stream(), lines.endedSince(ids, from).stream())
                .toList();
        var around = new Around(
                period,
                clock.getZone(),
                noise.book(),
                measurements.of(ids).stream().collect(Collectors.groupingBy(Measurement::clientId)),
                stops.of(ids));
        var known = door.of(clients, all);
        // Nothing is read from here on, so that all processors may look.
        return all.parallelStream()
                .flatMap(line -> each.tried(line, () -> lives(line, known, around)).found().stream())
                .flatMap(List::stream)
                .toList();
    }

    private static List<LineLife> lives(Line line, Known known, Around around) {
        var state = known.state(line);
        var series = MeasuredReader.series(
                around.measured().getOrDefault(line.clientId(), List.of()).stream()
                        .filter(m ->
                                m.motion().equals(line.motion()) && m.position().equals(line.position()))
                        .toList(),
                around.book());
        return state.plan().trained().stream()
                .flatMap(side -> life(line, side, state, known, series, around).stream())
                .toList();
    }

    /** Days of the period in which the line was there; empty where it was in none. */
    private static Optional<Period> days(Line line, Around around) {
        var began = LocalDate.ofInstant(line.happenedAt(), around.zone());
        var ended = line.endedAt() == null ? around.period().to() : LocalDate.ofInstant(line.endedAt(), around.zone());
        var from =
                began.isAfter(around.period().from()) ? began : around.period().from();
        var to = ended.isBefore(around.period().to()) ? ended : around.period().to();
        return to.isBefore(from) ? Optional.empty() : Optional.of(new Period(from, to));
    }

    private static Optional<LineLife> life(
            Line line, Side side, LineState state, Known known, List<Series> series, Around around) {
        return days(line, around).map(days -> {
            var sessions = state.sessions().stream()
                    .filter(s -> days.contains(s.endedAt(), around.zone()))
                    .toList();
            var climb = LineClimb.of(LinesReader.climb(line, side, known, false), days, around.zone());
            var pair = pair(series, side, days, around.zone());
            return new LineLife(
                    line.clientId(),
                    line.motion(),
                    line.position(),
                    state.plan().method(),
                    side,
                    ids(sessions, s -> true),
                    ids(sessions, s -> s.on(side).worstPain().value() > 0),
                    stops(line, ids(sessions, s -> true), side, around),
                    climb.up(),
                    climb.down(),
                    climb.steps().stream()
                            .filter(Step::override)
                            .map(Step::turned)
                            .toList(),
                    pair.map(p -> p.series().key().instrument()).orElse(null),
                    pair.map(p -> p.pair().change()).orElse(null),
                    kept(series, side, days, around.zone()));
        });
    }

    private static Set<String> ids(List<SessionFacts> sessions, Predicate<SessionFacts> which) {
        return sessions.stream().filter(which).map(SessionFacts::id).collect(Collectors.toSet());
    }

    private static Set<String> stops(Line line, Set<String> sessions, Side side, Around around) {
        return around.stops().getOrDefault(line.clientId(), List.of()).stream()
                .filter(s -> sessions.contains(s.runId()) && (s.side() == null || s.side() == side))
                .map(s -> s.runId() + " " + s.sign())
                .collect(Collectors.toSet());
    }

    private record Found(Series series, Pair pair) {
        Duration span() {
            Instant from = pair.from().at();
            return Duration.between(from, pair.to().at());
        }
    }

    /** Passive before active, then the longest span. */
    private static Optional<Found> pair(List<Series> series, Side side, Period days, ZoneId zone) {
        return Stream.of(Mode.PASSIVE, Mode.ACTIVE)
                .map(mode -> series.stream()
                        .filter(s -> isOf(s, side) && s.key().mode() == mode)
                        .flatMap(s -> Pair.of(s, days, zone).map(p -> new Found(s, p)).stream())
                        .max(Comparator.comparing(Found::span)))
                .flatMap(Optional::stream)
                .findFirst();
    }

    private static boolean isOf(Series series, Side side) {
        return series.key().side() == side || series.key().side() == Side.MIDLINE;
    }

    private static @org.jspecify.annotations.Nullable Double kept(
            List<Series> series, Side side, Period days, ZoneId zone) {
        var own = series.stream().filter(s -> isOf(s, side)).toList();
        return Stayed.of(own, List.of(), days, zone).kept().stream()
                .filter(k -> k.retention().lower95() != null)
                .map(k -> k.retention().ratio())
                .findFirst()
                .orElse(null);
    }
}
