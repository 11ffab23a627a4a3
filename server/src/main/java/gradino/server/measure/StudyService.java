package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.measure.noise.Agreement;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.NoiseStudy;
import gradino.core.measure.noise.Repeatability;
import gradino.core.measure.noise.Repeatability.UnusableException;
import gradino.core.measure.noise.Trials;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import gradino.server.account.people.SignedIn;
import gradino.server.measure.StudyRepository.Study;
import gradino.server.measure.StudyRepository.StudyReading;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Guides a coach's own repeatability study and works it out. A study belongs to who made it. */
@Service
class StudyService {
    private final StudyRepository studies;
    private final NoiseService noise;
    private final SignedIn signedIn;
    private final Clock clock;

    StudyService(StudyRepository studies, NoiseService noise, SignedIn signedIn, Clock clock) {
        this.studies = studies;
        this.noise = noise;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** A study as it is planned; the id is made by the device. */
    record Plan(String id, String motion, Instrument instrument, List<String> people, int visits, int trials) {}

    /**
     * A study with what is in it and what comes next.
     *
     * @param next null when every reading is there
     * @param result null until there is enough
     * @param missing why there is no result yet; empty when there is one
     */
    record StudyView(
            Study study,
            List<StudyReading> readings,
            @Nullable Next next,
            @Nullable Result result,
            String missing) {}

    /** Who is measured next, at which visit; both count from 0. */
    record Next(int person, int visit) {}

    /** ICC in Shrout and Fleiss's six forms. */
    record Icc(
            @Nullable Double icc11,
            @Nullable Double icc21,
            @Nullable Double icc31,
            @Nullable Double icc1k,
            @Nullable Double icc2k,
            @Nullable Double icc3k) {}

    /**
     * What the study says. Degrees.
     *
     * @param icc each null when the readings do not vary between people
     * @param agreement of the first two visits
     */
    record Result(
            int people,
            int visits,
            Icc icc,
            double sem,
            double mdc90,
            double mdc95,
            double typicalError,
            double daySd,
            double trialSd,
            Bias agreement,
            double houseSem) {}

    /** Bias and limits of agreement, first − second visit, with 95 % intervals. */
    record Bias(
            double bias,
            double sd,
            Agreement.Interval biasInterval,
            Agreement.Interval lowerLimit,
            Agreement.Interval upperLimit) {}

    @Transactional(readOnly = true)
    List<StudyView> mine() {
        return studies.of(me()).stream().map(this::view).toList();
    }

    @Transactional(readOnly = true)
    StudyView get(String id) {
        return view(owned(id));
    }

    @Transactional
    StudyView begin(Plan plan) {
        if (studies.find(plan.id()).isEmpty()) {
            Problem.throwIfBlocking(check(plan));
            studies.insert(new Study(
                    plan.id(),
                    me(),
                    plan.motion(),
                    plan.instrument(),
                    plan.people(),
                    plan.visits(),
                    plan.trials(),
                    StudioClock.now(clock),
                    null));
        }
        return get(plan.id());
    }

    private static List<Finding> check(Plan plan) {
        var findings = new ArrayList<Finding>();
        if (Catalogue.motion(plan.motion()).isEmpty()) {
            findings.add(Finding.blocking("motion", "unknown-motion", null, "", "Pick a motion of the list."));
        }
        if (plan.people().size() < NoiseStudy.PEOPLE_LEAST || plan.people().size() > 30) {
            findings.add(Finding.blocking(
                    "people",
                    "too-few-people",
                    5.0,
                    "",
                    "Five people at least, thirty at most: fewer say too little."));
        }
        bounds(findings, "visits", plan.visits(), 2, NoiseStudy.VISITS_MOST);
        bounds(findings, "trials", plan.trials(), 1, Trials.MOST);
        return findings;
    }

    private static void bounds(List<Finding> findings, String path, int value, int lower, int upper) {
        try {
            OutOfBoundsException.require(path, value, lower, upper, "");
        } catch (OutOfBoundsException e) {
            findings.add(Finding.outOfBounds(path, e));
        }
    }

    @Transactional
    StudyView record(String id, int person, int visit, List<Double> trials) {
        var study = owned(id);
        if (study.finishedAt() != null) {
            throw Problem.invalid("trials", "finished", "This study is finished: begin a new one.");
        }
        if (person < 0 || person >= study.people().size() || visit < 0 || visit >= study.visits()) {
            throw Problem.invalid("person", "unknown", "There is no such person or visit in this study.");
        }
        if (trials.size() != study.trials()) {
            throw Problem.invalid(
                    "trials", "number-of-trials", "Each visit has %d trials here.".formatted(study.trials()));
        }
        studies.add(id, new StudyReading(person, visit, read(trials)), StudioClock.now(clock));
        return get(id);
    }

    private static Trials read(List<Double> trials) {
        var angles = new ArrayList<Degrees>();
        for (int i = 0; i < trials.size(); i++) {
            try {
                angles.add(Degrees.of(trials.get(i)));
            } catch (OutOfBoundsException e) {
                Problem.throwIfBlocking(List.of(Finding.outOfBounds("trials[" + i + "]", e)));
            }
        }
        return new Trials(angles);
    }

    /** From now on the coach's readings of this motion with this instrument carry these figures. */
    @Transactional
    StudyView finish(String id) {
        var view = get(id);
        if (view.result() == null || view.next() != null) {
            throw Problem.invalid("readings", "not-complete", "Not every reading is in yet.");
        }
        if (!(view.result().sem() > 0)) {
            throw Problem.invalid(
                    "readings", "no-variance", "All readings are the same: that cannot be, look at them again.");
        }
        studies.finish(id, StudioClock.now(clock));
        return get(id);
    }

    private String me() {
        return signedIn.account().orElseThrow(Problem::nothingHere).id();
    }

    private Study owned(String id) {
        return studies.find(id).filter(s -> s.accountId().equals(me())).orElseThrow(Problem::nothingHere);
    }

    private StudyView view(Study study) {
        var readings = studies.readings(study.id());
        try {
            var people = studies.people(study);
            return new StudyView(
                    study,
                    readings,
                    next(study, readings),
                    result(NoiseStudy.of(people), people, noise.rules().semCoachDegrees()),
                    "");
        } catch (UnusableException | OutOfBoundsException e) {
            return new StudyView(
                    study, readings, next(study, readings), null, Finding.sentence(String.valueOf(e.getMessage())));
        }
    }

    /** Everybody at the first visit, then everybody at the next: nobody is measured twice in a row. */
    private static @Nullable Next next(Study study, List<StudyReading> readings) {
        for (int visit = 0; visit < study.visits(); visit++) {
            for (int person = 0; person < study.people().size(); person++) {
                int v = visit;
                int p = person;
                if (readings.stream().noneMatch(r -> r.person() == p && r.visit() == v)) {
                    return new Next(p, v);
                }
            }
        }
        return null;
    }

    private static Result result(NoiseStudy study, List<NoiseStudy.Person> people, double houseSem) {
        var r = study.agreement();
        double[] first = medians(people, 0);
        double[] second = medians(people, 1);
        var agreement = Agreement.of(first, second);
        return new Result(
                r.targets(),
                r.judges(),
                new Icc(
                        finite(r.icc11()),
                        finite(r.icc21()),
                        finite(r.icc31()),
                        finite(r.icc1k()),
                        finite(r.icc2k()),
                        finite(r.icc3k())),
                study.sem(),
                Repeatability.mdc90(study.sem()),
                Repeatability.mdc95(study.sem()),
                agreement.typicalError(),
                Math.sqrt(study.dayVariance()),
                Math.sqrt(study.trialVariance()),
                new Bias(
                        agreement.bias(),
                        agreement.sd(),
                        agreement.biasInterval(),
                        agreement.lowerLimit(),
                        agreement.upperLimit()),
                houseSem);
    }

    private static double[] medians(List<NoiseStudy.Person> people, int visit) {
        return people.stream()
                .mapToDouble(p -> p.visits().get(visit).median().value())
                .toArray();
    }

    private static @Nullable Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
