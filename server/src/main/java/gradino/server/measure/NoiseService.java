package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.measure.limit.GapLimit;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.quantity.OutOfBoundsException;
import gradino.server.account.people.SignedIn;
import gradino.server.measure.StudyRepository.House;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How noisy readings are: the studio's house values and every coach's own study. */
@Service
public class NoiseService {
    private static final double PERCENT = 100;

    private final StudyRepository studies;
    private final SignedIn signedIn;
    private final Clock clock;

    NoiseService(StudyRepository studies, SignedIn signedIn, Clock clock) {
        this.studies = studies;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /**
     * The studio's own values.
     *
     * @param semCoachDegrees standard error of measurement where no study says better
     * @param gapMostDegrees a control gap up to this is in order,
     * @param gapPercent or up to this share of the passive range where that is smaller,
     * @param gapLeastDegrees but this is always in order
     */
    record HouseNoise(
            double semCoachDegrees,
            double semSelfDegrees,
            double gapMostDegrees,
            double gapPercent,
            double gapLeastDegrees) {
        static HouseNoise of(House house) {
            return new HouseNoise(
                    house.noise().semCoachDegrees(),
                    house.noise().semSelfDegrees(),
                    house.gap().mostDegrees(),
                    Math.rint(house.gap().share() * PERCENT * 10) / 10,
                    house.gap().leastDegrees());
        }
    }

    @Transactional(readOnly = true)
    public NoiseBook book() {
        return new NoiseBook(rules(), studies.finished());
    }

    @Transactional(readOnly = true)
    public NoiseRules rules() {
        return studies.house().noise();
    }

    @Transactional(readOnly = true)
    public GapLimit gapLimit() {
        return studies.house().gap();
    }

    @Transactional(readOnly = true)
    HouseNoise house() {
        return HouseNoise.of(studies.house());
    }

    @Transactional
    HouseNoise change(HouseNoise noise) {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        var findings = new ArrayList<Finding>();
        require(findings, "semCoachDegrees", noise.semCoachDegrees(), 0.5, 15, "°");
        require(findings, "semSelfDegrees", noise.semSelfDegrees(), 0.5, 15, "°");
        require(findings, "gapMostDegrees", noise.gapMostDegrees(), 1, 60, "°");
        require(findings, "gapPercent", noise.gapPercent(), 5, 100, "%");
        require(findings, "gapLeastDegrees", noise.gapLeastDegrees(), 1, Math.max(1, noise.gapMostDegrees()), "°");
        Problem.throwIfBlocking(findings);
        var house = new House(
                NoiseRules.HOUSE.withSem(noise.semCoachDegrees(), noise.semSelfDegrees()),
                new GapLimit(noise.gapMostDegrees(), share(noise.gapPercent()), noise.gapLeastDegrees()));
        studies.setHouse(me.id(), house, StudioClock.now(clock));
        return noise;
    }

    /** The screen shows a third as 33.3 %. */
    private static double share(double percent) {
        return percent == HouseNoise.of(House.SHIPPED).gapPercent() ? GapLimit.HOUSE.share() : percent / PERCENT;
    }

    private static void require(
            List<Finding> findings, String path, double value, double lower, double upper, String unit) {
        try {
            OutOfBoundsException.require(path, value, lower, upper, unit);
        } catch (OutOfBoundsException e) {
            findings.add(Finding.outOfBounds(path, e));
        }
    }
}
