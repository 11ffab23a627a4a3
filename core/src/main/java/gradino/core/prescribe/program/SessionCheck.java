package gradino.core.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.MethodCheck;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.prescribe.timeline.Protocol;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Holds a composed session against its methods, the client and the restrictions. Only safety and nonsense block. */
public final class SessionCheck {
    static final int MOST_A_WEEK = 14;

    private static final int SECONDS_PER_MINUTE = 60;

    private final SessionContext context;
    private final Map<String, Method> methods;
    private final List<Finding> findings = new ArrayList<>();

    private SessionCheck(SessionContext context, Map<String, Method> methods) {
        this.context = context;
        this.methods = methods;
    }

    /**
     * What came of a session.
     *
     * @param timeline of all that could be read; empty when nothing could
     */
    public record Checked(Optional<Timeline> timeline, List<Finding> findings) {}

    /** @param methods those that the studio may use: the shipped ones and its own */
    public static Checked check(SessionDraft draft, SessionContext context, List<Method> methods) {
        var read = SessionReader.read(draft);
        var byId = new HashMap<String, Method>();
        methods.forEach(m -> byId.put(m.id(), m));
        var check = new SessionCheck(context, byId);
        check.findings.addAll(read.findings());
        var timeline = read.plan().map(Compiler::compile);
        if (draft.blockCount() <= SessionDraft.MOST_BLOCKS) {
            check.lines(draft, read);
            check.joints(draft);
            timeline.ifPresent(check::minutes);
        }
        return new Checked(timeline, List.copyOf(check.findings));
    }

    /** A line alone: nothing is compiled. Paths begin at the line. */
    static List<Finding> line(LineDraft line, LineFacts facts, Method method) {
        var check = new SessionCheck(new SessionContext(null, List.of(), any -> facts), Map.of(method.id(), method));
        check.line(line, "", SessionReader.line(line, check.findings), false);
        return check.findings.stream()
                .map(f -> f.path().startsWith(".") ? f.at(f.path().substring(1)) : f)
                .toList();
    }

    /** What a side's angle alone meets. */
    static List<Finding> angle(Plan plan, Side side, LineFacts facts) {
        var check = new SessionCheck(new SessionContext(null, List.of(), any -> facts), Map.of());
        var path = "angles." + Protocol.list(side);
        var done = plan.sides().one() ? Side.MIDLINE : side;
        check.above(plan.dose(side).angle().value(), done, facts, path);
        var position = Catalogue.position(plan.position());
        var demand = new Demand(
                done,
                0,
                0,
                Optional.of(plan.dose(side).angle()),
                facts.held().on(side),
                position.filter(Position::lying).isPresent(),
                false,
                new Demand.Places(path, path, path, path, path));
        check.findings.addAll(RestrictionCheck.check(facts.limits(), demand));
        return check.findings;
    }

    private void lines(SessionDraft draft, SessionReader.Read read) {
        var all = draft.lines();
        int nth = 0;
        for (int s = 0; s < draft.stations().size(); s++) {
            var lines = draft.stations().get(s).lines();
            for (int i = 0; i < lines.size(); i++) {
                var path = "stations[%d].lines[%d]".formatted(s, i);
                var line = lines.get(i);
                boolean lifts = all.subList(++nth, all.size()).stream()
                        .anyMatch(l -> l.motion().equals(line.motion()) && BlockCheck.hasLifts(l));
                line(line, path, protocol(read, line.id()), lifts);
            }
        }
    }

    /** A joint that is stopped is not circled either, in the warm-up or in another joint's line. */
    private void joints(SessionDraft draft) {
        rotations(draft.warmUp(), "warmUp");
        for (int s = 0; s < draft.stations().size(); s++) {
            var lines = draft.stations().get(s).lines();
            for (int l = 0; l < lines.size(); l++) {
                rotations(lines.get(l).left(), "stations[%d].lines[%d].left".formatted(s, l));
                rotations(lines.get(l).right(), "stations[%d].lines[%d].right".formatted(s, l));
            }
        }
    }

    private void rotations(List<BlockDraft> blocks, String path) {
        for (int i = 0; i < blocks.size(); i++) {
            var block = blocks.get(i);
            var joint = block.word("joint", "");
            if (block.form() == BlockForm.CONTROLLED_ROTATION
                    && context.stoppedJoints().contains(joint)) {
                var words = "The %s is not moved until cleared in writing.".formatted(joint);
                findings.add(Finding.blocking(path + "[" + i + "]", "stopped", null, "", words));
            }
            rotations(block.blocks(), path + "[" + i + "].blocks");
        }
    }

    private static Optional<Protocol> protocol(SessionReader.Read read, String id) {
        return read.plan().stream()
                .flatMap(p -> p.stations().stream())
                .flatMap(s -> s.lines().stream())
                .filter(l -> l.line().equals(id))
                .findFirst();
    }

    /** @param liftsLater whether another line of its motion brings lift-offs after it */
    private void line(LineDraft line, String path, Optional<Protocol> protocol, boolean liftsLater) {
        var facts = context.facts().apply(line);
        var method = methods.get(line.method());
        if (method == null) {
            findings.add(Finding.blocking(
                    path + ".method",
                    "unknown-method",
                    null,
                    "",
                    "No method called '" + line.method() + "': pick one."));
        }
        for (var side : line.done()) {
            var at = path + "." + Protocol.list(side);
            var blocks = new BlockCheck(facts, at, liftsLater, findings);
            blocks.check(line.on(side));
            if (method != null) {
                new MethodCheck(method, findings).check(line.on(side), at);
            }
            angle(line, side, facts, path);
            protocol.ifPresent(p -> demand(line, side, facts, path, p));
        }
        sides(line, path, protocol);
        equipment(line, path);
        week(line, method, path, protocol);
    }

