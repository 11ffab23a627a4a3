package gradino.core.schedule;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.Sets;
import gradino.core.prescribe.program.WarmUp;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.calendar.OpenDay;
import gradino.core.schedule.calendar.Place;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Priority;
import gradino.core.schedule.week.Rested;
import gradino.core.schedule.week.Together;
import gradino.core.schedule.week.WeekDay;
import gradino.core.schedule.week.WeekLine;
import gradino.core.schedule.week.WeekRules;
import gradino.core.schedule.week.WeekTask;
import java.time.Duration;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A client's program as a week sees it: each line with its wishes and where it can be done, and what is done together. */
public final class ProgramWeek {
    private static final String PARTNER = "partner";

    private final List<Trained> lines;
    private final List<Session> arranged;
    private final List<Together> sessions;
    private final Map<Place, Set<String>> equipment;
    private final ProgramTime time;
    private final Map<String, Integer> seconds = new HashMap<>();

    /**
     * @param equipment ids of what is at a place; a place that is not named has everything
     */
    public ProgramWeek(List<Trained> lines, List<Session> sessions, Map<Place, Set<String>> equipment) {
        this.lines = List.copyOf(lines);
        this.arranged = List.copyOf(sessions);
        this.sessions = sessions.stream()
                .map(s -> new Together(s.id(), known(s)))
                .filter(t -> !t.lines().isEmpty())
                .toList();
        this.equipment = Map.copyOf(equipment);
        this.time = new ProgramTime(
                lines.stream().map(Trained::draft).toList(),
                sessions.stream().map(Session::arrangement).toList());
        lines.forEach(l -> seconds.put(l.draft().id(), time.seconds(l.draft())));
    }

    /** A session that is kept. */
    public record Session(String id, Arrangement arrangement) {}

    private List<String> known(Session session) {
        return session.arrangement().lines().stream()
                .filter(l -> line(l).isPresent())
                .distinct()
                .toList();
    }

    /**
     * A line with what is in force.
     *
     * @param heldBack why it may not be trained at all; empty when it may
     * @param firstLoad whether it brings a load for the first time
     */
    public record Trained(
            LineDraft draft, Method method, Priority priority, Optional<String> heldBack, boolean firstLoad) {
        public EffortClass effort() {
            return draft.done().stream()
                    .flatMap(side -> draft.effortClass(side).stream())
                    .max(Comparator.naturalOrder())
                    .orElse(EffortClass.LIGHT);
        }

        public int spacingHours() {
            return method.spacingHours(effort().spacingHours());
        }

        private Optional<Trained> withASetLess() {
            return Sets.less(draft).map(less -> new Trained(less, method, priority, heldBack, firstLoad));
        }

        public int cap() {
            return Math.min(DaySet.DAYS, method.weeklyCap(effort().weeklyCap()));
        }

        public int wanted() {
            return Math.min(DaySet.DAYS, draft.sessionsPerWeek());
        }

        private Side side() {
            var done = draft.done();
            return done.size() == 1 ? done.get(0) : Side.MIDLINE;
        }
    }

    /**
     * What is known of a week beside the program.
     *
     * @param before days of each line in the plan that this one follows
     * @param kept days of lines that a coach set by hand against a rule: they stay, and the others are planned around them
     */
    public record Known(
            List<Rested> rested,
            Map<String, DaySet> before,
            DaySet frozen,
            Map<String, DaySet> done,
            Map<String, DaySet> kept) {
        public static final Known NOTHING = new Known(List.of(), Map.of(), DaySet.NONE, Map.of(), Map.of());
    }

    public List<Trained> lines() {
        return lines;
    }

    /** With more lines, done together. */
    public ProgramWeek with(List<Trained> more, Session session) {
        var all = Stream.concat(lines.stream(), more.stream())
                .sorted(Comparator.comparing(Trained::priority))
                .toList();
        return new ProgramWeek(
                all, Stream.concat(arranged.stream(), Stream.of(session)).toList(), equipment);
    }

    /** The same program, some lines with a set less each time. */
    public ProgramWeek withASetLess(Set<String> of) {
        if (of.isEmpty()) {
            return this;
        }
        var others = lines.stream()
                .map(l -> of.contains(l.draft().id()) ? l.withASetLess().orElse(l) : l)
                .toList();
        return new ProgramWeek(others, arranged, equipment);
    }

