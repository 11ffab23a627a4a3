package gradino.core.schedule;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.schedule.ProgramWeek.Trained;
import gradino.core.schedule.calendar.OpenDay;
import gradino.core.schedule.week.Broken;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekTask;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A week's rules, gaps and changes in sentences. */
public final class WeekWords {
    private static final int SECONDS_A_MINUTE = 60;

    private final ProgramWeek program;
    private final List<OpenDay> open;

    /** @param open the days of the week that is spoken of */
    public WeekWords(ProgramWeek program, List<OpenDay> open) {
        this.program = program;
        this.open = List.copyOf(open);
    }

    /** A line's motion, told from another of the same motion by its position. */
    public String name(String line) {
        return line.equals(BlockOfWeeks.RETEST)
                ? "Re-test"
                : program.line(line).map(this::name).orElse("a line that has ended");
    }

    private String name(Trained line) {
        var draft = line.draft();
        boolean alone = program.lines().stream()
                        .filter(l -> l.draft().motion().equals(draft.motion()))
                        .count()
                == 1;
        var motion = Catalogue.motion(draft.motion()).map(Motion::name).orElse(draft.motion());
        var position = Catalogue.position(draft.position()).map(p -> p.name()).orElse(draft.position());
        boolean alike = program.lines().stream()
                        .filter(l -> l.draft().motion().equals(draft.motion())
                                && l.draft().position().equals(draft.position()))
                        .count()
                > 1;
        return alone ? motion : motion + " (" + (alike ? line.method().name() : position) + ")";
    }

    public String day(int day) {
        return open.get(day).day().date().getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    }

    /** A broken rule as it is shown at its day. */
    public String of(Broken broken) {
        return switch (broken.rule()) {
            case MINUTES ->
                "%d min there; with this it takes %d."
                        .formatted(broken.bound() / SECONDS_A_MINUTE, minutes((int) broken.is()));
            case SPACING ->
                "%d h after %s; at least %d h are needed.".formatted(broken.is(), name(broken.other()), broken.bound());
            case CAP ->
                broken.other().isEmpty()
                        ? "At most %d days a week at this effort; this is %d.".formatted(broken.bound(), broken.is())
                        : "This joint has %d days at this effort; at most %d.".formatted(broken.is(), broken.bound());
            case ALLOWED ->
                program.line(broken.line())
                        .flatMap(l -> program.whyNot(l, open.get(broken.day())))
                        .orElse("The joint is not rested yet from the last session.");
            case PAST -> "What is past stays as it was.";
            case TOGETHER -> "It belongs to a session: move the whole session.";
        };
    }

    /** Whole minutes that are enough. */
    public static int minutes(int seconds) {
        return (seconds + SECONDS_A_MINUTE - 1) / SECONDS_A_MINUTE;
    }

    /** A way out as a button says it. */
    public String of(WayOut way, WeekTask task) {
        return switch (way.kind()) {
            case MORE_TIME -> "%d min more on %s".formatted(minutes(way.amount()), day(way.day()));
            case SET_LESS -> "A set less each time: " + name(way.line());
            case FEWER_DAYS -> fewerDays(way, task.line(way.line()).wanted());
            case EVERY_SECOND_WEEK -> "From now on every second week: " + name(way.line());
        };
    }

    private String fewerDays(WayOut way, int wanted) {
        int left = wanted - way.amount();
        return switch (left) {
            case 0 -> "Leave out %s this week".formatted(name(way.line()));
            case 1 -> "Once instead of %d times: %s".formatted(wanted, name(way.line()));
            default -> "%d times instead of %d: %s".formatted(left, wanted, name(way.line()));
        };
    }

    /**
     * Days that a line misses, and why it has not each of the others.
     *
     * @param reasons sentence by the days that it holds for
     */
    public record LeftOut(String line, int wanted, int has, List<Reason> reasons) {}

    /** Why not on some days. */
    public record Reason(DaySet days, String words) {}

    /** What a week leaves out. */
    public List<LeftOut> leftOut(WeekTask task, Map<String, DaySet> days) {
        var found = new ArrayList<LeftOut>();
        for (var line : task.lines()) {
            var has = days.getOrDefault(line.id(), DaySet.NONE);
            if (has.size() < line.wanted()) {
                found.add(new LeftOut(line.id(), line.wanted(), has.size(), whyNot(task, days, line.id())));
            }
        }
        return found;
    }

    private List<Reason> whyNot(WeekTask task, Map<String, DaySet> days, String line) {
        var moves = new Moves(task, days);
        var unit = task.units().stream()
                .filter(u -> u.lines().contains(line))
                .findFirst()
                .orElse(new Together(line, List.of(line)));
        var reasons = new LinkedHashMap<String, DaySet>();
        for (int d = 0; d < DaySet.DAYS; d++) {
            if (!days.getOrDefault(line, DaySet.NONE).has(d) && !task.frozen().has(d)) {
                int day = d;
                first(moves, unit, day).ifPresent(words -> reasons.merge(words, DaySet.of(day), DaySet::or));
            }
        }
        return reasons.entrySet().stream()
                .map(e -> new Reason(e.getValue(), e.getKey()))
                .toList();
    }

    /** What can least be helped, first. */
    private Optional<String> first(Moves moves, Together unit, int day) {
        return moves.broken(unit, Moves.NOWHERE, day).stream()
                .min((a, b) -> Boolean.compare(Moves.isHard(b), Moves.isHard(a)))
                .map(this::of);
    }

    /** What is other in one plan than in the one before, line by line, past days left out. */
    public List<String> changes(Map<String, DaySet> before, Map<String, DaySet> now, DaySet past) {
        var said = new ArrayList<String>();
        for (var line : program.lines()) {
            var id = line.draft().id();
            var was = before.getOrDefault(id, DaySet.NONE).without(past);
            var is = now.getOrDefault(id, DaySet.NONE).without(past);
            var gone = days(was.without(is));
            var come = days(is.without(was));
            if (!gone.isEmpty() && !come.isEmpty()) {
                said.add("%s: %s instead of %s".formatted(name(id), come, gone));
            } else if (!come.isEmpty()) {
                said.add("%s: %s added".formatted(name(id), come));
            } else if (!gone.isEmpty()) {
                said.add("%s: %s left out".formatted(name(id), gone));
            }
        }
        return said;
    }

    public String days(DaySet days) {
        return days.days().mapToObj(this::day).collect(Collectors.joining(", "));
    }
}
