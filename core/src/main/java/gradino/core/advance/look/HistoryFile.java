package gradino.core.advance.look;

import gradino.core.advance.Advance;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.FirstDose;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.Tenths;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * A small history of one line as a CSV file, columns {@code at,fact,side,value,detail}, times in UTC, in the order of time:
 *
 * <pre>
 * line        value position, detail method; first of all
 * wanted      value degrees that the goal needs
 * angle       value degrees; before the first session the line's first, later a coach's change. Without a side: both
 * ceiling     value %, as the angle
 * reading     side, value degrees, detail passive (or empty) or active
 * session     value share of the work done (or empty: all), detail coach (or empty), video_call, client or nobody
 * pain        of the session before it: side, value 0 to 10, detail "block kind", as "press while_contracting"
 * morning     value yes or no: pain is back to usual; detail soreness 0 to 10
 * later       the same after 48 h, value yes or no
 * accept      the proposal of that moment, of a side or of both
 * stop        value the sign's name, side or empty
 * clearance   clears every sign so far
 * pause       value days, detail illness, away or other
 * now         the moment at which the last proposal is made; else a day after the last fact
 * </pre>
 */
public final class HistoryFile {
    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    private static final int SET_UP_SECONDS = 20;
    private static final int A_WEEK = 3;
    private static final double PROP_STEP_DEGREES = 0.5;

    private final List<Event> events = new ArrayList<>();
    private @Nullable Plan plan;
    private @Nullable Double wanted;
    private Instant last = Instant.MIN;
    private @Nullable HistorySession open;
    private int sessions;
    private @Nullable Instant now;

    private HistoryFile() {}

    /** What a file came to. */
    public record History(LineState start, List<Event> events, Instant now) {
        public List<Why.Fact> explained(Policy policy) {
            return Why.of(start, events, policy, new Moment(now, ZoneOffset.UTC), (state, p) -> p);
        }
    }

