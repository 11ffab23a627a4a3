package gradino.server.device;

import gradino.core.body.Side;
import gradino.core.effort.PeakCounter;
import gradino.core.effort.SimulatedPerson;
import gradino.core.effort.TraceCode;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Streams its force at 50 Hz, with an invented person pressing on it who follows what the floor asks for. */
final class ForceGauge extends Cabled {
    private static final long MILLIS_A_SAMPLE = Math.round(1000 / SimulatedPerson.SAMPLES_PER_SECOND);

    private final Side side;
    private final SimulatedPerson.Pressing pressing;
    private PeakCounter counter = new PeakCounter();
    private List<Integer> tenths = new ArrayList<>();
    private int peaks;
    private long first;
    private long next;
    private Ask ask = Ask.NOTHING;
    private long askedAt;

    ForceGauge(String id, Side side, SimulatedPerson person) {
        super(id);
        this.side = side;
        this.pressing = new SimulatedPerson.Pressing(person);
    }

    /**
     * What is asked of the invented person from now on.
     *
     * @param fromPercent 0 to 100
     * @param seconds in which it rises or falls to {@code toPercent}; afterwards nothing is asked
     * @param leftAfter seconds of the contraction that come after these
     */
    record Ask(double fromPercent, double toPercent, double seconds, double leftAfter, double contraction) {
        static final Ask NOTHING = new Ask(0, 0, 0, 0, 0);
        /** Within a contraction nobody lets go because the next word is late. */
        private static final double PATIENCE_SECONDS = 1;

        double percentAt(double second) {
            if (second < seconds) {
                return fromPercent + second / seconds * (toPercent - fromPercent);
            }
            return leftAfter > 0 && second < seconds + PATIENCE_SECONDS ? toPercent : 0;
        }

        double leftShare(double second) {
            return contraction <= 0 ? 0 : Math.max(0, seconds - second + leftAfter) / contraction;
        }
    }

    /**
     * Samples since the last message.
     *
     * @param firstMillis of the device's own clock
     * @param everyMillis from one sample to the next
     * @param tenths of a newton
     * @param peaks repetitions that have ended in these samples
     */
    record Force(
            String deviceId,
            Side side,
            boolean plugged,
            long firstMillis,
            long everyMillis,
            List<Integer> tenths,
            int peaks)
            implements Told {}

    @Override
    void cableMoved() {
        tenths = new ArrayList<>();
        peaks = 0;
        counter = new PeakCounter();
    }

    ForceGauge ask(Ask now) {
        ask = now;
        askedAt = next;
        return this;
    }

    @Override
    public void measure(long millis) {
        for (; next <= millis; next += MILLIS_A_SAMPLE) {
            double since = (next - askedAt) / 1000.0;
            double newtons = pressing.follow(ask.percentAt(since), ask.leftShare(since));
            if (!plugged()) {
                continue;
            }
            if (tenths.isEmpty()) {
                first = next;
            }
            tenths.add((int) Math.rint(newtons / TraceCode.NEWTONS_A_STEP));
            peaks += counter.take(next / 1000.0, newtons) ? 1 : 0;
        }
    }

    @Override
    public @Nullable Told news() {
        if (tellAll() && tenths.isEmpty()) {
            return null;
        }
        var force = force();
        tenths = new ArrayList<>();
        peaks = 0;
        return force;
    }

    Force force() {
        return new Force(id(), side, plugged(), first, MILLIS_A_SAMPLE, List.copyOf(tenths), peaks);
    }
}
