package gradino.server.measure;

import gradino.core.measure.EndFeel;
import gradino.core.measure.Mode;
import gradino.core.measure.NoiseBook;
import gradino.core.measure.RangeReading;
import gradino.core.measure.RangeSeries;
import gradino.core.measure.RangeState;
import gradino.core.measure.Warmth;
import gradino.server.measure.Ranges.Difference;
import gradino.server.measure.Ranges.Estimate;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One series of readings: motion, side, mode, position and instrument are the same in all of them. */
final class Series {
    private Series() {}

    static @Nullable Estimate estimate(List<Measurement> side, Mode mode, NoiseBook noise, Instant now) {
        var cold = of(side, mode, Warmth.COLD);
        if (cold.isEmpty()) {
            return null;
        }
        var state = RangeSeries.fold(readings(cold, noise), noise.rules()).orElseThrow();
        var angle = state.predict(now, noise.rules()).estimate();
        double body = cold.get(cold.size() - 1).bodyUncertainty();
        var whole = angle.with(body);
        return new Estimate(
                angle.value().value(),
                angle.standardUncertainty(),
                body,
                whole.lower95(),
                whole.upper95(),
                state.at(),
                cold.size(),
                difference(state.change()));
    }

    static Difference difference(RangeState.Change change) {
        return new Difference(change.degrees(), change.lower95(), change.upper95(), change.isReal());
    }

    /** What the end felt like at the last cold passive measurement that says so. */
    static @Nullable EndFeel endFeel(List<Measurement> side) {
        EndFeel last = null;
        for (var m : side) {
            if (m.mode() == Mode.PASSIVE && m.warmth() == Warmth.COLD && m.endFeel() != null) {
                last = m.endFeel();
            }
        }
        return last;
    }

    static List<Measurement> of(List<Measurement> side, Mode mode, Warmth warmth) {
        var found = new ArrayList<Measurement>();
        for (var m : side) {
            if (m.mode() == mode && m.warmth() == warmth) {
                found.add(m);
            }
        }
        return found;
    }

    static List<RangeReading> readings(List<Measurement> some, NoiseBook noise) {
        return some.stream().map(m -> m.reading(noise)).toList();
    }
}
