package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.measure.NoiseBook;
import gradino.core.measure.NoiseRules;
import gradino.core.quantity.OutOfBoundsException;
import gradino.server.account.SignedIn;
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
    private final StudyRepository studies;
    private final SignedIn signedIn;
    private final Clock clock;

    NoiseService(StudyRepository studies, SignedIn signedIn, Clock clock) {
        this.studies = studies;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** Standard errors of measurement where no study says better, degrees. */
    record HouseNoise(double semCoachDegrees, double semSelfDegrees) {}

    @Transactional(readOnly = true)
    public NoiseBook book() {
        return new NoiseBook(rules(), studies.finished());
    }

    @Transactional(readOnly = true)
    public NoiseRules rules() {
        return studies.houseNoise().orElse(NoiseRules.HOUSE);
    }

    @Transactional
    HouseNoise change(HouseNoise noise) {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        var findings = new ArrayList<Finding>();
        require(findings, "semCoachDegrees", noise.semCoachDegrees());
        require(findings, "semSelfDegrees", noise.semSelfDegrees());
        Problem.throwIfBlocking(findings);
        studies.setHouseNoise(me.id(), noise.semCoachDegrees(), noise.semSelfDegrees(), StudioClock.now(clock));
        return noise;
    }

    private static void require(List<Finding> findings, String path, double value) {
        try {
            OutOfBoundsException.require(path, value, 0.5, 15, "°");
        } catch (OutOfBoundsException e) {
            findings.add(Finding.outOfBounds(path, e));
        }
    }
}
