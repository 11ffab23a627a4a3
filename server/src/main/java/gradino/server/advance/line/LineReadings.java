package gradino.server.advance.line;

import gradino.core.advance.state.Event;
import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.Retention;
import gradino.core.measure.reading.Visits;
import gradino.server.measure.Measurement;
import gradino.server.prescribe.program.Line;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What was measured of a line: the cold readings of its series, and every grade of the control at its end. */
final class LineReadings {
    private LineReadings() {}

    /**
     * @param named by the line; null for that of the newest reading
     * @param all of its client
     */
    static void of(
            Line line,
            @Nullable Instrument named,
            List<Measurement> all,
            NoiseBook book,
            ZoneId zone,
            List<Event> events) {
        var here = all.stream()
                .filter(m -> m.motion().equals(line.motion()) && m.position().equals(line.position()))
                .toList();
        here.forEach(m -> graded(m, events));
        var cold = here.stream()
                .filter(m -> m.warmth() == Warmth.COLD && m.mode() != Mode.HANDS_OFF)
                .toList();
        var instrument = named != null
                ? named
                : cold.stream()
                        .max(Comparator.comparing(Measurement::happenedAt))
                        .map(Measurement::instrument)
                        .orElse(null);
        if (here.size() > cold.size()) {
            borrowed(here, instrument, book, zone, events);
        }
        cold.stream()
                .filter(m -> m.instrument() == instrument)
                .forEach(m -> events.add(new Event.MeasuredCold(
                        kept(m.side()), m.mode(), m.reading(book), m.endFeel(), m.recordedAt())));
    }

    /** Read off the series as a whole: warm readings are no progress, but tell what was kept of a session. */
    private static void borrowed(
            List<Measurement> here, @Nullable Instrument instrument, NoiseBook book, ZoneId zone, List<Event> events) {
        for (var side : Side.values()) {
            var own = here.stream()
                    .filter(m -> m.side() == side && m.instrument() == instrument && m.mode() == Mode.PASSIVE)
                    .sorted(Comparator.comparing(Measurement::happenedAt))
                    .toList();
            var cold = readings(own, Warmth.COLD, book);
            var warm = readings(own, Warmth.WARM, book);
            Retention.over(Visits.of(cold, warm, zone))
                    .filter(Retention::borrowed)
                    .ifPresent(r -> {
                        var newest = own.get(own.size() - 1);
                        events.add(new Event.RangeBorrowed(kept(side), newest.happenedAt(), newest.recordedAt()));
                    });
        }
    }

    private static List<RangeReading> readings(List<Measurement> own, Warmth warmth, NoiseBook book) {
        return own.stream()
                .filter(m -> m.warmth() == warmth)
                .map(m -> m.reading(book))
                .toList();
    }

    private static void graded(Measurement m, List<Event> events) {
        var grade = m.controlGrade();
        if (grade != null) {
            events.add(new Event.ControlGraded(kept(m.side()), grade, m.happenedAt(), m.recordedAt()));
        }
    }

    /** The middle is kept on the left. */
    private static Side kept(Side side) {
        return side == Side.MIDLINE ? Side.LEFT : side;
    }
}
