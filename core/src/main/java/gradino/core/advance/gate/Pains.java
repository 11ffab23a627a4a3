package gradino.core.advance.gate;

import gradino.core.advance.gate.Gate.Cause;
import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.block.BlockKind;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What was felt on one side, session by session, and what it says about the way down. */
final class Pains {
    private static final int LEAST_IN_A_WINDOW = 2;

    private final Situation s;

    Pains(Situation s) {
        this.s = s;
    }

    static int of(Situation s, SessionFacts session) {
        return session.on(s.side()).worstPain().value();
    }

    private int of(SessionFacts session) {
        return of(s, session);
    }

    /**
     * Three sessions running, each at least so much worse than the one before it.
     *
     * @param third the one that completed the rise
     */
    record Rise(int first, int second, int third, SessionFacts completed) {
        int step() {
            return Math.min(second - first, third - second);
        }
    }

    /** The newest rise that the last decision did not know; a milder session after it does not hide it. */
    Optional<Rise> rising() {
        var all = s.state().sessions();
        double least = s.value(Threshold.PAIN_RISE);
        for (int i = all.size() - 1; i >= 2 && s.isNewer(all.get(i)); i--) {
            var rise = new Rise(of(all.get(i - 2)), of(all.get(i - 1)), of(all.get(i)), all.get(i));
            if (rise.step() >= least) {
                return Optional.of(rise);
            }
        }
        return Optional.empty();
    }

    /** Mean pain of the last window and of the one before it. */
    record Weeks(double before, double now) {
        double rise() {
            return now - before;
        }
    }

    /** Two windows of which the later one is so much worse, the session that made it so newer than the last decision. */
    Optional<Weeks> risenOverWeeks() {
        if (s.undecided().isEmpty()) {
            return Optional.empty();
        }
        var window = Duration.ofDays(s.whole(Threshold.PAIN_WINDOW_DAYS));
        var now = s.moment().instant();
        var since = now.minus(window);
        var earlier = within(since.minus(window), since);
        var later = within(since, now);
        if (earlier.size() < LEAST_IN_A_WINDOW || !isRisen(later, mean(earlier))) {
            return Optional.empty();
        }
        for (int n = LEAST_IN_A_WINDOW; n <= later.size(); n++) {
            if (isRisen(later.subList(0, n), mean(earlier))) {
                return s.isNewer(later.get(n - 1))
                        ? Optional.of(new Weeks(mean(earlier), mean(later)))
                        : Optional.empty();
            }
        }
        return Optional.empty();
    }

    private boolean isRisen(List<SessionFacts> later, double before) {
        long pained = later.stream().filter(x -> of(x) > 0).count();
        return pained >= LEAST_IN_A_WINDOW && mean(later) - before >= s.value(Threshold.PAIN_RISE);
    }

    private double mean(List<SessionFacts> some) {
        return some.stream().mapToInt(this::of).average().orElse(0);
    }

    /** Sessions that ended after one instant, up to another, in the order of time. */
    private List<SessionFacts> within(Instant from, Instant to) {
        var all = s.state().sessions();
        int first = all.size();
        while (first > 0 && all.get(first - 1).endedAt().isAfter(from)) {
            first--;
        }
        var found = new ArrayList<SessionFacts>();
        for (var session : all.subList(first, all.size())) {
            if (!session.endedAt().isAfter(to)) {
                found.add(session);
            }
        }
        return found;
    }

    /** By the block in which the worst pain was felt; a pinch and a wrong joint are of the angle wherever they were felt. */
    Cause cause(SessionFacts session) {
        var facts = session.on(s.side());
        return new Cause(down(facts.worstKind(), facts.worstIn()), facts.worstIn());
    }

    private DownCause down(@Nullable PainKind kind, @Nullable BlockKind in) {
        if (kind == null || in == null) {
            return DownCause.UNKNOWN;
        } else if (kind == PainKind.PINCH_THAT_EASED || kind == PainKind.WRONG_JOINT) {
            return DownCause.ANGLE_TOO_DEEP;
        }
        boolean still = kind == PainKind.AT_REST_IN_RANGE;
        return switch (in) {
            case SUPPORTED_HOLD, SETTLE -> DownCause.PAIN_STRETCHED;
            case CONTRACT_RELAX -> still ? DownCause.PAIN_STRETCHED : DownCause.PAIN_CONTRACTING;
            case PRESS, PULL, HANDS_OFF, PULSES, SIDESTEP -> still ? DownCause.UNKNOWN : DownCause.PAIN_CONTRACTING;
            case LIFT_OFF, ECCENTRIC -> s.dose().hasAddedLoad() ? DownCause.UNDER_LOAD : DownCause.PAIN_LIFTING;
            case LOADED_STRETCH -> underLoad(still);
            case ROTATION, TRANSITION -> DownCause.PAIN_MOVING;
            case SET_UP, RELEASE, REST, PROP, RE_MEASURE, MOVEMENT_RETEST, SIDE_CHANGE -> DownCause.UNKNOWN;
        };
    }

    private DownCause underLoad(boolean still) {
        if (s.dose().hasAddedLoad()) {
            return DownCause.UNDER_LOAD;
        }
        return still ? DownCause.PAIN_STRETCHED : DownCause.PAIN_MOVING;
    }
}
