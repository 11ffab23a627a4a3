package gradino.core.perform;

import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.Tenths;
import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.statistics.descriptive.Mean;
import org.apache.commons.statistics.descriptive.StandardDeviation;

/**
 * How much a session was, by its rating: rating × minutes (Foster C 1998, Med Sci Sports Exerc 30:1164–1168; Foster et al. 2001, J
 * Strength Cond Res 15:109–115). Reference contractions measured before it are part of its minutes.
 *
 * @param rating of the whole session
 * @param minutes 0 to 600, what was really done
 */
public record SessionLoad(Tenths rating, double minutes) {
    public static final double MOST_MINUTES = 600;
    private static final int DAYS = 7;

    public SessionLoad {
        OutOfBoundsException.require("minutes", minutes, 0, MOST_MINUTES, "min");
    }

    public double points() {
        return rating.value() * minutes;
    }

    /**
     * Seven days in a row (Foster 1998). Its standard deviation is the sample's: the source does not say which.
     *
     * @param total of the week
     * @param monotony mean of the days ÷ their standard deviation; empty when all days are alike
     * @param strain total × monotony
     */
    public record Week(double total, OptionalDouble monotony, OptionalDouble strain) {
        /** @param days the points of each of seven days, rest days 0 */
        public static Week of(List<Double> days) {
            OutOfBoundsException.require("days", days.size(), DAYS, DAYS, "");
            var points = days.stream().mapToDouble(d -> d).toArray();
            double mean = Mean.of(points).getAsDouble();
            double spread = StandardDeviation.of(points).getAsDouble();
            double total = mean * DAYS;
            return spread == 0
                    ? new Week(total, OptionalDouble.empty(), OptionalDouble.empty())
                    : new Week(total, OptionalDouble.of(mean / spread), OptionalDouble.of(total * mean / spread));
        }
    }
}
