package gradino.server.intake;

import gradino.core.body.Anthropometry;
import gradino.core.intake.Beighton;
import gradino.core.intake.Restriction;
import gradino.core.measure.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A client's file as it stands.
 *
 * @param restrictedAt since when the restriction stands; the intake's time while there is none
 */
public record Client(
        String id,
        Details details,
        Restriction restriction,
        Instant restrictedAt,
        @Nullable Instant lastClearance,
        Instant recordedAt) {

    /**
     * What a coach writes down about a client.
     *
     * @param minutes for a session; null when not said
     * @param shankCm measured knee to ankle; null when not measured
     * @param beighton 0 to 9; null when not scored
     * @param blockStepCm what the client's blocks stack in
     */
    public record Details(
            String name,
            @Nullable LocalDate birthDate,
            String goal,
            @Nullable Integer minutes,
            @Nullable Double statureCm,
            @Nullable Double shankCm,
            @Nullable Integer beighton,
            double blockStepCm,
            List<MotionGoal> goals) {
        public Details {
            goals = List.copyOf(goals);
        }
    }

    /** Degrees of a motion that the goal needs. */
    public record MotionGoal(String motion, double degrees) {}

    /** Measured, else from stature with its larger uncertainty, else empty. */
    public Optional<BodyLength> shank() {
        if (details.shankCm() != null) {
            return Optional.of(BodyLength.measured(Centimetres.of(details.shankCm())));
        }
        return Optional.ofNullable(details.statureCm())
                .map(s -> BodyLength.fromStature(Anthropometry.shankFromStature(Centimetres.of(s))));
    }

    /** Hypermobile by score and age; without a birth date the adult cut-off counts. */
    public boolean hypermobileOn(LocalDate day) {
        int adult = 30;
        int age = details.birthDate() == null
                ? adult
                : Period.between(details.birthDate(), day).getYears();
        return details.beighton() != null && new Beighton(details.beighton()).isHypermobileAt(age);
    }

    public Optional<Double> goalFor(String motion) {
        return details.goals().stream()
                .filter(g -> g.motion().equals(motion))
                .map(MotionGoal::degrees)
                .findFirst();
    }
}
