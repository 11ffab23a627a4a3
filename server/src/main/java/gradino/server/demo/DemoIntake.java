package gradino.server.demo;

import gradino.core.body.Side;
import gradino.core.intake.Beighton;
import gradino.core.intake.Clearance;
import gradino.core.intake.Question;
import gradino.core.intake.RestrictionKind;
import gradino.core.intake.Scope;
import gradino.core.intake.Screening;
import gradino.core.intake.Screening.EventKind;
import gradino.core.intake.Screening.Guardian;
import gradino.core.intake.Screening.JointEvent;
import gradino.server.intake.IntakeRepository;
import gradino.server.intake.IntakeRepository.AddedRestriction;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.intake.IntakeRepository.StoredScreening;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What an invented client answered on the first day.
 *
 * @param asked false for one who was not screened yet
 * @param yes questions answered with yes
 * @param cleared whether a letter allows what the answers forbid
 * @param guardian who agreed, for a child; null otherwise
 * @param mobile joints that go far
 */
record DemoIntake(
        boolean asked,
        Set<String> yes,
        List<JointEvent> events,
        @Nullable Double effortCap,
        boolean cleared,
        @Nullable Guardian guardian,
        Set<Beighton.Item> mobile) {
    private static final Set<Beighton.Item> FEW = Set.of(Beighton.Item.PALMS, Beighton.Item.THUMB_LEFT);
    static final DemoIntake NOT_YET = new DemoIntake(false, Set.of(), List.of(), null, false, null, FEW);
    private static final Duration LETTER_BEFORE = Duration.ofDays(5);

    static DemoIntake clean() {
        return new DemoIntake(true, Set.of(), List.of(), null, false, null, FEW);
    }

    /** Very mobile joints all over. */
    static DemoIntake veryMobile() {
        var seen = EnumSet.allOf(Beighton.Item.class);
        seen.remove(Beighton.Item.KNEE_LEFT);
        return new DemoIntake(true, Set.of(), List.of(), null, false, null, seen);
    }

    static DemoIntake agreedBy(String guardian, LocalDate on) {
        return new DemoIntake(true, Set.of(), List.of(), null, false, new Guardian(guardian, on), FEW);
    }

    static DemoIntake brokenWrist(LocalDate on) {
        var event = new JointEvent(EventKind.FRACTURE, "wrist", Side.LEFT, on, "no weight on the hand yet");
        return new DemoIntake(true, Set.of(), List.of(event), null, false, null, FEW);
    }

    static DemoIntake clearedTo70() {
        return new DemoIntake(true, Set.of("medication"), List.of(), 70.0, true, null, FEW);
    }

    void tell(IntakeRepository intakes, String clientId, Instant at) {
        if (asked) {
            intakes.add(new StoredScreening(clientId + "-screening", clientId, screening(at), at));
        }
        if (effortCap != null) {
            var cap = IntakeRepository.ofCoach(
                    clientId + "-cap",
                    RestrictionKind.EFFORT_CAP,
                    Scope.WHOLE_BODY,
                    effortCap,
                    "blood pressure under treatment, written clearance to 70 %",
                    at);
            intakes.add(new AddedRestriction(clientId, cap, at));
        }
        if (cleared) {
            intakes.add(new StoredClearance(clientId + "-clearance", clientId, letter(at), at, at));
        }
    }

    /** Brought along on the first day. */
    private static Clearance letter(Instant at) {
        var lifted = new Clearance.Loosening("medication/" + RestrictionKind.NO_ISOMETRICS, null, List.of());
        return new Clearance(
                "Dr. Wenna Polglaze, invented practice",
                LocalDate.ofInstant(at.minus(LETTER_BEFORE), ZoneOffset.UTC),
                null,
                "Blood pressure treated and steady; isometrics up to 70 % of full effort.",
                false,
                List.of(),
                List.of(lifted));
    }

    private Screening screening(Instant at) {
        var answers = Question.all().stream().collect(Collectors.toMap(Question::id, q -> yes.contains(q.id())));
        return new Screening(at, answers, null, events, List.of(), null, guardian, mobile, 0, "");
    }
}
