package gradino.server.perform.record;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import gradino.core.perform.MorningAnswers;
import gradino.core.perform.MorningAnswers.Given;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.StopSign;
import gradino.server.intake.Flags;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Stop signs of a client's sessions, during them or two days after: read from run_close and morning. */
@Repository
public class StopRepository implements Flags {
    /** A sign is told for a session: which of its joints it came from is not known, so it is taken to be of each. */
    private static final String MOTIONS =
            "(SELECT group_concat(l.motion, ';') FROM run_line x JOIN line l ON l.id = x.line_id"
                    + " WHERE x.run_id = r.id) AS motions ";

    private static final String DURING = "SELECT r.id, r.client_id, r.name, c.stop_sign, c.stop_side, c.happened_at,"
            + " c.recorded_at, " + MOTIONS
            + "FROM run_close c CROSS JOIN run r ON r.id = c.run_id WHERE c.stop_sign IS NOT NULL AND r.client_id"
            + Sql.AMONG + "ORDER BY c.happened_at, c.run_id";

    private static final String AFTER = "SELECT r.id, r.client_id, r.name, c.happened_at AS ended_at, m.settled,"
            + " m.happened_at, m.recorded_at, m.correction, " + MOTIONS
            + "FROM morning m CROSS JOIN run r ON r.id = m.run_id JOIN run_close c ON c.run_id = r.id"
            + " WHERE m.question = 'AFTER_48_HOURS' AND r.client_id" + Sql.AMONG + "ORDER BY m.seq";

    private final Sql sql;

    StopRepository(Sql sql) {
        this.sql = sql;
    }

    /**
     * One sign.
     *
     * @param name of the session
     * @param side null where it is not known
     * @param joints that the session trained
     */
    public record Stop(
            String runId,
            String clientId,
            String name,
            StopSign sign,
            @Nullable Side side,
            Set<String> joints,
            Instant happenedAt,
            Instant recordedAt) {
        /** Whether it bears on a joint, on some side of it. */
        public boolean reaches(String joint) {
            return sign.scope() == StopSign.Scope.WHOLE_CLIENT || joints.isEmpty() || joints.contains(joint);
        }
    }

    @Override
    public Map<String, Instant> lastFlags(Collection<String> clientIds) {
        var last = new HashMap<String, Instant>();
        of(clientIds)
                .forEach((client, stops) -> stops.stream()
                        .map(Stop::happenedAt)
                        .max(Comparator.naturalOrder())
                        .ifPresent(at -> last.put(client, at)));
        return last;
    }

    /** By client, in the order in which they happened. */
    public Map<String, List<Stop>> of(Collection<String> clientIds) {
        var during = sql.list(DURING, StopRepository::during, clientIds);
        var after = sql.list(AFTER, StopRepository::later, clientIds).stream()
                .collect(Collectors.groupingBy(later -> later.stop().runId()))
                .values()
                .stream()
                .flatMap(StopRepository::standing);
        return Stream.concat(during.stream(), after)
                .sorted(Comparator.comparing(Stop::happenedAt).thenComparing(Stop::runId))
                .collect(Collectors.groupingBy(Stop::clientId));
    }

    /** An answer after two days, as the stop sign that it is where pain has not settled. */
    private record Later(Stop stop, Instant endedAt, Given given) {}

    private static Stream<Stop> standing(List<Later> answers) {
        var end = answers.get(0).endedAt();
        var given = answers.stream().map(Later::given).toList();
        return new MorningAnswers(end, given)
                .to(MorningQuestion.AFTER_48_HOURS).filter(holds -> !holds.settled()).stream()
                        .flatMap(holds -> answers.stream()
                                .filter(a -> a.given().equals(holds))
                                .map(Later::stop)
                                .limit(1));
    }

    private static Stop during(ResultSet row) throws SQLException {
        var side = row.getString("stop_side");
        return stop(row, StopSign.valueOf(row.getString("stop_sign")), side == null ? null : Side.valueOf(side));
    }

    private static Later later(ResultSet row) throws SQLException {
        var given = new Given(
                MorningQuestion.AFTER_48_HOURS,
                row.getInt("settled") == 1,
                Sql.instant(row, "happened_at"),
                row.getString("correction"));
        return new Later(stop(row, StopSign.PAIN_AFTER_48_HOURS, null), Sql.instant(row, "ended_at"), given);
    }

    private static Stop stop(ResultSet row, StopSign sign, @Nullable Side side) throws SQLException {
        return new Stop(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("name"),
                sign,
                side,
                joints(row.getString("motions")),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }

    private static Set<String> joints(@Nullable String motions) {
        return motions == null
                ? Set.of()
                : Stream.of(motions.split(";"))
                        .flatMap(id -> Catalogue.motion(id).map(Motion::joint).stream())
                        .collect(Collectors.toUnmodifiableSet());
    }
}
