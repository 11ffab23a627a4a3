package gradino.core.advance.gate;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.SideState;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.reading.RangeState;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.UncertainAngle;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is known of the range of one side at a moment, or of both where they work together: then the shorter one decides, or the
 * one that was never measured.
 */
public final class SideRange {
    private final LineState state;
    private final Side side;
    private final Policy policy;
    private final Moment moment;
    private final List<SideState> bodies;
    private final SideState decides;
    private final @Nullable UncertainAngle passive;
    private final @Nullable UncertainAngle active;

    private SideRange(LineState state, Side side, Policy policy, Moment moment) {
        this.state = state;
        this.side = side;
        this.policy = policy;
        this.moment = moment;
        this.bodies = isTogether() ? List.of(state.side(Side.LEFT), state.side(Side.RIGHT)) : List.of(state.side(side));
        this.decides = shorter();
        this.passive = today(decides.passive());
        this.active = today(decides.active());
    }

    public static SideRange of(LineState state, Side side, Policy policy, Moment moment) {
        return new SideRange(state, side, policy, moment);
    }

    private boolean isTogether() {
        return state.plan().sides() == SideOrder.TOGETHER;
    }

    private SideState shorter() {
        var one = bodies.get(0);
        if (bodies.size() == 1) {
            return one;
        }
        var other = bodies.get(1);
        var left = today(one.passive());
        var right = today(other.passive());
        boolean isRight = left != null && (right == null || right.value().compareTo(left.value()) < 0);
        return isRight ? other : one;
    }

    private @Nullable UncertainAngle today(@Nullable RangeState range) {
        return range == null
                ? null
                : range.predict(moment.instant(), policy.noise()).estimate();
    }

    Optional<UncertainAngle> passive() {
        return Optional.ofNullable(passive);
    }

    Optional<UncertainAngle> active() {
        return Optional.ofNullable(active);
    }

    /** The cold passive series that decides; empty when never measured. */
    public Optional<RangeState> series() {
        return Optional.ofNullable(decides.passive());
    }

    /** The newest cold passive reading, the older of two sides'; empty when never measured. */
    public Optional<Instant> measuredAt() {
        return bodies.stream()
                .flatMap(s -> Stream.ofNullable(s.passive()).map(RangeState::at))
                .min(Comparator.naturalOrder());
    }

    /** Whether what is gained in a session is gone by the next, on a side. */
    public boolean borrowed() {
        return bodies.stream().anyMatch(SideState::borrowed);
    }

    /** Of two sides that of the structure, where one has it. */
    public @Nullable EndFeel endFeel() {
        for (var body : bodies) {
            var feel = body.endFeel();
            if (feel != null && feel.isStructure()) {
                return feel;
            }
        }
        return decides.endFeel();
    }

    /** Newest control grade, the lower of two sides'; 0 when never graded. */
    public int controlGrade() {
        int lowest = Integer.MAX_VALUE;
        for (var body : bodies) {
            var grade = body.controlGrade();
            lowest = Math.min(lowest, grade == null ? 0 : grade);
        }
        return lowest;
    }

    /** Of two sides the more cautious. */
    Limiter limiter(ClientFacts client) {
        if (bodies.size() == 1) {
            return limiter(client, decides, passive, active);
        }
        return Limiter.worse(bodies.stream()
                .map(body -> limiter(client, body, today(body.passive()), today(body.active())))
                .toList());
    }

    private static Limiter limiter(
            ClientFacts client, SideState body, @Nullable UncertainAngle reached, @Nullable UncertainAngle held) {
        return Limiter.judge(reached, held, client.wantedDegrees(), body.endFeel(), client.gapLimit());
    }

    /** The side that is really behind in the cold passive range, at 95 %; empty where both have one dose. */
    Optional<Side> reallyBehind() {
        var other = today(state.side(side.other()).passive());
        if (isTogether() || passive == null || other == null) {
            return Optional.empty();
        }
        var difference = passive.minusIndependent(other);
        if (difference.upper95() < 0) {
            return Optional.of(side);
        }
        return difference.lower95() > 0 ? Optional.of(side.other()) : Optional.empty();
    }
}
