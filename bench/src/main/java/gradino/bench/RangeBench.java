package gradino.bench;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.RangeSeries;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** Ten years of measuring one client: the estimate alone, and a file of it for the server. */
final class RangeBench {
    private static final Random RANDOM = new Random();
    private static final Instant START = Instant.parse("2016-01-04T08:00:00Z");
    private static final int MEASUREMENTS = 20_000;
    private static final int MOTIONS = 40;
    private static final int SECONDS_IN_TEN_YEARS = 315_000_000;

    static final String HEADER = "measurement_id,client_id,motion,side,mode,warmth,position,instrument,tester,"
            + "happened_at,recorded_at,trials_deg,tape_lengths_cm,tape_start_cm,tape_body_cm,end_feel,pain,"
            + "control_grade,note,measured_by,bench,incline_deg,assessment_id\r\n";

    private RangeBench() {}

    /** The filter over 20,000 readings of one series, with the fixed-point difference carried along. */
    static List<Measured> estimate() {
        var times = new ArrayList<Double>();
        for (int run = 0; run < 41; run++) {
            var readings = new ArrayList<RangeReading>();
            for (int n = 0; n < MEASUREMENTS; n++) {
                readings.add(new RangeReading(at(n), 35 + 3 * RANDOM.nextGaussian(), 9));
            }
            long before = System.nanoTime();
            var state = RangeSeries.fold(readings, NoiseRules.HOUSE, at(MEASUREMENTS / 2));
            times.add((System.nanoTime() - before) / 1e6);
            if (state.isEmpty() || !Double.isFinite(state.get().change().degrees())) {
                throw new IllegalStateException("no estimate");
            }
        }
        return List.of(new Measured("estimate", Bench.median(times), "ms", 50));
    }

    private static Instant at(int n) {
        return START.plusSeconds((long) n * (SECONDS_IN_TEN_YEARS / MEASUREMENTS));
    }

    /** 20,000 measurements over forty motions as measurements.csv. */
    static String measurements() {
        var csv = new StringBuilder(HEADER);
        var motions = Catalogue.motions().subList(0, MOTIONS);
        for (int n = 0; n < MEASUREMENTS; n++) {
            var motion = motions.get(n % MOTIONS);
            var sides = Side.of(motion);
            csv.append(row(
                    n,
                    motion.id(),
                    sides.get(n / MOTIONS % sides.size()).word(),
                    n / MOTIONS / 2 % 2 == 0 ? "passive" : "active",
                    at(n),
                    40 + RANDOM.nextGaussian()));
        }
        return csv.toString();
    }

    /** A cold reading by a coach in the first position that allows the motion. */
    static String row(int n, String motion, String side, String mode, Instant at, double truth) {
        var position = Catalogue.positions().stream()
                .filter(p -> p.allows(motion))
                .findFirst()
                .orElseThrow();
        return "m%d,c,%s,%s,%s,cold,%s,goniometer,coach,%s,,%s,,,,stretch,0,,,,,,\r\n"
                .formatted(
                        n,
                        motion,
                        side,
                        mode,
                        position.id(),
                        at,
                        String.format(Locale.ROOT, "%.0f;%.0f;%.0f", truth, truth + 1, truth - 1));
    }
}
