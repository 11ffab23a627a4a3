package gradino.server.advance.line;

import gradino.core.advance.state.Event;
import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.Warmth;
import gradino.server.measure.Measurement;
import gradino.server.prescribe.program.Line;
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
    static void of(Line line, @Nullable Instrument named, List<Measurement> all, NoiseBook book, List<Event> events) {
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
        cold.stream()
                .filter(m -> m.instrument() == instrument)
                .forEach(m -> events.add(new Event.MeasuredCold(
                        kept(m.side()), m.mode(), m.reading(book), m.endFeel(), m.recordedAt())));
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
