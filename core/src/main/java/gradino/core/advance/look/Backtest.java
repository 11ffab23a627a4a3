package gradino.core.advance.look;

import gradino.core.advance.Advance;
import gradino.core.advance.Proposed;
import gradino.core.advance.gate.Checked;
import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * Another policy over a recorded line, one step ahead from each recorded state: what it would have proposed just before every
 * session, at every decision and now, with the doses that were really given. What it would have led to is not known: later
 * logs followed those doses. Facts count from when they happened.
 */
public final class Backtest {
    private Backtest() {}

    /** How the other policy's verdict stands to the first one's. */
    public enum Turn {
        MORE_CAUTIOUS,
        /** The same verdict with another step. */
        ALIKE,
        BOLDER;

        static Turn of(Verdict one, Verdict other) {
            if (other.isMoreCautiousThan(one)) {
                return MORE_CAUTIOUS;
            }
            return one.isMoreCautiousThan(other) ? BOLDER : ALIKE;
        }
    }

    /** A state in which the two policies part. */
    public record Parting(Side side, Instant at, Proposed one, Proposed other, Turn turn) {}

    /** @param states looked at, both sides counted */
    public record Result(int states, List<Parting> differences) {
        public Result {
            differences = List.copyOf(differences);
        }
    }

    public static Result of(LineState start, List<Event> events, Moment now, Policy one, Policy other) {
        var run = new Run(now.zone(), one, other);
        var trained = start.plan().trained();
        var state = start;
        for (var event : LineState.inOrder(LineState.upTo(events, now.instant()))) {
            if (event instanceof Event.SessionHeld held && !state.sessions().isEmpty()) {
                for (var side : trained) {
                    run.compare(state, side, held.session().startedAt());
                }
            } else if (event instanceof Event.DoseDecided decided) {
                run.compare(state, decided.side(), decided.happenedAt());
                run.doseChanged();
            }
            state = state.step(event, one.noise());
        }
        for (var side : trained) {
            run.compare(state, side, now.instant());
        }
        return new Result(run.states, run.found);
    }

    /** Gathers the differences of one line; lives for one call. */
    private static final class Run {
        private final ZoneId zone;
        private final Policy.Watched one;
        private final Policy other;
        private final List<Parting> found = new ArrayList<>();
        private Sided<Checked> checked = Sided.of(side -> new Checked());
        private int states;

        /** The first gate that asked for a number that differs, or the last that was judged: those before it pass under both. */
        private int firstGate;

        private boolean parted;

        Run(ZoneId zone, Policy one, Policy other) {
            this.zone = zone;
            this.one = new Policy.Watched(one, other);
            this.other = other;
        }

        /** What was found of doses holds no longer once one has changed. */
        void doseChanged() {
            checked = Sided.of(side -> new Checked());
        }

        private void judged(int gate) {
            if (!parted) {
                firstGate = gate;
            }
            parted = one.wasAsked();
        }

        void compare(LineState state, Side side, Instant at) {
            states++;
            one.forget();
            var here = new Situation(state, side, one, new Moment(at, zone), checked.on(side));
            firstGate = 0;
            parted = one.wasAsked();
            var a = Advance.step(here, 0, this::judged);
            if (!one.wasAsked()) {
                return;
            }
            var b = Advance.step(here.under(other), firstGate, gate -> {});
            if (a.verdict() != b.verdict() || !a.to().equals(b.to()) || !Objects.equals(a.stage(), b.stage())) {
                found.add(new Parting(side, at, a, b, Turn.of(a.verdict(), b.verdict())));
            }
        }
    }
}