    /** By line that has a set to spare: seconds that one less takes less. */
    public Map<String, Integer> setsLess() {
        var less = new HashMap<String, Integer>();
        for (var line : lines) {
            line.withASetLess()
                    .map(l -> seconds.getOrDefault(line.draft().id(), 0) - time.seconds(l.draft()))
                    .filter(saves -> saves > 0)
                    .ifPresent(saves -> less.put(line.draft().id(), saves));
        }
        return less;
    }

    public Optional<Trained> line(String id) {
        return lines.stream().filter(l -> l.draft().id().equals(id)).findFirst();
    }

    /** The session that the lines of a day become. */
    public SessionDraft session(List<String> day) {
        return time.session(lines.stream()
                .map(Trained::draft)
                .filter(d -> day.contains(d.id()))
                .toList());
    }

    /** A week to plan, without the lines that were set by hand. */
    public WeekTask task(List<OpenDay> open, Known known) {
        var planned = lines.stream()
                .filter(l -> !known.kept().containsKey(l.draft().id()))
                .toList();
        var days = IntStream.range(0, open.size())
                .mapToObj(d -> without(open.get(d).day(), d, known.kept()))
                .toList();
        var whole = new WeekTask(
                days,
                lines.stream().map(l -> line(l, open)).toList(),
                time.shared(),
                sessions,
                known.rested(),
                known.before(),
                known.frozen(),
                known.done());
        return apart(whole, known.kept())
                .only(planned.stream().map(l -> l.draft().id()).toList());
    }

    /** Lines of a joint keep their distance from what was set by hand too. */
    private static WeekTask apart(WeekTask whole, Map<String, DaySet> kept) {
        if (kept.isEmpty()) {
            return whole;
        }
        var rules = new WeekRules(whole);
        return whole.withLines(whole.lines().stream()
                .map(line -> line.withAllowed(DaySet.of(line.allowed()
                        .days()
                        .filter(d -> whole.lines().stream()
                                .filter(other -> !other.id().equals(line.id()))
                                .allMatch(other -> kept.getOrDefault(other.id(), DaySet.NONE)
                                        .days()
                                        .allMatch(k -> rules.isApart(other, k, line, d))))
                        .toArray())))
                .toList());
    }

    private WeekDay without(WeekDay day, int number, Map<String, DaySet> kept) {
        int taken = lines.stream()
                .filter(l -> kept.getOrDefault(l.draft().id(), DaySet.NONE).has(number))
                .mapToInt(l -> seconds.getOrDefault(l.draft().id(), 0))
                .sum();
        return day.withSeconds(Math.max(0, day.seconds() - taken));
    }

    private WeekLine line(Trained line, List<OpenDay> open) {
        var allowed = DaySet.NONE;
        for (int d = 0; d < open.size(); d++) {
            allowed = whyNot(line, open.get(d)).isEmpty() ? allowed.with(d) : allowed;
        }
        var draft = line.draft();
        return new WeekLine(
                draft.id(),
                WarmUp.joint(draft).orElse(draft.motion()),
                line.side(),
                line.effort(),
                Duration.ofHours(line.spacingHours()),
                line.wanted(),
                line.cap(),
                line.priority(),
                seconds.getOrDefault(draft.id(), 0),
                time.shares(draft),
                allowed);
    }

    /** Why a line cannot be done on a day, whatever else is planned; empty when it can. */
    public Optional<String> whyNot(Trained line, OpenDay open) {
        if (line.heldBack().isPresent()) {
            return line.heldBack();
        } else if (open.day().seconds() == 0) {
            return Optional.of(open.note().isEmpty() ? "No time on this day." : "No training: " + open.note() + ".");
        }
        var needs = needs(line);
        boolean coach = line.firstLoad() || needs.contains(PARTNER);
        if (coach && !open.led()) {
            return Optional.of(
                    line.firstLoad()
                            ? "The first time with a load needs the coach: only on a day with an appointment."
                            : "It needs the coach: only on a day with an appointment.");
        }
        var there = equipment.get(open.place());
        var missing = needs.stream()
                .filter(e -> !e.equals(PARTNER) && there != null && !there.contains(e))
                .findFirst();
        return missing.map(e -> "No " + e.replace('-', ' ') + " at this place.");
    }

    private static List<String> needs(Trained line) {
        return Catalogue.position(line.draft().position())
                .map(Position::equipment)
                .orElse(List.of());
    }
}
