package gradino.server.intake;

import gradino.core.intake.Beighton;
import gradino.core.intake.Screening;
import gradino.core.intake.Screening.BloodPressure;
import gradino.core.intake.Screening.Guardian;
import gradino.core.intake.Screening.JointEvent;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A screening as it is answered; parts as in {@link Screening}. */
record Answers(
        Map<String, Boolean> answers,
        @Nullable BloodPressure bloodPressure,
        @Size(max = 40) List<JointEvent> events,
        @Size(max = 20) List<String> flareJoints,
        @Nullable LocalDate birthOn,
        @Nullable Guardian guardian,
        @Nullable Set<Beighton.Item> beighton,
        int earlierYears,
        @Size(max = 2000) String note) {

    Answers {
        if (answers.containsValue(null) || events.contains(null) || flareJoints.contains(null)) {
            throw new IllegalArgumentException("an answer is empty: yes or no, and whole events");
        }
    }

    Screening at(Instant now) {
        return new Screening(
                now, answers, bloodPressure, events, flareJoints, birthOn, guardian, beighton, earlierYears, note);
    }
}
