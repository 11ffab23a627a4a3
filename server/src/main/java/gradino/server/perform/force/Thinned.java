package gradino.server.perform.force;

import gradino.core.effort.TraceCode;
import gradino.core.effort.TraceCode.Samples;
import gradino.server.perform.force.ForceService.TracePoint;
import java.util.ArrayList;
import java.util.List;

/** As many points of a trace as a screen can show: of every stretch its lowest and its highest, so that no peak is lost. */
final class Thinned {
    private static final int STRETCHES = 300;

    private Thinned() {}

    static List<TracePoint> of(Samples samples) {
        int size = samples.millis().size();
        var points = new ArrayList<TracePoint>();
        for (int stretch = 0; stretch < Math.min(STRETCHES, size); stretch++) {
            int from = (int) ((long) size * stretch / Math.min(STRETCHES, size));
            int end = (int) ((long) size * (stretch + 1) / Math.min(STRETCHES, size));
            int low = from;
            int high = from;
            for (int i = from; i < end; i++) {
                low = samples.tenths().get(i) < samples.tenths().get(low) ? i : low;
                high = samples.tenths().get(i) > samples.tenths().get(high) ? i : high;
            }
            points.add(point(samples, Math.min(low, high)));
            if (low != high) {
                points.add(point(samples, Math.max(low, high)));
            }
        }
        return points;
    }

    private static TracePoint point(Samples samples, int i) {
        return new TracePoint(samples.millis().get(i) / 1000.0, samples.tenths().get(i) * TraceCode.NEWTONS_A_STEP);
    }
}
