package gradino.server.perform.floor;

import gradino.core.perform.WeekLoad;
import gradino.server.perform.force.ForceService;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a client's sessions came to, by their ratings. */
@Service
class LoadService {
    private static final int WEEKS = 4;
    private static final int DAYS = 7;

    private final RecordRepository records;
    private final BlockRepository blockRows;
    private final ForceService forces;
    private final Clock clock;

    LoadService(RecordRepository records, BlockRepository blockRows, ForceService forces, Clock clock) {
        this.records = records;
        this.blockRows = blockRows;
        this.forces = forces;
        this.clock = clock;
    }

    /**
     * Weeks that end today, a week ago and so on, the newest first.
     *
     * @param unrated sessions of these weeks that have no rating and count as nothing
     */
    record Loads(List<WeekLoad> weeks, int unrated) {}

    @Transactional(readOnly = true)
    Loads of(String clientId) {
        var now = StudioClock.moment(clock);
        var today = now.day(now.instant());
        var first = today.minusDays((long) WEEKS * DAYS - 1);
        Map<LocalDate, Double> points = new HashMap<>();
        int unrated = 0;
        var closes =
                records.closedSince(clientId, first.atStartOfDay(now.zone()).toInstant());
        var runIds = closes.stream().map(Closed::runId).toList();
        var blocks = blockRows.blocks(runIds);
        var references = forces.referenceSeconds(runIds);
        for (var closed : closes) {
            var done = BlockRepository.latest(blocks.getOrDefault(closed.runId(), List.of()));
            var load = Summary.load(done, closed, references.getOrDefault(closed.runId(), 0.0));
            if (load == null) {
                unrated++;
            } else {
                points.merge(now.day(closed.happenedAt()), load.points(), Double::sum);
            }
        }
        var weeks = new ArrayList<WeekLoad>();
        for (int week = 0; week < WEEKS; week++) {
            var days = new ArrayList<Double>();
            for (int day = DAYS - 1; day >= 0; day--) {
                days.add(points.getOrDefault(today.minusDays((long) week * DAYS + day), 0.0));
            }
            weeks.add(WeekLoad.of(days));
        }
        return new Loads(weeks, unrated);
    }
}
