package gradino.server.intake;

import gradino.core.body.Norm;
import gradino.core.body.Segment;
import gradino.core.intake.Intake;
import gradino.core.intake.Limits;
import gradino.core.intake.Restriction;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A client's facts as they stand.
 *
 * @param intake what was answered, added and cleared; restrictions follow from it
 * @param archivedAt when they left; null while they come
 */
public record Client(
        String id,
        Details details,
        Intake intake,
        Instant recordedAt,
        @Nullable Instant archivedAt) {

    /**
     * What a coach writes down about a client.
     *
     * @param sex male or female, for the tables only; null when not said
     * @param minutes for a session; null when not said
     * @param equipment ids of the catalogue
     * @param days on which the client can train
     * @param lengths of the body as measured, cm
     * @param beighton 0 to 9, as noted elsewhere; the screening's own score goes before it
     * @param blockStepCm what the client's blocks stack in
     */
    public record Details(
            String name,
            @Nullable LocalDate birthDate,
            @Nullable String sex,
            String goal,
            String history,
            @Nullable Integer minutes,
            List<DayOfWeek> days,
            List<String> equipment,
            @Nullable Double statureCm,
            @Nullable Double massKg,
            Lengths lengths,
            @Nullable Integer beighton,
            double blockStepCm,
            List<MotionGoal> goals) {
        public Details {
            name = name.strip();
            days = List.copyOf(days);
            equipment = List.copyOf(equipment);
            goals = List.copyOf(goals);
        }

        /** @param longest minutes of a session */
        Details withTime(List<DayOfWeek> on, int longest) {
            return new Details(
                    name,
                    birthDate,
                    sex,
                    goal,
                    history,
                    longest,
                    on,
                    equipment,
                    statureCm,
                    massKg,
                    lengths,
                    beighton,
                    blockStepCm,
                    goals);
        }
    }

    /** Measured body lengths, cm; null where not measured. */
    public record Lengths(
            @Nullable Double shank,
            @Nullable Double leg,
            @Nullable Double thigh,
            @Nullable Double hipCentres,
            @Nullable Double toeToAnkle) {
        public static final Lengths NONE = new Lengths(null, null, null, null, null);

        public static Lengths ofShank(@Nullable Double shank) {
            return new Lengths(shank, null, null, null, null);
        }

        @Nullable
        Double of(Segment segment) {
            return switch (segment) {
                case SHANK -> shank;
                case LEG -> leg;
                case THIGH -> thigh;
                case HIP_CENTRES -> hipCentres;
                case TOE_TO_ANKLE -> toeToAnkle;
            };
        }
    }

    /**
     * Degrees of a motion that the goal needs.
     *
     * @param replacesTable whether it stands in place of the published usual range
     */
    public record MotionGoal(String motion, double degrees, boolean replacesTable) {}

    /** Each length that is known: measured, else from stature with its larger uncertainty. */
    public Map<Segment, BodyLength> body() {
        var known = new EnumMap<Segment, BodyLength>(Segment.class);
        for (var segment : Segment.values()) {
            length(segment).ifPresent(l -> known.put(segment, l));
        }
        return known;
    }

    public Optional<BodyLength> length(Segment segment) {
        var measured = details.lengths().of(segment);
        if (measured != null) {
            return Optional.of(BodyLength.measured(Centimetres.of(measured)));
        }
        return Optional.ofNullable(details.statureCm())
                .flatMap(s -> segment.fromStature(Centimetres.of(s)))
                .map(BodyLength::fromStature);
    }

    public List<Restriction> restrictions(Instant now, ZoneId zone) {
        return intake.restrictions(now, zone);
    }

    public Limits limits(String motion, Instant now, ZoneId zone) {
        return Limits.of(motion, restrictions(now, zone));
    }

    /** Whom the published tables are looked up for. */
    public Norm.Person person(LocalDate today) {
        var birth = details.birthDate();
        return new Norm.Person(
                details.sex(),
                birth == null ? null : Period.between(birth, today).getYears());
    }

    public Optional<MotionGoal> goal(String motion) {
        return details.goals().stream().filter(g -> g.motion().equals(motion)).findFirst();
    }

    public Optional<Double> goalFor(String motion) {
        return goal(motion).map(MotionGoal::degrees);
    }
}
