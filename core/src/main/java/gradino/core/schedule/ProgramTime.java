package gradino.core.schedule;

import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.Arrangement.Place;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.program.WarmUp;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.schedule.week.Shared;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a program's lines take, and the session that those of one day become. Both from here, so that a planned day and its compiled
 * session agree to the second: a position is taken once a day, in the longest time that any line of the program has for it, and a joint is
 * warmed up once, unless each of its lines brings rotations of its own. Joints of harder lines come first, and worse sides as each line
 * has it. House rules.
 */
public final class ProgramTime {
    private final List<Place> together;
    private final Map<String, LineDraft> drafts = new LinkedHashMap<>();
    private final Map<String, Integer> setUps = new LinkedHashMap<>();
    private final Map<String, Integer> warmUps = new LinkedHashMap<>();

    public ProgramTime(List<LineDraft> program) {
        this(program, List.of());
    }

    /** @param sessions that the lines stand in: what is done together there, in rounds, stays so, with its own set-ups */
    public ProgramTime(List<LineDraft> program, List<Arrangement> sessions) {
        program.forEach(line -> drafts.put(line.id(), line));
        together = sessions.stream()
                .flatMap(s -> s.stations().stream())
                .filter(p -> p.lines().size() > 1 || p.rounds() > 1)
                .filter(p -> p.lines().stream().allMatch(l -> drafts.containsKey(l) && isOnce(l, sessions)))
                .toList();
        for (var line : program) {
            if (together(line).isEmpty()) {
                setUps.merge(line.position(), (int) Math.ceil(line.setUpSeconds()), Math::max);
            }
            coldJoint(line)
                    .ifPresent(joint -> warmUps.computeIfAbsent(
                            joint,
                            j -> compiled(new SessionDraft(List.of(WarmUp.of(j)), List.of(StationDraft.of(line))))
                                    - compiled(new SessionDraft(List.of(), List.of(StationDraft.of(line))))));
        }
    }

    /** A line of several sessions is not done with the same others on each of its days. */
    private static boolean isOnce(String line, List<Arrangement> sessions) {
        return sessions.stream()
                        .flatMap(s -> s.lines().stream())
                        .filter(line::equals)
                        .count()
                == 1;
    }

    private Optional<Place> together(LineDraft line) {
        return together.stream().filter(p -> p.lines().contains(line.id())).findFirst();
    }

    private StationDraft station(Place place) {
        return new StationDraft(
                place.lines().stream()
                        .flatMap(l -> Stream.ofNullable(drafts.get(l)))
                        .toList(),
                place.rounds(),
                place.restSeconds(),
                place.oneSetUp());
    }

    /** What the rounds, rests and set-ups of lines done together add to the lines. */
    private int added(Place place) {
        var station = station(place);
        int alone = station.lines().stream().mapToInt(this::seconds).sum();
        return Math.max(0, compiled(new SessionDraft(List.of(), List.of(station))) - alone);
    }

    private static int compiled(SessionDraft draft) {
        return SessionReader.read(draft)
                .plan()
                .map(plan -> Compiler.compile(plan).seconds())
                .orElse(0);
    }

    /** The joint that a line of no rotations needs warm. */
    private static Optional<String> coldJoint(LineDraft line) {
        return hasRotations(line.left()) ? Optional.empty() : WarmUp.joint(line);
    }

    private static boolean hasRotations(List<BlockDraft> blocks) {
        return blocks.stream().anyMatch(b -> b.form() == BlockForm.CONTROLLED_ROTATION || hasRotations(b.blocks()));
    }

    /** What lines of one day share; its keys are those of {@link #shares}. */
    public List<Shared> shared() {
        return Stream.concat(
                        together.stream().map(p -> new Shared(key(p), Shared.Kind.SET_UP, added(p))), sharedAlone())
                .toList();
    }

    private Stream<Shared> sharedAlone() {
        return Stream.concat(
                setUps.entrySet().stream().map(e -> new Shared(position(e.getKey()), Shared.Kind.SET_UP, e.getValue())),
                warmUps.entrySet().stream().map(e -> new Shared(joint(e.getKey()), Shared.Kind.WARM_UP, e.getValue())));
    }

    public List<String> shares(LineDraft line) {
        var own = together(line).map(ProgramTime::key).orElseGet(() -> position(line.position()));
        return Stream.concat(Stream.of(own), coldJoint(line).map(ProgramTime::joint).stream())
                .toList();
    }

    private static String key(Place together) {
        return "together " + String.join(" ", together.lines());
    }

    private static String position(String id) {
        return "position " + id;
    }

    private static String joint(String id) {
        return "joint " + id;
    }

    /** Seconds of a line without what it shares; its side changes are its own. */
    public int seconds(LineDraft line) {
        return compiled(new SessionDraft(List.of(), List.of(StationDraft.of(line.withSetUp(0)))));
    }

    /** The lines of a day as a session. */
    public SessionDraft session(List<LineDraft> day) {
        var ordered = ordered(day);
        var taken = new HashSet<String>();
        var ids = day.stream().map(LineDraft::id).toList();
        var stations = new ArrayList<StationDraft>();
        for (var line : ordered) {
            var others = together(line).filter(p -> ids.containsAll(p.lines()));
            if (others.isEmpty()) {
                int setUp = taken.add(line.position()) ? setUps.getOrDefault(line.position(), 0) : 0;
                stations.add(StationDraft.of(line.withSetUp(setUp)));
            } else if (taken.add(key(others.get()))) {
                stations.add(station(others.get()));
            }
        }
        var cold = ordered.stream().filter(l -> coldJoint(l).isPresent()).toList();
        return new SessionDraft(WarmUp.of(cold), stations);
    }

    /** Positions whose hardest line is the hardest first, and in each the harder line first; else as in the program. */
    private static List<LineDraft> ordered(List<LineDraft> day) {
        var byPosition = new LinkedHashMap<String, List<LineDraft>>();
        day.stream()
                .sorted(Comparator.comparing(ProgramTime::effort).reversed())
                .forEach(line -> byPosition
                        .computeIfAbsent(line.position(), p -> new ArrayList<>())
                        .add(line));
        return byPosition.values().stream().flatMap(List::stream).toList();
    }

    private static EffortClass effort(LineDraft line) {
        return line.done().stream()
                .flatMap(side -> line.effortClass(side).stream())
                .max(Comparator.naturalOrder())
                .orElse(EffortClass.LIGHT);
    }
}
