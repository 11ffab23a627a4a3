package gradino.core.prescribe;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;

/**
 * A line's protocol: what both sides share, and a dose for each.
 *
 * @param motion id in the catalogue
 * @param position id in the catalogue
 * @param method id of the method it follows
 * @param rotationsEachWay controlled rotations in each direction, 0 to 30
 * @param secondsPerCircle 1 to 60
 * @param press the staircase before a side's ceiling cuts it
 * @param pullSeconds one pull at the ceiling after each press, 0 to 600
 * @param settleSeconds wanted; rounded to whole breaths, 0 to 600; 0 for none
 * @param setUpSeconds before the first side, 0 to 600
 * @param sideChangeSeconds between the sides, 0 to 600
 * @param sessionsPerWeek 1 to 14
 * @param firstSide goes first: the worse one
 * @param unequalReason why the two sides' work differs; empty when it does not
 * @param sides that are done; a midline line keeps its dose on the left
 */
public record Plan(
        String motion,
        String position,
        String method,
        int rotationsEachWay,
        int secondsPerCircle,
        RampPattern press,
        int pullSeconds,
        int settleSeconds,
        Breathing settleBreathing,
        int setUpSeconds,
        int sideChangeSeconds,
        int sessionsPerWeek,
        Side firstSide,
        String unequalReason,
        Sided<Dose> doses,
        SidePlan sides) {
    /** Stands in where a line was composed and its blocks say how they press. */
    private static final RampPattern NO_RAMP = new RampPattern(List.of(new EffortStep(EffortPercent.of(1), 1)));

    private static final int DAYS_PER_WEEK = 7;
    private static final int SECONDS_PER_MINUTE = 60;

    public Plan {
        // What was kept before lines were composed trains both sides.
        sides = sides == null ? SidePlan.ONE_AFTER_OTHER : sides;
        OutOfBoundsException.require("rotationsEachWay", rotationsEachWay, 0, 30, "");
        OutOfBoundsException.require("secondsPerCircle", secondsPerCircle, 1, 60, "s");
        OutOfBoundsException.require("pullSeconds", pullSeconds, 0, 600, "s");
        OutOfBoundsException.require("settleSeconds", settleSeconds, 0, 600, "s");
        OutOfBoundsException.require("setUpSeconds", setUpSeconds, 0, 600, "s");
        OutOfBoundsException.require("sideChangeSeconds", sideChangeSeconds, 0, 600, "s");
        OutOfBoundsException.require("sessionsPerWeek", sessionsPerWeek, 1, 14, "");
        firstSide.paired();
    }

    /** Both sides, one after the other. */
    public Plan(
            String motion,
            String position,
            String method,
            int rotationsEachWay,
            int secondsPerCircle,
            RampPattern press,
            int pullSeconds,
            int settleSeconds,
            Breathing settleBreathing,
            int setUpSeconds,
            int sideChangeSeconds,
            int sessionsPerWeek,
            Side firstSide,
            String unequalReason,
            Sided<Dose> doses) {
        this(
                motion,
                position,
                method,
                rotationsEachWay,
                secondsPerCircle,
                press,
                pullSeconds,
                settleSeconds,
                settleBreathing,
                setUpSeconds,
                sideChangeSeconds,
                sessionsPerWeek,
                firstSide,
                unequalReason,
                doses,
                SidePlan.ONE_AFTER_OTHER);
    }

    /**
     * A line of a composed session.
     *
     * @throws OutOfBoundsException for a number that no line can have
     */
    public static Plan composed(LineDraft line) {
        return new Plan(
                line.motion(),
                line.position(),
                line.method(),
                0,
                1,
                NO_RAMP,
                0,
                0,
                Breathing.USUAL,
                (int) line.setUpSeconds(),
                (int) line.sideChangeSeconds(),
                line.sessionsPerWeek(),
                line.firstSide(),
                line.unequalReason(),
                Sided.of(line::dose),
                line.sides());
    }

    /** Whether its sides are composed of blocks. */
    public boolean hasBlocks() {
        return doses.left().hasBlocks() || doses.right().hasBlocks();
    }

    /** The sides that it trains, as their doses are kept: the midline's on the left. A composed side without a block is none. */
    public List<Side> trained() {
        return switch (sides) {
            case LEFT, MIDLINE -> List.of(Side.LEFT);
            case RIGHT -> List.of(Side.RIGHT);
            case ONE_AFTER_OTHER, ALTERNATING ->
                Side.PAIR.stream()
                        .filter(s -> !hasBlocks() || dose(s).hasBlocks())
                        .toList();
        };
    }

    /** A newcomer's plan by the house method. */
    public static Plan first(String motion, String position, Sided<Degrees> angles, Side firstSide) {
        var method = Method.rampBothWays();
        return new Plan(
                motion,
                position,
                method.id(),
                method.first(BlockForm.CONTROLLED_ROTATION, "repetitions"),
                method.first(BlockForm.CONTROLLED_ROTATION, "seconds"),
                method.pattern(),
                method.first(BlockForm.GRADED_SET, "pull"),
                method.first(BlockForm.GRADED_SET, "settle"),
                new Breathing(method.first(BlockForm.GRADED_SET, "in"), method.first(BlockForm.GRADED_SET, "out")),
                (int) method.setUp().first(),
                (int) method.sideChange().first(),
                (int) method.week().first(),
                firstSide,
                "",
                angles.map((side, angle) -> method.firstDose(angle)));
    }

    public Plan withDose(Side side, Dose dose) {
        return withDoses(doses.with(side, dose));
    }

    public Plan withDoses(Sided<Dose> to) {
        return with(sessionsPerWeek, to);
    }

    public Plan withSessionsPerWeek(int to) {
        return with(to, doses);
    }

    public Plan withContractions(RampPattern ramp, int pull) {
        return new Plan(
                motion,
                position,
                method,
                rotationsEachWay,
                secondsPerCircle,
                ramp,
                pull,
                settleSeconds,
                settleBreathing,
                setUpSeconds,
                sideChangeSeconds,
                sessionsPerWeek,
                firstSide,
                unequalReason,
                doses,
                sides);
    }

    private Plan with(int perWeek, Sided<Dose> to) {
        return new Plan(
                motion,
                position,
                method,
                rotationsEachWay,
                secondsPerCircle,
                press,
                pullSeconds,
                settleSeconds,
                settleBreathing,
                setUpSeconds,
                sideChangeSeconds,
                perWeek,
                firstSide,
                unequalReason,
                to,
                sides);
    }

    public Dose dose(Side side) {
        return doses.on(side);
    }

    /**
     * Whole minutes that the rest of a session leaves to this line.
     *
     * @param minutes that there are, 0 and more
     * @param wholeSeconds of the session with this line in it
     */
    public int minutesLeft(int minutes, int wholeSeconds) {
        int others = Math.max(0, wholeSeconds - Compiler.secondsOf(this));
        return Math.max(0, minutes - others / SECONDS_PER_MINUTE);
    }

    /** Days from one session to the next, rounded up. */
    public int plannedIntervalDays() {
        return (DAYS_PER_WEEK + sessionsPerWeek - 1) / sessionsPerWeek;
    }
}
