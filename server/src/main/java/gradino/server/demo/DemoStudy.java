package gradino.server.demo;

import gradino.core.advance.state.Moment;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Trials;
import gradino.core.quantity.Degrees;
import gradino.server.measure.StudyRepository;
import gradino.server.measure.StudyRepository.Study;
import gradino.server.measure.StudyRepository.StudyReading;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** The invented coach has found out how well knee flexion repeats: six people on two days, three trials each. */
@Component
class DemoStudy {
    private static final long SEED = 11;
    private static final int VISITS = 2;
    private static final double DAY_SD = 1.3;
    private static final double TRIAL_SD = 0.8;
    private static final List<String> PEOPLE = List.of("A", "B", "C", "D", "E", "F");

    private final StudyRepository studies;

    DemoStudy(StudyRepository studies) {
        this.studies = studies;
    }

    void tell(String accountId, Moment now) {
        var random = new Random(SEED);
        var begun = now.instant().minus(Duration.ofDays(40));
        var study = new Study(
                "demo-study",
                accountId,
                "knee-flexion",
                Instrument.GONIOMETER,
                PEOPLE,
                VISITS,
                Trials.USUAL,
                begun,
                null);
        studies.insert(study);
        for (int person = 0; person < PEOPLE.size(); person++) {
            double truth = 128 + 3 * person;
            for (int visit = 0; visit < VISITS; visit++) {
                var trials = trials(truth + random.nextGaussian() * DAY_SD, random);
                studies.add(study.id(), new StudyReading(person, visit, trials), begun.plus(Duration.ofDays(visit)));
            }
        }
        studies.finish(study.id(), begun.plus(Duration.ofDays(VISITS)));
    }

    private static Trials trials(double day, Random random) {
        return new Trials(IntStream.range(0, Trials.USUAL)
                .mapToObj(n -> Degrees.of(Math.rint(day + random.nextGaussian() * TRIAL_SD)))
                .toList());
    }
}
