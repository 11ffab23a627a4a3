package gradino.core.advance;

import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.body.Training;
import gradino.core.intake.Limits;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.FirstDose;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.program.WarmUp;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A session to begin with for one client: the motions in the order of their priority, each with a position the client has the
 * equipment for and a method for what limits it, until the minutes are full. House rule.
 */
public final class SessionStart {
    private static final int MOST_LINES = 3;
    private static final int LIGHT_EFFORT = 30;
    /** Strongest stretch without an estimate, of 10 (common practice, no source). */
    private static final double UNMEASURED_SENSATION = 4;

    private static final int SECONDS_PER_MINUTE = 60;

    private final Asked asked;
    private final List<Because> reasons = new ArrayList<>();
    private final List<LineDraft> lines = new ArrayList<>();
    private final Set<String> inOrder = new LinkedHashSet<>();
    private final Set<String> unjudged = new LinkedHashSet<>();

    private SessionStart(Asked asked) {
        this.asked = asked;
    }

    /**
     * What is known of the client.
     *
     * @param wishes in the order of priority
     * @param equipment ids that the client owns; empty when nothing was said
     * @param minutes null when not said
     * @param onProps rounds an angle down to what a position's props give
     */
    public record Asked(
            List<Wish> wishes,
            List<String> equipment,
            @Nullable Integer minutes,
            BiFunction<Position, Degrees, Degrees> onProps,
            Policy policy) {
        public Asked {
            wishes = List.copyOf(wishes);
            equipment = List.copyOf(equipment);
        }
    }

    /**
     * One motion as it was measured.
     *
     * @param position where it was measured
     * @param limiters a side; the midline's on the left
     * @param passive cold estimates; the midline's on the left
     * @param experience of the motion
     */
    public record Wish(
            Motion motion,
            Position position,
            Sided<Limiter> limiters,
            Sided<Optional<UncertainAngle>> passive,
            Limits limits,
            boolean hypermobile,
            Experience experience) {
        /** In another position its angle is not known. */
        Wish in(Position other) {
            var known = other.equals(position) ? passive : Sided.both(Optional.<UncertainAngle>empty());
            return new Wish(motion, other, limiters, known, limits, hypermobile, experience);
        }
    }

    /** A session with the reasons for what is in it and what is not. */
    public record Suggested(SessionDraft draft, List<Because> reasons) {}

    public static Suggested suggest(Asked asked) {
        var start = new SessionStart(asked);
        for (var wish : asked.wishes()) {
            if (start.lines.size() < MOST_LINES) {
                start.consider(wish);
            }
        }
        if (asked.wishes().stream().anyMatch(w -> w.experience().isNewcomer() && start.has(w))) {
            start.reasons.add(Because.of(
                    Reason.SUGGEST_NEWCOMER,
                    Term.of(FirstDose.NEWCOMER_HOLD, Unit.SECOND),
                    Term.of(FirstDose.NEWCOMER_CEILING, Unit.PERCENT),
                    Term.of(asked.policy().value(Threshold.NEWCOMER_SESSIONS), Unit.COUNT)));
        }
        start.leftOut(Reason.SUGGEST_NEITHER, start.inOrder);
        start.leftOut(Reason.SUGGEST_UNJUDGED, start.unjudged);
        return new Suggested(start.draft(start.lines), List.copyOf(start.reasons));
    }

    /** What is left out for one reason is told in one sentence. */
    private void leftOut(Reason reason, Set<String> motions) {
        if (!motions.isEmpty()) {
            reasons.add(Because.of(reason, Term.of(String.join(", ", motions))));
        }
    }

    private boolean has(Wish wish) {
        return lines.stream().anyMatch(l -> l.motion().equals(wish.motion().id()));
    }

