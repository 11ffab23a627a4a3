package gradino.core.report;

import gradino.core.body.Side;
import gradino.core.intake.Restriction;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.StopSign;
import gradino.core.quantity.PainScore;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What was hard. Never left out, for no audience.
 *
 * @param pains the worst of each line and side in a session, where there was any
 * @param painful sessions with pain above 0
 * @param restrictions in force during the period, or made in it
 */
public record Hard(
        List<PainFelt> pains,
        int painful,
        List<StopSeen> stops,
        List<Restriction> restrictions,
        List<Cleared> clearances) {
    public Hard {
        pains = List.copyOf(pains);
        stops = List.copyOf(stops);
        restrictions = List.copyOf(restrictions);
        clearances = List.copyOf(clearances);
    }

    /** Pain in one session. */
    public record PainFelt(
            Instant at, String session, String motion, Side side, PainScore score, PainKind kind, String where) {}

    /** @param side null where it is not known, or of the whole person */
    public record StopSeen(
            Instant at, StopSign sign, @Nullable Side side, String session) {}

    /**
     * What was cleared in writing.
     *
     * @param by whoever did
     */
    public record Cleared(LocalDate writtenOn, String by, String note) {}

    /** What was hard in a period; what is given may be of any time. */
    public static Hard of(
            List<LineSession> sessions,
            List<StopSeen> stops,
            List<Restriction> restrictions,
            List<Cleared> clearances,
            Period period,
            ZoneId zone) {
        var pains = new ArrayList<PainFelt>();
        sessions.stream()
                .filter(s -> period.contains(s.record().endedAt(), zone))
                .forEach(s -> List.of(Side.LEFT, Side.RIGHT, Side.MIDLINE).forEach(side -> worst(s, side, pains)));
        pains.sort(Comparator.comparing(PainFelt::at).thenComparing(PainFelt::motion));
        var end = period.to().plusDays(1).atStartOfDay(zone).toInstant();
        var start = period.from().atStartOfDay(zone).toInstant();
        return new Hard(
                pains,
                (int) pains.stream().map(PainFelt::session).distinct().count(),
                stops.stream().filter(s -> period.contains(s.at(), zone)).toList(),
                restrictions.stream()
                        .filter(r -> r.since().isBefore(end) && r.stands(start))
                        .toList(),
                clearances.stream().filter(c -> period.contains(c.writtenOn())).toList());
    }

    private static void worst(LineSession of, Side side, List<PainFelt> pains) {
        of.record().blocks().stream()
                .filter(b -> b.side() == side)
                .flatMap(b -> b.pains().stream())
                .filter(p -> p.score().value() > 0)
                .max(Comparator.comparing(Pain::score))
                .ifPresent(p -> pains.add(new PainFelt(
                        of.record().endedAt(), of.record().id(), of.motion(), side, p.score(), p.kind(), p.where())));
    }
}
