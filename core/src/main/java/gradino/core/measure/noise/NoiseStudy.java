package gradino.core.measure.noise;

import gradino.core.quantity.OutOfBoundsException;
import java.util.List;

/**
 * A coach's own repeatability study of one motion with one instrument: at least five people, two to four visits, the same
 * number of trials at each. From it come the coach's own noise figures.
 *
 * <p>Variance components of a nested design (people, visits in people, trials in visits): σ_trial² is the pooled variance
 * of the trials within a visit; the visits' medians vary within a person by σ_day² + f(n)·σ_trial², so σ_day² is what is
 * left of it, not below 0. The single figures come from the one-way mean squares of the medians ({@link Repeatability}).
 *
 * @param agreement of the visits' medians
 * @param dayVariance σ_day², degrees²
 * @param trialVariance σ_trial², degrees²; 0 when one trial a visit was taken
 */
public record NoiseStudy(Repeatability agreement, double dayVariance, double trialVariance) {
    public NoiseStudy {
        OutOfBoundsException.require("variance between days", dayVariance, 0, 10_000, "°²");
        OutOfBoundsException.require("variance between trials", trialVariance, 0, 10_000, "°²");
    }

    public static final int PEOPLE_LEAST = 5;
    public static final int VISITS_MOST = 4;

    /** One person: the trials of each visit. */
    public record Person(List<Trials> visits) {
        public Person {
            visits = List.copyOf(visits);
        }
    }

    /** @throws Repeatability.UnusableException when people, visits or trials are too few or do not match */
    public static NoiseStudy of(List<Person> people) {
        if (people.size() < PEOPLE_LEAST) {
            throw new Repeatability.UnusableException(
                    -1, -1, "a study needs at least five people, there are " + people.size());
        }
        var medians = new double[people.size()][];
        double squares = 0;
        int freedom = 0;
        int trials = people.get(0).visits().isEmpty()
                ? 0
                : people.get(0).visits().get(0).angles().size();
        for (int i = 0; i < people.size(); i++) {
            var visits = people.get(i).visits();
            OutOfBoundsException.require("number of visits", visits.size(), 2, VISITS_MOST, "");
            for (int j = 0; j < visits.size(); j++) {
                if (visits.get(j).angles().size() != trials) {
                    throw new Repeatability.UnusableException(
                            i, j, "every visit needs the same number of trials, here " + trials);
                }
                squares += squaresWithin(visits.get(j));
                freedom += trials - 1;
            }
            medians[i] = visits.stream().mapToDouble(v -> v.median().value()).toArray();
        }
        var agreement = Repeatability.of(medians);
        double trialVariance = freedom == 0 ? 0 : squares / freedom;
        double factor = people.get(0).visits().get(0).medianVarianceFactor();
        return new NoiseStudy(agreement, Math.max(0, agreement.withinMs() - factor * trialVariance), trialVariance);
    }

    private static double squaresWithin(Trials visit) {
        double mean = visit.mean();
        return visit.angles().stream()
                .mapToDouble(a -> (a.value() - mean) * (a.value() - mean))
                .sum();
    }

    /** Degrees of freedom of its variance: of the visits within people. */
    public int freedom() {
        return agreement.targets() * (agreement.judges() - 1);
    }

    /** Standard error of measurement of one day's reading in this study, degrees. */
    public double sem() {
        return Math.sqrt(agreement.withinMs());
    }

    /** Variance of a day's reading that is the median of so many trials: σ_day² + f(n)·σ_trial², degrees². */
    public double readingVariance(int trials) {
        return dayVariance + Trials.medianVarianceFactor(trials) * trialVariance;
    }
}