    private void angle(LineDraft line, Side side, LineFacts facts, String path) {
        above(line.angles().on(kept(side)), side, facts, path + ".angles." + Protocol.list(side));
    }

    /** Where the dose of a side is kept. */
    private static Side kept(Side side) {
        return side.isPaired() ? side : Side.LEFT;
    }

    private void above(double angle, Side side, LineFacts facts, String path) {
        var passive = facts.passive(side);
        if (passive.isPresent() && angle > passive.get().value().value()) {
            double edge = passive.get().value().value();
            findings.add(Finding.blocking(
                    path,
                    "above-range",
                    edge,
                    "°",
                    "Above today's cold passive range: set it lower or measure again."));
        }
    }

    private void demand(LineDraft line, Side side, LineFacts facts, String path, Protocol protocol) {
        var position = Catalogue.position(line.position());
        var hardest = Hardest.of(line, protocol, side, path);
        double typed = line.angles().on(kept(side));
        var angle = Double.isFinite(typed) ? degrees(typed) : Optional.<Degrees>empty();
        var demand = new Demand(
                side,
                hardest.peak(),
                hardest.longest(),
                angle,
                facts.held().on(kept(side)),
                position.filter(Position::lying).isPresent(),
                hardest.release().isPresent(),
                new Demand.Places(
                        path + "." + Protocol.list(side),
                        hardest.peakAt(),
                        hardest.longestAt(),
                        path + ".angles." + Protocol.list(side),
                        hardest.release().orElse(path)));
        findings.addAll(RestrictionCheck.check(facts.limits(), demand));
    }

    private static Optional<Degrees> degrees(double angle) {
        return angle >= -180 && angle <= 360 ? Optional.of(Degrees.of(angle)) : Optional.empty();
    }

    private void sides(LineDraft line, String path, Optional<Protocol> protocol) {
        if (!line.sides().both() || !line.unequalReason().isBlank()) {
            return;
        }
        if (line.sides() == SideOrder.FIRST_TWICE) {
            var words = "The %s side is done twice: say why."
                    .formatted(line.firstSide().word());
            advise(path + ".unequalReason", "unequal-sides", words);
        }
        if (line.left().isEmpty() != line.right().isEmpty()) {
            var missing = line.left().isEmpty() ? "left" : "right";
            advise(
                    path + "." + missing,
                    "second-side-missing",
                    "The %s side gets nothing: mirror it, or say why.".formatted(missing));
        } else if (protocol.filter(p -> !p.on(Side.LEFT).equals(p.on(Side.RIGHT)))
                .isPresent()) {
            advise(path + ".unequalReason", "unequal-sides", "The sides differ: make them equal or say why.");
        }
    }

    private void equipment(LineDraft line, String path) {
        var needs = Catalogue.position(line.position()).map(Position::equipment).orElse(List.of());
        for (var need : needs) {
            if (!context.equipment().isEmpty() && !context.equipment().contains(need)) {
                var name = Catalogue.equipment().stream()
                        .filter(e -> e.id().equals(need))
                        .map(e -> e.name())
                        .findFirst()
                        .orElse(need);
                advise(
                        path + ".position",
                        "equipment",
                        "This needs " + name + ", which the client's file does not list.");
            }
        }
    }

    private void week(LineDraft line, @Nullable Method method, String path, Optional<Protocol> protocol) {
        int perWeek = line.sessionsPerWeek();
        if (perWeek < 1 || perWeek > MOST_A_WEEK) {
            findings.add(Finding.blocking(
                    path + ".sessionsPerWeek",
                    "out-of-bounds",
                    perWeek < 1 ? 1.0 : 14.0,
                    "",
                    "Between 1 and 14 a week."));
            return;
        }
        int ofClass = protocol.map(p -> cap(line, p)).orElse(MOST_A_WEEK);
        int cap = method == null ? ofClass : method.weeklyCap(ofClass);
        if (perWeek > cap) {
            var words = "At this effort at most %d a week: harder work means fewer days.".formatted(cap);
            findings.add(Finding.advice(path + ".sessionsPerWeek", "weekly-cap", (double) cap, "", words));
        } else if (method != null && !method.week().holds(perWeek)) {
            var words = "This method usually comes %.0f to %.0f times a week."
                    .formatted(method.week().least(), method.week().most());
            double bound = perWeek > method.week().most()
                    ? method.week().most()
                    : method.week().least();
            findings.add(Finding.advice(path + ".sessionsPerWeek", "method-week", bound, "", words));
        }
    }

    private static int cap(LineDraft line, Protocol protocol) {
        int peak = 0;
        for (var side : Side.PAIR) {
            for (var block : protocol.on(side)) {
                for (var part : block.parts()) {
                    peak = Math.max(peak, Hardest.peak(part.leaf()));
                }
            }
        }
        return EffortClass.of(EffortPercent.of(peak), line.loaded()).weeklyCap();
    }

    private void minutes(Timeline timeline) {
        tooLong(timeline.seconds(), context.minutes()).ifPresent(findings::add);
    }

    /**
     * Whether something takes longer than there is time for.
     *
     * @param minutes null when not said
     */
    public static Optional<Finding> tooLong(int seconds, @Nullable Integer minutes) {
        if (minutes == null || seconds <= minutes * SECONDS_PER_MINUTE) {
            return Optional.empty();
        }
        return Optional.of(Finding.advice(
                "minutes",
                "too-long",
                (double) minutes,
                "min",
                "%.1f min in %d min: shorten something, or ask for more time.".formatted(seconds / 60.0, minutes)));
    }

    private void advise(String path, String code, String message) {
        findings.add(Finding.advice(path, code, null, "", message));
    }
}
