package gradino.server.measure;

import gradino.core.measure.limit.GapLimit;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.noise.NoiseStudy;
import gradino.core.measure.noise.Repeatability.UnusableException;
import gradino.core.measure.noise.Trials;
import gradino.core.quantity.Degrees;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns noise_study, study_reading and noise_rules. */
@Repository
public class StudyRepository {
    private static final String NOISE_STUDY_COLUMNS =
            "id, account_id, motion, instrument, people, visits, trials, recorded_at, finished_at";
    private static final String STUDY_READING_COLUMNS = "person, visit, trials, recorded_at";
    private static final String NOISE_RULES_COLUMNS =
            "id, recorded_at, account_id, sem_coach, sem_self, gap_most, gap_share, gap_least";
    private final Sql sql;
    private final Json json;

    StudyRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /**
     * A repeatability study as planned.
     *
     * @param people names or letters, for the coach's own use
     * @param finishedAt null while readings are still missing
     */
    public record Study(
            String id,
            String accountId,
            String motion,
            Instrument instrument,
            List<String> people,
            int visits,
            int trials,
            Instant recordedAt,
            @Nullable Instant finishedAt) {}

    /** The trials of one person at one visit; both count from 0. */
    public record StudyReading(int person, int visit, Trials trials) {}

    public void insert(Study s) {
        sql.update(
                """
                INSERT INTO noise_study (id, account_id, motion, instrument, people, visits, trials, recorded_at, finished_at)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, NULL) ON CONFLICT (id) DO NOTHING
                """,
                s.id(),
                s.accountId(),
                s.motion(),
                s.instrument(),
                json.write(s.people()),
                s.visits(),
                s.trials(),
                s.recordedAt());
    }

    Optional<Study> find(String id) {
        return sql.first("SELECT " + NOISE_STUDY_COLUMNS + " FROM noise_study WHERE id = ?", this::study, id);
    }

    List<Study> of(String accountId) {
        return sql.list(
                "SELECT " + NOISE_STUDY_COLUMNS
                        + " FROM noise_study WHERE account_id = ? ORDER BY recorded_at DESC, id",
                this::study,
                accountId);
    }

    public void add(String studyId, StudyReading reading, Instant recordedAt) {
        sql.update(
                "INSERT INTO study_reading (study_id, person, visit, trials, recorded_at) VALUES (?, ?, ?, ?, ?)",
                studyId,
                reading.person(),
                reading.visit(),
                MeasurementRepository.joined(
                        reading.trials().angles().stream().map(Degrees::value).toList()),
                recordedAt);
    }

    /** The newest for each person and visit. */
    List<StudyReading> readings(String studyId) {
        return sql.list(
                "SELECT " + STUDY_READING_COLUMNS + """
                 FROM study_reading r WHERE study_id = ?
                   AND seq = (SELECT max(seq) FROM study_reading
                               WHERE study_id = r.study_id AND person = r.person AND visit = r.visit)
                 ORDER BY person, visit
                """,
                row -> new StudyReading(
                        row.getInt("person"),
                        row.getInt("visit"),
                        new Trials(MeasurementRepository.angles(row.getString("trials")))),
                studyId);
    }

    public void finish(String studyId, Instant at) {
        sql.update("UPDATE noise_study SET finished_at = ? WHERE id = ? AND finished_at IS NULL", at, studyId);
    }

    /** Every study that is in force, worked out. */
    List<NoiseBook.Entry> finished() {
        return sql
                .list(
                        "SELECT " + NOISE_STUDY_COLUMNS
                                + " FROM noise_study WHERE finished_at IS NOT NULL ORDER BY finished_at, id",
                        this::study)
                .stream()
                .flatMap(this::entry)
                .toList();
    }

    private Stream<NoiseBook.Entry> entry(Study s) {
        var since = s.finishedAt();
        if (since == null) {
            return Stream.empty();
        }
        try {
            var study = NoiseStudy.of(people(s));
            return Stream.of(new NoiseBook.Entry(s.accountId(), s.motion(), s.instrument(), since, study));
        } catch (UnusableException e) {
            return Stream.empty();
        }
    }

    /** The readings person by person; a missing visit is left out and found by the statistics. */
    List<NoiseStudy.Person> people(Study s) {
        var readings = readings(s.id());
        var people = new ArrayList<NoiseStudy.Person>();
        for (int person = 0; person < s.people().size(); person++) {
            int who = person;
            people.add(new NoiseStudy.Person(readings.stream()
                    .filter(r -> r.person() == who)
                    .map(StudyReading::trials)
                    .toList()));
        }
        return people;
    }

    private Study study(ResultSet row) throws SQLException {
        boolean finished = row.getObject("finished_at") != null;
        return new Study(
                row.getString("id"),
                row.getString("account_id"),
                row.getString("motion"),
                Instrument.valueOf(row.getString("instrument")),
                json.readList(row.getString("people"), String.class),
                row.getInt("visits"),
                row.getInt("trials"),
                Sql.instant(row, "recorded_at"),
                finished ? Sql.instant(row, "finished_at") : null);
    }

    /** Rules of the studio: how noisy a reading is, and which control gap is in order. */
    record House(NoiseRules noise, GapLimit gap) {
        static final House SHIPPED = new House(NoiseRules.HOUSE, GapLimit.HOUSE);
    }

    House house() {
        return sql.first(
                        "SELECT " + NOISE_RULES_COLUMNS + " FROM noise_rules ORDER BY id DESC LIMIT 1",
                        StudyRepository::house)
                .orElse(House.SHIPPED);
    }

    private static House house(ResultSet row) throws SQLException {
        var most = Sql.real(row, "gap_most");
        var gap = most == null
                ? GapLimit.HOUSE
                : new GapLimit(most, row.getDouble("gap_share"), row.getDouble("gap_least"));
        return new House(NoiseRules.HOUSE.withSem(row.getDouble("sem_coach"), row.getDouble("sem_self")), gap);
    }

    void setHouse(String accountId, House house, Instant recordedAt) {
        sql.update(
                """
                INSERT INTO noise_rules (recorded_at, account_id, sem_coach, sem_self, gap_most, gap_share, gap_least)
                VALUES (?, ?, ?, ?, ?, ?, ?)
                """,
                recordedAt,
                accountId,
                house.noise().semCoachDegrees(),
                house.noise().semSelfDegrees(),
                house.gap().mostDegrees(),
                house.gap().share(),
                house.gap().leastDegrees());
    }
}
