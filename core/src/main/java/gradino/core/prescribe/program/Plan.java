package gradino.core.prescribe.program;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.Protocol;
import gradino.core.prescribe.timeline.SessionPlan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A line as it is prescribed: what its sides share, and a dose for each.
 *
 * @param motion id in the catalogue
 * @param position id in the catalogue
 * @param method id of the method it follows
 * @param firstSide goes first: the worse one
 * @param setUpSeconds before the first side, 0 to 600
 * @param sideChangeSeconds between the sides, 0 to 600
 * @param sessionsPerWeek 1 to 14
 * @param unequalReason why the two sides' work differs; empty when it does not
 * @param instrument whose cold readings in this position the line goes by; null for that of the newest
 * @param doses one dose for both sides together, or for the middle, is kept on the left
 */
public record Plan(
        String motion,
        String position,
        String method,
        SideOrder sides,
        Side firstSide,
        int setUpSeconds,
        int sideChangeSeconds,
        int sessionsPerWeek,
        String unequalReason,
        @Nullable Instrument instrument,
        Sided<Dose> doses) {
    private static final int DAYS_PER_WEEK = 7;
    private static final int SECONDS_PER_MINUTE = 60;

    public Plan {
        OutOfBoundsException.require("setUpSeconds", setUpSeconds, 0, 600, "s");
        OutOfBoundsException.require("sideChangeSeconds", sideChangeSeconds, 0, 600, "s");
        OutOfBoundsException.require("sessionsPerWeek", sessionsPerWeek, 1, SessionCheck.MOST_A_WEEK, "");
        firstSide.paired();
        if (sides.one() && doses.right().hasBlocks()) {
            doses = doses.with(Side.RIGHT, new Dose(doses.right().angle(), List.of()));
        }
    }

    /** @throws OutOfBoundsException for a number that no line can have */
    public static Plan of(LineDraft line) {
        return new Plan(
                line.motion(),
                line.position(),
                line.method(),
                line.sides(),
                line.firstSide(),
                (int) line.setUpSeconds(),
                (int) line.sideChangeSeconds(),
                line.sessionsPerWeek(),
                line.unequalReason(),
                line.instrument(),
                Sided.of(line::dose));
    }

    /** As it stands in a session that is composed. */
    public LineDraft draft(String id) {
        return new LineDraft(
                id,
                motion,
                position,
                method,
                sides,
                firstSide,
                doses.map((side, dose) -> dose.angle().value()),
                dose(Side.LEFT).blocks(),
                dose(Side.RIGHT).blocks(),
                setUpSeconds,
                sideChangeSeconds,
                sessionsPerWeek,
                unequalReason,
                instrument);
    }

    /** The sides that it trains, as their doses are kept: one dose for both on the left. A side without a block is none. */
    public List<Side> trained() {
        return switch (sides) {
            case LEFT, TOGETHER, MIDLINE -> List.of(Side.LEFT);
            case RIGHT -> List.of(Side.RIGHT);
            case ONE_AFTER_OTHER, FIRST_TWICE, ALTERNATING ->
                Side.PAIR.stream().filter(s -> dose(s).hasBlocks()).toList();
        };
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

    private Plan with(int perWeek, Sided<Dose> to) {
        return new Plan(
                motion,
                position,
                method,
                sides,
                firstSide,
                setUpSeconds,
                sideChangeSeconds,
                perWeek,
                unequalReason,
                instrument,
                to);
    }

    public Dose dose(Side side) {
        return doses.on(side);
    }

    /** What a side does: where there is one dose for both, that one. */
    public Dose done(Side side) {
        return doses.on(sides.one() ? Side.LEFT : side);
    }

    /**
     * Its blocks as they can be done. What cannot be read is left out: whoever stores a line has heard of it.
     *
     * @throws IllegalArgumentException for a motion or position outside the catalogue
     */
    public Protocol protocol() {
        return SessionReader.line(draft(""), new ArrayList<>())
                .orElseThrow(() -> new IllegalArgumentException("no motion " + motion + " in a position " + position));
    }

    /** Every second of it as a session of its own. */
    public Timeline timeline() {
        return Compiler.compile(SessionPlan.of(protocol()));
    }

    /** How long that is, without making it. */
    public int seconds() {
        return Compiler.secondsOf(protocol());
    }

    /** Seconds of the longest contraction without a pause on a side: a whole ramp counts as one. */
    public int longestContractionSeconds(Side side) {
        return Hardest.longest(protocol().on(side));
    }

    /**
     * Whole minutes that the rest of a session leaves to this line.
     *
     * @param minutes that there are, 0 and more
     * @param wholeSeconds of the session with this line in it
     */
    public int minutesLeft(int minutes, int wholeSeconds) {
        int others = Math.max(0, wholeSeconds - seconds());
        return Math.max(0, minutes - others / SECONDS_PER_MINUTE);
    }

    /** Days from one session to the next, rounded up. */
    public int plannedIntervalDays() {
        return (DAYS_PER_WEEK + sessionsPerWeek - 1) / sessionsPerWeek;
    }
}
