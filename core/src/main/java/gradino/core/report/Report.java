package gradino.core.report;

import gradino.core.because.Source;
import gradino.core.intake.Restriction;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.schedule.PlanAndDone;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What a period came to, in the order in which people ask: is it better, did it stay, what was done, how did it climb, what was hard,
 * what next. Values with intervals and reasons; words and drawings come after.
 *
 * @param sources of what was worked out
 */
public record Report(
        Period period,
        Better better,
        Stayed stayed,
        Work work,
        List<LineClimb> climb,
        Hard hard,
        Next next,
        List<Source> sources) {
    private static final List<Source> SOURCES = Stream.of(
                    "Change of a range: difference of two days' readings beyond k·√(var₁ + var₂). Weir JP 2005, J Strength Cond Res 19:231–240; JCGM 100:2008",
                    "Several motions at once: Benjamini Y, Hochberg Y 1995, J R Stat Soc B 57:289–300",
                    "Share kept: ratio of two sums with its interval. Fieller EC 1954, J R Stat Soc B 16:175–185",
                    "Load: session rating × minutes. Foster C et al. 2001, J Strength Cond Res 15:109–115",
                    "house rule: readings up to 28 days before the period count as its beginning")
            .map(Source::parse)
            .toList();

    public Report {
        climb = List.copyOf(climb);
        sources = List.copyOf(sources);
    }

    /**
     * Everything measured.
     *
     * @param expected series of the battery that is measured again
     * @param movements already paired
     * @param goals degrees that the goal needs, by motion
     */
    public record Measured(
            List<Series> series,
            Set<SeriesKey> expected,
            List<MovementChange> movements,
            Map<String, Double> goals,
            NoiseRules noise) {}

    /**
     * Everything trained.
     *
     * @param paused days without training
     * @param sessions line by line
     * @param references seconds of reference contractions by session id
     * @param blocks of weeks
     */
    public record Trained(
            PlanAndDone attendance,
            Predicate<LocalDate> paused,
            List<LineSession> sessions,
            Map<String, Double> references,
            List<LineClimb.Known> lines,
            List<Period> blocks) {}

    /** Everything that was hard, of whatever time. */
    public record Troubled(List<Hard.StopSeen> stops, List<Restriction> restrictions, List<Hard.Cleared> clearances) {}

    public static Report of(
            Period period, ZoneId zone, Measured measured, Trained trained, Troubled troubled, Next next) {
        var better = new BetterRule(measured.series(), measured.goals(), measured.noise(), period, zone)
                .of(measured.expected(), measured.movements());
        var blocks = trained.blocks().stream().filter(period::overlaps).toList();
        var attendance = AttendanceDays.of(trained.attendance(), trained.paused(), period);
        return new Report(
                period,
                better,
                Stayed.of(measured.series(), blocks, period, zone),
                Work.of(attendance, trained.sessions(), trained.references(), period, zone),
                trained.lines().stream().map(l -> LineClimb.of(l, period, zone)).toList(),
                Hard.of(
                        trained.sessions(),
                        troubled.stops(),
                        troubled.restrictions(),
                        troubled.clearances(),
                        period,
                        zone),
                next,
                SOURCES);
    }
}
