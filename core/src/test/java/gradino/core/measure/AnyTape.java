package gradino.core.measure;

import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.measure.reading.Tape;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import java.util.EnumMap;

/** A tape reading in one line: formula, reading, start, then segment, length and its uncertainty, as often as needed. */
final class AnyTape {
    private AnyTape() {}

    static Tape of(TapeFormulaId formula, double reading, double start, Object... lengths) {
        var body = new EnumMap<Segment, BodyLength>(Segment.class);
        for (int i = 0; i < lengths.length; i += 3) {
            double length = ((Number) lengths[i + 1]).doubleValue();
            double u = ((Number) lengths[i + 2]).doubleValue();
            body.put((Segment) lengths[i], new BodyLength(Centimetres.of(length), u));
        }
        return new Tape(formula, reading, start, body);
    }
}
