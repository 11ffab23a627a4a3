package gradino.server.advance;

import gradino.core.advance.Event;
import gradino.core.measure.Mode;
import gradino.core.measure.Warmth;
import gradino.server.measure.Measurement;
import gradino.server.measure.MeasurementRepository;
import gradino.server.measure.NoiseService;
import gradino.server.prescribe.Line;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was measured of a line: the cold readings of its series, and every grade of the control at its end. */
@Component
class LineReadings {
    private final MeasurementRepository measurements;
    private final NoiseService noise;

    LineReadings(MeasurementRepository measurements, NoiseService noise) {
        this.measurements = measurements;
        this.noise = noise;
    }

    void of(Line line, List<Event> events) {
        var book = noise.book();
        var here = measurements.of(line.clientId()).stream()
                .filter(m -> m.motion().equals(line.motion()) && m.position().equals(line.position()))
                .toList();
        here.forEach(m -> graded(m, events));
        var cold = here.stream()
                .filter(m -> m.warmth() == Warmth.COLD && m.mode() != Mode.HANDS_OFF)
                .toList();
        // The series of the newest reading: nobody chose another for the line.
        var newest = cold.stream().max(Comparator.comparing(Measurement::happenedAt));
        cold.stream()
                .filter(m ->
                        newest.filter(n -> n.instrument() == m.instrument()).isPresent())
                .forEach(m -> events.add(new Event.MeasuredCold(
                        LineRuns.onSide(m.side()), m.mode(), m.reading(book), m.endFeel(), m.recordedAt())));
    }

    private static void graded(Measurement m, List<Event> events) {
        var grade = m.controlGrade();
        if (grade != null) {
            events.add(new Event.ControlGraded(LineRuns.onSide(m.side()), grade, m.happenedAt(), m.recordedAt()));
        }
    }
}