    /** @throws IllegalArgumentException with the row that cannot be read, and why */
    public static History read(String text) {
        var file = new HistoryFile();
        try (var parser = FORMAT.parse(new StringReader(text))) {
            for (var row : parser) {
                file.row(row);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        file.closed();
        if (file.plan == null) {
            throw new IllegalArgumentException(
                    "The file names no line: its first row is line, a position and a method.");
        }
        var end = file.now == null ? file.last.plus(Duration.ofDays(1)) : file.now;
        return new History(file.start(), List.copyOf(file.events), end);
    }

    private void row(CSVRecord row) {
        try {
            var at = Instant.parse(row.get("at"));
            if (at.isBefore(last)) {
                throw new IllegalArgumentException("it lies before the row above it");
            }
            last = at;
            fact(at, row);
        } catch (RuntimeException e) {
            throw new IllegalArgumentException("Row " + row.getRecordNumber() + ": " + e.getMessage(), e);
        }
    }

    private void fact(Instant at, CSVRecord row) {
        var fact = row.get("fact");
        if (!fact.equals("pain")) {
            closed();
        }
        switch (fact) {
            case "line" -> plan = plan(row);
            case "wanted" -> wanted = number(row);
            case "angle" -> dose(at, row, dose -> dose.withAngle(Degrees.of(number(row))));
            case "ceiling" -> dose(at, row, dose -> dose.withCeiling(EffortPercent.of((int) number(row))));
            case "reading" -> reading(at, row);
            case "session" -> open = HistorySession.begun("s" + ++sessions, at, current(), row);
            case "pain" -> session().pain(row);
            case "morning" -> morning(at, row, MorningQuestion.NEXT_MORNING);
            case "later" -> morning(at, row, MorningQuestion.AFTER_48_HOURS);
            case "accept" -> accept(at, row);
            case "stop" ->
                events.add(new Event.StopSignElsewhere(
                        "x" + events.size(), StopSign.valueOf(upper(row.get("value"))), sideOrNone(row), at, at));
            case "clearance" -> events.add(new Event.Cleared(at, List.of(), at, at));
            case "pause" ->
                events.add(new Event.Paused(
                        Event.PauseKind.valueOf(upper(row.get("detail"))),
                        at,
                        at.plus(Duration.ofDays((long) number(row))),
                        at));
            case "now" -> now = at;
            default -> throw new IllegalArgumentException("nothing is known of a fact called " + fact);
        }
    }

    /** A name of an enumeration as people write it. */
    static String upper(String word) {
        return word.strip().replace('-', '_').toUpperCase(Locale.ROOT);
    }

    private static double number(CSVRecord row) {
        return Double.parseDouble(row.get("value"));
    }

    private static Plan plan(CSVRecord row) {
        var position = Catalogue.position(row.get("value"))
                .orElseThrow(() -> new IllegalArgumentException("there is no position " + row.get("value")));
        var method = Method.byId(row.get("detail"))
                .orElseThrow(() -> new IllegalArgumentException("there is no method " + row.get("detail")));
        var dose = new Dose(Degrees.of(0), FirstDose.blocks(method, Experience.NEWCOMER, Limits.NONE));
        return new Plan(
                position.motions().get(0),
                position.id(),
                method.id(),
                SideOrder.ONE_AFTER_OTHER,
                Side.LEFT,
                SET_UP_SECONDS,
                SET_UP_SECONDS,
                A_WEEK,
                "",
                null,
                Sided.both(dose));
    }

    private Plan line() {
        if (plan == null) {
            throw new IllegalArgumentException("the line comes first");
        }
        return plan;
    }

    private HistorySession session() {
        if (open == null) {
            throw new IllegalArgumentException("pain belongs right after its session");
        }
        return open;
    }

    private LineState start() {
        var client = wanted == null ? ClientFacts.PLAIN : ClientFacts.PLAIN.withWanted(wanted);
        return LineState.open(line(), new PropGrid.AngleStep(PROP_STEP_DEGREES), client);
    }

    private LineState state() {
        return LineState.fold(start(), events, Policy.house().noise());
    }

    private Plan current() {
        return state().currentPlan();
    }

    private void closed() {
        if (open != null) {
            events.add(open.held());
            open = null;
        }
    }

    private static List<Side> sides(CSVRecord row) {
        var side = sideOrNone(row);
        return side == null ? Side.PAIR : List.of(side);
    }

    private static @Nullable Side sideOrNone(CSVRecord row) {
        return row.get("side").isBlank() ? null : Side.valueOf(upper(row.get("side")));
    }

    private void dose(Instant at, CSVRecord row, UnaryOperator<Dose> change) {
        for (var side : sides(row)) {
            if (sessions == 0) {
                plan = line().withDose(side, change.apply(line().dose(side)));
            } else {
                var before = state().side(side).dose();
                decided(side, Event.Answer.EDITED, Verdict.STAY, before, change.apply(before), at);
            }
        }
    }

    private void decided(Side side, Event.Answer answer, Verdict proposed, Dose before, Dose after, Instant at) {
        events.add(new Event.DoseDecided("d" + events.size(), side, answer, proposed, null, before, after, at, at));
    }

    private void accept(Instant at, CSVRecord row) {
        for (var side : sides(row)) {
            var p = Advance.propose(state(), side, Policy.house(), new Moment(at, ZoneOffset.UTC));
            decided(side, Event.Answer.ACCEPTED, p.verdict(), p.from(), p.to(), at);
        }
    }

    private void reading(Instant at, CSVRecord row) {
        var mode = row.get("detail").isBlank() ? Mode.PASSIVE : Mode.valueOf(upper(row.get("detail")));
        double variance = Policy.house().noise().readingVariance(Tester.COACH);
        for (var side : sides(row)) {
            events.add(new Event.MeasuredCold(side, mode, new RangeReading(at, number(row), variance), null, at));
        }
    }

    private void morning(Instant at, CSVRecord row, MorningQuestion question) {
        var soreness = row.get("detail").isBlank() ? null : Tenths.of(Integer.parseInt(row.get("detail")));
        boolean settled = row.get("value").equals("yes");
        if (!settled && !row.get("value").equals("no")) {
            throw new IllegalArgumentException("the value of a morning is yes or no");
        }
        events.add(new Event.MorningAnswered("s" + sessions, question, settled, soreness, null, at, at));
    }
}