    /**
     * One line to add to a session, in a position the coach chose.
     *
     * @param wish with the estimates in that very position; empty ones leave the angle at the position's zero
     * @param chosen by the coach; empty for the one that suits what limits the motion
     * @param id within the session
     */
    public static LineDraft line(Wish wish, Asked asked, Optional<Method> chosen, String id) {
        var start = new SessionStart(asked);
        var method = chosen.orElseGet(() -> suited(wish));
        return start.line(wish, method, FirstDose.blocks(method, wish.experience(), wish.limits()), id);
    }

    private static Method suited(Wish wish) {
        var fitting = Optional.ofNullable(wish.position().training())
                .map(Training::methods)
                .orElse(List.of());
        var preferred = method(wish, worse(wish), wish.limits().highestEffort().value());
        var id = fitting.contains(preferred) || fitting.isEmpty() ? preferred : fitting.get(0);
        return Method.byId(id).orElseThrow();
    }

    /** Light where effort is capped low, hands-off where own strength is short, else ramps. */
    private static String method(Wish wish, Limiter limiter, int cap) {
        boolean control = limiter == Limiter.CONTROL || limiter == Limiter.BOTH || wish.hypermobile();
        return cap <= LIGHT_EFFORT ? "light-breath" : control ? "hands-off" : Method.RAMP_BOTH_WAYS;
    }

    private void consider(Wish wish) {
        var name = Term.of(wish.motion().name());
        if (has(wish)) {
            return;
        }
        var limiter = worse(wish);
        if (wish.limits().stopped().isPresent()) {
            reasons.add(Because.of(Reason.SUGGEST_STOPPED, name));
        } else if (limiter == Limiter.STRUCTURE) {
            reasons.add(Because.of(Reason.SUGGEST_STRUCTURE, name));
        } else if (missing(wish)) {
            reasons.add(Because.of(Reason.SUGGEST_UNMEASURED, name));
        } else if (limiter == Limiter.NEITHER) {
            inOrder.add(wish.motion().name());
        } else if (limiter == Limiter.UNKNOWN) {
            unjudged.add(wish.motion().name());
        } else {
            prescribe(wish, limiter);
        }
    }

    private static boolean missing(Wish wish) {
        return sides(wish).stream().anyMatch(s -> wish.passive().on(s).isEmpty());
    }

    private static List<Side> sides(Wish wish) {
        return wish.motion().midline() ? List.of(Side.LEFT) : Side.PAIR;
    }

    /** The more cautious side decides what is done. */
    private static Limiter worse(Wish wish) {
        return Limiter.worse(
                sides(wish).stream().map(s -> wish.limiters().on(s)).toList());
    }

    private void prescribe(Wish wish, Limiter limiter) {
        int cap = wish.limits().highestEffort().value();
        var methodId = method(wish, limiter, cap);
        var position = position(wish, methodId);
        var name = Term.of(wish.motion().name());
        if (position.isEmpty()) {
            reasons.add(Because.of(Reason.SUGGEST_NO_POSITION, name));
            return;
        }
        var id = "l" + (lines.size() + 1);
        var method = Method.byId(methodId).orElseThrow();
        var line = line(wish.in(position.get()), method, withoutRotations(method, wish), id);
        if (!lines.isEmpty() && isTooLong(line)) {
            reasons.add(Because.of(
                    Reason.SUGGEST_MINUTES,
                    Term.of(Optional.ofNullable(asked.minutes()).orElse(0), Unit.MINUTE),
                    name));
            return;
        }
        lines.add(line);
        reasons.add(Because.of(reason(methodId), name, Term.of(position.get().name()), Term.of(cap, Unit.PERCENT)));
    }

    private static Reason reason(String methodId) {
        return switch (methodId) {
            case "light-breath" -> Reason.SUGGEST_LIGHT;
            case "hands-off" -> Reason.SUGGEST_CONTROL;
            default -> Reason.SUGGEST_RANGE;
        };
    }

