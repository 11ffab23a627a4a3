package gradino.core.intake;

import gradino.core.body.Side;
import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a client answered on one day. Valid for twelve months and until the next flag; then it is asked again.
 *
 * @param answers yes or no by question id; every question is asked
 * @param bloodPressure last reading; null when none is known
 * @param events of single joints: operations, breaks, strains
 * @param flareJoints joints that the inflammation sits in; empty for all
 * @param birthOn of the last child, when it is less than a year ago; null otherwise
 * @param guardian who agreed, for a client under 18; null otherwise
 * @param beighton manoeuvres seen; null when not looked at
 * @param earlierYears answers "yes" about hypermobile earlier years, 0 to 5
 */
public record Screening(
        Instant at,
        Map<String, Boolean> answers,
        @Nullable BloodPressure bloodPressure,
        List<JointEvent> events,
        List<String> flareJoints,
        @Nullable LocalDate birthOn,
        @Nullable Guardian guardian,
        @Nullable Set<Beighton.Item> beighton,
        int earlierYears,
        String note) {

    public Screening {
        answers = Map.copyOf(answers);
        events = List.copyOf(events);
        flareJoints = List.copyOf(flareJoints);
        beighton = beighton == null ? null : Set.copyOf(beighton);
        OutOfBoundsException.require("earlierYears", earlierYears, 0, 5, "of 5");
    }

    /** In mmHg. */
    public record BloodPressure(
            int systolic, int diastolic, @Nullable LocalDate measuredOn) {
        public BloodPressure {
            OutOfBoundsException.require("systolic", systolic, 50, 300, "mmHg");
            OutOfBoundsException.require("diastolic", diastolic, 30, 200, "mmHg");
        }
    }

    public enum EventKind {
        REPLACEMENT("joint replacement"),
        OPERATION("operation"),
        FRACTURE("fracture"),
        DISLOCATION("dislocation"),
        STRAIN("acute strain");

        private final String words;

        EventKind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Something that happened to a joint.
     *
     * @param side null for the midline, or both
     * @param limits what the surgeon wrote, in words; a clearance makes it bind
     */
    public record JointEvent(
            EventKind kind, String joint, @Nullable Side side, LocalDate on, String limits) {}

    /** Who agreed for a client under 18. */
    public record Guardian(String name, LocalDate on) {}

    public boolean yes(String question) {
        return answers.getOrDefault(question, false);
    }
}
