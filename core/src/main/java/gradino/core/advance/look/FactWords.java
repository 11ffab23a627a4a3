package gradino.core.advance.look;

import gradino.core.advance.Change;
import gradino.core.advance.state.Event;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.body.Side;
import gradino.core.perform.DoneRatio;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.SessionRecord;
import gradino.core.perform.StopSignText;
import java.util.Locale;
import java.util.stream.Collectors;

/** A recorded fact in one sentence. */
final class FactWords {
    private FactWords() {}

    static String of(Event event) {
        if (event instanceof Event.MeasuredCold m) {
            return "Cold %s reading, %s: %s"
                    .formatted(
                            m.mode().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                            m.side().word(),
                            Term.of(m.reading().degrees(), Unit.DEGREE).text());
        } else if (event instanceof Event.ControlGraded g) {
            return "Control at the end graded %d, %s"
                    .formatted(g.grade(), g.side().word());
        } else if (event instanceof Event.RangeBorrowed b) {
            return "What a session gains is gone by the next, %s"
                    .formatted(b.side().word());
        } else if (event instanceof Event.SessionHeld held) {
            return session(held.session());
        } else if (event instanceof Event.MorningAnswered m) {
            return morning(m);
        } else if (event instanceof Event.DoseDecided d) {
            return decided(d);
        } else if (event instanceof Event.StopSignElsewhere s) {
            return "Stop sign in another session: " + StopSignText.of(s.sign()).words();
        } else if (event instanceof Event.Cleared) {
            return "Stop signs cleared in writing";
        } else if (event instanceof Event.Paused p) {
            return "A pause begins: " + p.kind().words();
        } else if (event instanceof Event.MethodChanged m) {
            return "Another method: " + m.to();
        }
        throw new IllegalArgumentException("no words for " + event);
    }

    private static String session(SessionRecord session) {
        var sides = Side.PAIR.stream()
                .filter(side -> session.blocks().stream().anyMatch(b -> b.isOf(side)))
                .map(side -> side.word() + " " + done(session, side))
                .collect(Collectors.joining(", "));
        var sign = session.stopSign();
        var seen = session.observer().isCoach() ? "a coach watching" : "no coach watching";
        var stopped = sign == null ? "" : "; stopped: " + StopSignText.of(sign).words();
        return "Session, " + seen + ": " + sides + stopped;
    }

    private static String done(SessionRecord session, Side side) {
        var done =
                Term.of(100 * DoneRatio.of(session, side).ratio(), Unit.PERCENT).text() + " done";
        int pain = session.blocks().stream()
                .filter(b -> b.isOf(side))
                .flatMap(b -> b.pains().stream())
                .mapToInt(p -> p.score().value())
                .max()
                .orElse(0);
        return pain == 0 ? done : done + " with pain " + pain;
    }

    private static String morning(Event.MorningAnswered m) {
        var when = m.question() == MorningQuestion.NEXT_MORNING ? "Next morning" : "After 48 h";
        var settled = m.settled() ? "pain back to usual" : "pain not back to usual";
        var sore = m.soreness() == null ? "" : ", soreness " + m.soreness().value() + "/10";
        var corrected = m.correction() == null ? "" : " (a correction: " + m.correction() + ")";
        return when + ": " + settled + sore + corrected;
    }

    private static String decided(Event.DoseDecided d) {
        var answer = switch (d.answer()) {
            case ACCEPTED -> "accepted";
            case CHANGED -> "changed";
            case DECLINED -> "declined";
            case EDITED -> "set by the coach";
        };
        var changes = Change.between(d.before(), d.after()).stream()
                .map(c -> "%s %s → %s"
                        .formatted(
                                c.what(),
                                Term.of(c.from(), c.unit()).text(),
                                Term.of(c.to(), c.unit()).text()))
                .collect(Collectors.joining(", "));
        return "Decision, %s: %s%s".formatted(d.side().word(), answer, changes.isEmpty() ? "" : ": " + changes);
    }
}
