package gradino.core.advance.state;

import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.DoneRatio;
import gradino.core.perform.MeasuredEffort;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PropUsed;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.AskedEfforts;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What one session says about one side.
 *
 * @param worstPain highest pain reported; NONE when none was
 * @param worstKind its kind; null when none was
 * @param worstIn kind of block in which it was felt; null when none was
 * @param mostFaults seen in one set
 * @param mostCramps in one set
 * @param effortOff largest distance of a self-rating from the asked tenth; null when no set was judged by its rating
 * @param unrated a set has neither a rating nor a gauge's word
 * @param effortWithin lowest share of the time on target that a gauge saw; null without one
 * @param nearMaxPeak weakest best second of a near-maximal step, %; null when a gauge saw none
 * @param otherAngle it was done at, farthest from the dose's; null when every block was set up as planned
 * @param otherApparatus what it lay on or pulled against instead of what was prescribed; null as prescribed
 * @param unplannedStop a block was left, an effort missed, or the session ended by a stop sign on this side
 */
public record SideFacts(
        DoneRatio done,
        PainScore worstPain,
        @Nullable PainKind worstKind,
        @Nullable BlockKind worstIn,
        boolean wrongJoint,
        int mostFaults,
        int mostCramps,
        @Nullable Double effortOff,
        boolean unrated,
        @Nullable Double effortWithin,
        @Nullable Double nearMaxPeak,
        @Nullable Degrees otherAngle,
        @Nullable Apparatus otherApparatus,
        boolean unplannedStop) {

    private static final double SAME_ANGLE_DEGREES = 0.5;

    static SideFacts of(SessionRecord session, Side side, AskedEfforts presses) {
        var measured = session.efforts().isEmpty()
                ? List.<MeasuredEffort>of()
                : session.efforts().stream().filter(e -> e.isOf(side)).toList();
        var seen = new Seen(session.doses().on(side), presses, measured);
        for (var block : session.blocks()) {
            if (block.isOf(side)) {
                seen.add(block);
            }
        }
        boolean sign = session.stopSign() != null
                && (session.stopSide() == null || session.stopSide() == side || session.bothAtOnce());
        return seen.facts(DoneRatio.of(session, side), sign);
    }

    /** Gathers a side's blocks in one pass. */
    private static final class Seen {
        private final Dose asked;
        private final Map<Object, Integer> faults = new HashMap<>();
        private final Map<Object, Integer> cramps = new HashMap<>();
        private final AskedEfforts presses;
        private @Nullable Pain worst;
        private @Nullable BlockKind worstIn;
        private boolean wrongJoint;
        private final List<MeasuredEffort> measured;
        private boolean rated;
        private boolean unrated;
        private double effortOff;
        private @Nullable Degrees otherAngle;
        private @Nullable Apparatus otherApparatus;
        private boolean left;

        Seen(Dose asked, AskedEfforts presses, List<MeasuredEffort> measured) {
            this.asked = asked;
            this.measured = measured;
            this.presses = presses;
        }

        void add(BlockRecord block) {
            block.pains().forEach(pain -> hurt(pain, block.kind()));
            inSet(faults, block, block.faults().size());
            inSet(cramps, block, block.cramps());
            usedProp(block.prop());
            left |= block.skippedBecause() != null || block.effortMissed();
            if (block.kind() == BlockKind.PRESS && block.skippedBecause() == null && !block.besidesThePlan()) {
                rate(block);
            }
        }

        /** A prop is only as fine as its blocks: less than {@value #SAME_ANGLE_DEGREES}° off is as planned. */
        private void usedProp(@Nullable PropUsed prop) {
            if (prop != null
                    && off(prop.angle()) >= SAME_ANGLE_DEGREES
                    && (otherAngle == null || off(prop.angle()) > off(otherAngle))) {
                otherAngle = prop.angle();
            }
            var apparatus = prop == null ? null : prop.apparatus();
            if (apparatus != null && !apparatus.equals(asked.apparatus())) {
                otherApparatus = apparatus;
            }
        }

        private double off(Degrees angle) {
            return Math.abs(angle.minus(asked.angle()));
        }

        private void hurt(Pain pain, BlockKind in) {
            wrongJoint |= pain.kind() == PainKind.WRONG_JOINT;
            if (worst == null || pain.score().compareTo(worst.score()) >= 0) {
                worst = pain;
                worstIn = in;
            }
        }

        private static void inSet(Map<Object, Integer> bySet, BlockRecord block, int count) {
            if (count > 0) {
                bySet.merge(setOf(block.blockId()), count, Integer::sum);
            }
        }

        /** Once a set, at its press: by the gauge, else by its rating; without either the effort is unknown. */
        private void rate(BlockRecord block) {
            if (isMeasured(block)) {
                return;
            }
            var rating = block.effortRating();
            if (rating == null) {
                unrated = true;
            } else {
                rated = true;
                effortOff = Math.max(
                        effortOff,
                        Math.abs(rating.value() - askedOf(block.blockId()).tenths()));
            }
        }

        private boolean isMeasured(BlockRecord block) {
            return !measured.isEmpty()
                    && measured.stream().anyMatch(e -> e.blockId().equals(block.blockId()));
        }

        private EffortPercent askedOf(BlockId blockId) {
            return presses.of(blockId).orElseGet(asked::ceiling);
        }

        /** Where nothing is pressed nobody is asked how hard it was. */
        private boolean isAsked() {
            return !presses.isEmpty();
        }

        SideFacts facts(DoneRatio done, boolean sign) {
            return new SideFacts(
                    done,
                    worst == null ? PainScore.NONE : worst.score(),
                    worst == null ? null : worst.kind(),
                    worstIn,
                    wrongJoint,
                    most(faults),
                    most(cramps),
                    rated ? effortOff : null,
                    isAsked() && (unrated || (!rated && measured.isEmpty())),
                    lowest(measured, MeasuredEffort::within),
                    lowest(measured, MeasuredEffort::nearMaxPeak),
                    otherAngle,
                    otherApparatus,
                    sign || left);
        }

        private static @Nullable Double lowest(
                List<MeasuredEffort> efforts, Function<MeasuredEffort, @Nullable Double> value) {
            Double lowest = null;
            for (var effort : efforts) {
                var one = value.apply(effort);
                lowest = one == null || (lowest != null && lowest <= one) ? lowest : one;
            }
            return lowest;
        }

        private static int most(Map<Object, Integer> bySet) {
            return bySet.isEmpty() ? 0 : Collections.max(bySet.values());
        }
    }

    /** One pass of press and pull; of a kind that is in no set, each block of its own. */
    private static Object setOf(BlockId block) {
        return block.set() == 0 ? block : List.of(block.set(), block.nth());
    }
}
