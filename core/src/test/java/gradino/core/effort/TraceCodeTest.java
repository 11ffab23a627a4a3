package gradino.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.effort.TraceCode.Samples;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.testng.annotations.Test;

/** What goes in comes out, and an hour of two gauges stays small. */
public class TraceCodeTest {
    private static final int SAMPLES_AN_HOUR = 50 * 3600;

    private static Samples noisy(long seed, int samples, double sdNewtons) {
        var random = new Random(seed);
        return new Samples(
                LongStream.range(0, samples).map(i -> 20 * i).boxed().toList(),
                IntStream.range(0, samples)
                        .map(i -> (int)
                                Math.rint(1200 + 400 * Math.sin(i / 900.0) + 10 * sdNewtons * random.nextGaussian()))
                        .boxed()
                        .toList());
    }

    @Test
    public void anHourOfTwoGaugesIsLosslessAndUnder600Kilobytes() {
        var left = noisy(1, SAMPLES_AN_HOUR, 1);
        var right = noisy(2, SAMPLES_AN_HOUR, 1);
        byte[] one = TraceCode.pack(left);
        byte[] other = TraceCode.pack(right);
        assertThat(TraceCode.unpack(one)).isEqualTo(left);
        assertThat(TraceCode.unpack(other)).isEqualTo(right);
        assertThat(one.length + other.length).isLessThanOrEqualTo(600_000);
    }

    @Test
    public void gapsJumpsAndExtremesComeBackAsTheyWere() {
        var random = new Random(4);
        for (int run = 0; run < 200; run++) {
            int size = random.nextInt(60);
            var millis = random.longs(size, 0, 50_000_000).sorted().boxed().toList();
            var tenths = random.ints(size, -50_000, 50_001).boxed().toList();
            var samples = new Samples(millis, tenths);
            assertThat(TraceCode.unpack(TraceCode.pack(samples))).isEqualTo(samples);
        }
    }

    @Test
    public void whatIsNoPackedTraceIsRefused() {
        byte[] good = TraceCode.pack(noisy(3, 500, 1));
        assertThatThrownBy(() -> TraceCode.unpack(Arrays.copyOf(good, good.length / 2)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> TraceCode.unpack(new byte[] {1, 2, 3})).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Samples(List.of(1L), List.of())).isInstanceOf(IllegalArgumentException.class);
    }
}
