package gradino.server.measure;

import gradino.core.measure.noise.Instrument;
import gradino.server.measure.NoiseService.HouseNoise;
import gradino.server.measure.StudyRepository.House;
import gradino.server.measure.StudyService.StudyView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class StudyController {
    private final StudyService studies;
    private final NoiseService noise;

    StudyController(StudyService studies, NoiseService noise) {
        this.studies = studies;
        this.noise = noise;
    }

    record NewStudy(
            @NotBlank @Size(max = 64) String id,
            String motion,
            Instrument instrument,
            @Size(max = 30) List<@Size(max = 60) String> people,
            int visits,
            int trials) {}

    record NewReading(int person, int visit, @Size(max = 6) List<Double> trials) {}

    /** The noise in force with the product's own values beside it. */
    record NoiseView(HouseNoise house, HouseNoise shipped, double driftPerDay) {}

    @GetMapping("/api/studies")
    List<StudyView> mine() {
        return studies.mine();
    }

    @PostMapping("/api/studies")
    StudyView begin(@Valid @RequestBody NewStudy s) {
        return studies.begin(
                new StudyService.Plan(s.id(), s.motion(), s.instrument(), s.people(), s.visits(), s.trials()));
    }

    @GetMapping("/api/studies/{studyId}")
    StudyView get(@PathVariable String studyId) {
        return studies.get(studyId);
    }

    @PostMapping("/api/studies/{studyId}/readings")
    StudyView record(@PathVariable String studyId, @Valid @RequestBody NewReading r) {
        return studies.record(studyId, r.person(), r.visit(), r.trials());
    }

    @PostMapping("/api/studies/{studyId}/finish")
    StudyView finish(@PathVariable String studyId) {
        return studies.finish(studyId);
    }

    @GetMapping("/api/noise")
    NoiseView noise() {
        return new NoiseView(
                noise.house(), HouseNoise.of(House.SHIPPED), noise.rules().driftPerDay());
    }

    @PutMapping("/api/noise")
    HouseNoise change(@RequestBody HouseNoise values) {
        return noise.change(values);
    }
}