    /** The measured position where it trains, since its angle is known; otherwise the first that fits. */
    private Optional<Position> position(Wish wish, String method) {
        var fitting = Catalogue.positions().stream()
                .filter(p -> p.allows(wish.motion().id()) && fits(p, wish, method))
                .toList();
        return fitting.stream()
                .filter(p -> p.id().equals(wish.position().id()))
                .findFirst()
                .or(() -> fitting.stream().findFirst());
    }

    private boolean fits(Position position, Wish wish, String method) {
        Training training = position.training();
        boolean lying = position.lying() && wish.limits().notLying().isPresent();
        boolean owned = asked.equipment().isEmpty() || asked.equipment().containsAll(position.equipment());
        return training != null && training.methods().contains(method) && owned && !lying;
    }

    private boolean isTooLong(LineDraft line) {
        var minutes = asked.minutes();
        var with = new ArrayList<>(lines);
        with.add(line);
        return minutes != null
                && SessionReader.read(draft(with))
                                .plan()
                                .map(p -> Compiler.compile(p).seconds())
                                .orElse(0)
                        > minutes * SECONDS_PER_MINUTE;
    }

    /** The warm-up has them already. */
    private static List<BlockDraft> withoutRotations(Method method, Wish wish) {
        return FirstDose.blocks(method, wish.experience(), wish.limits()).stream()
                .filter(b -> b.form() != BlockForm.CONTROLLED_ROTATION)
                .toList();
    }

    private LineDraft line(Wish wish, Method method, List<BlockDraft> blocks, String id) {
        var position = wish.position();
        var order = order(wish.motion(), position);
        var first = missing(wish) ? blocks.stream().map(SessionStart::gentle).toList() : blocks;
        var each = wish.passive()
                .map((side, p) -> p.map(a -> angle(
                                        a,
                                        wish.limits(),
                                        side,
                                        d -> asked.onProps().apply(position, d))
                                .value())
                        .orElse(0.0));
        // Both sides at once go as far as the shorter one.
        var angles = order == SideOrder.TOGETHER ? Sided.both(Math.min(each.left(), each.right())) : each;
        var worse = angles.left() <= angles.right() ? Side.LEFT : Side.RIGHT;
        return new LineDraft(
                id,
                wish.motion().id(),
                position.id(),
                method.id(),
                order,
                worse,
                angles,
                first,
                order.one() ? List.of() : first,
                method.setUp().first(),
                method.sideChange().first(),
                (int) method.week().first(),
                "",
                null);
    }

    /** Where nobody knows how far it goes, the stretch stays light. */
    private static BlockDraft gentle(BlockDraft block) {
        var inside = new BlockDraft(
                block.form(),
                block.numbers(),
                block.words(),
                block.steps(),
                block.blocks().stream().map(SessionStart::gentle).toList());
        return block.form() == BlockForm.SUPPORTED_HOLD
                ? inside.with("sensation", Math.min(UNMEASURED_SENSATION, block.number("sensation")))
                : inside;
    }

    private static SideOrder order(Motion motion, Position position) {
        if (motion.midline()) {
            return SideOrder.MIDLINE;
        }
        var training = position.training();
        return training != null && training.together() == Training.Together.USUAL
                ? SideOrder.TOGETHER
                : SideOrder.ONE_AFTER_OTHER;
    }

    /** The first angle (house rule): short of the estimate by 2° or by its error, whichever is more, within a cap, on the props. */
    private Degrees angle(UncertainAngle passive, Limits limits, Side side, UnaryOperator<Degrees> onProps) {
        var wanted = asked.policy().deepest(passive);
        return onProps.apply(limits.angleCap(side)
                .filter(r -> wanted.value() > r.bound())
                .map(r -> Degrees.of(r.bound()))
                .orElse(wanted));
    }

    /** Warm-up of controlled rotations for the joints to come. */
    private SessionDraft draft(List<LineDraft> chosen) {
        return new SessionDraft(
                WarmUp.of(chosen), chosen.stream().map(StationDraft::of).toList());
    }
}
