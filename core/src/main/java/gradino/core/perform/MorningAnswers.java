package gradino.core.perform;

import gradino.core.because.Finding;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What was answered after one session, and what is still to be asked.
 *
 * @param end of the session
 * @param given in the order in which they came
 */
public record MorningAnswers(Instant end, List<Given> given) {

    public MorningAnswers {
        given = List.copyOf(given);
    }

    /** @param correction why an answer that was given is not what holds; null for a first answer */
    public record Given(
            MorningQuestion question,
            boolean settled,
            Instant at,
            @Nullable String correction) {}

    /** The answer that holds: the first that came late enough, or what corrected it last; empty while there is none. */
    public Optional<Given> to(MorningQuestion question) {
        Given holds = null;
        for (var answer : given) {
            if (answer.question() == question && question.holds(end, answer.at(), holds != null, answer.correction())) {
                holds = answer;
            }
        }
        return Optional.ofNullable(holds);
    }

    /** The question that is open: the second one only where the first was answered with no. */
    public Optional<MorningQuestion> open(Instant now, ZoneId zone) {
        var morning = to(MorningQuestion.NEXT_MORNING);
        var next = morning.isEmpty() ? MorningQuestion.NEXT_MORNING : MorningQuestion.AFTER_48_HOURS;
        boolean asked = morning.filter(Given::settled).isEmpty() && to(next).isEmpty();
        return asked && !now.isBefore(next.opensAt(end, zone)) ? Optional.of(next) : Optional.empty();
    }

    /** Why an answer cannot be kept as one; empty when it can. */
    public Optional<Finding> refuses(Given answer) {
        if (!answer.question().mayBeAnswered(end, answer.at())) {
            return Optional.of(Finding.blocking(
                    "settled",
                    "too-early",
                    null,
                    "",
                    answer.question() == MorningQuestion.NEXT_MORNING
                            ? "This is asked the next morning, at least 6 h after the session."
                            : "This is asked 48 h after the session."));
        }
        if (!MorningQuestion.isTold(answer.correction())
                && to(answer.question()).isPresent()) {
            return Optional.of(Finding.blocking(
                    "correction",
                    "answered",
                    null,
                    "",
                    "This was answered already: say why the first answer was wrong, both stay on record."));
        }
        return Optional.empty();
    }
}
