package gradino.core.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.BlockId.Way;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Timeline.Phase;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * What a floor may do instead of the plan, compiled beforehand so that it needs no rule of its own: an easier version of each
 * block, and one set more where the restrictions and the method leave room.
 *
 * <p>Easier (house rule, as the step down after pain while contracting): {@value #EASIER_POINTS} points less effort, never below
 * {@value #LEAST_PERCENT} %; holds half as long.
 */
public final class Variants {
    public static final int EASIER_POINTS = 20;
    public static final int LEAST_PERCENT = 20;

    private static final int SHORTEST_HOLD_SECONDS = 5;

    private Variants() {}

    /** What may be done. */
    public enum Kind {
        EASIER,
        EXTRA_SET
    }

    /**
     * @param blockId the block it is instead of, or the last block before an extra set
     * @param phases on a clock of their own, from 0
     */
    public record Variant(Kind kind, BlockId blockId, List<Phase> phases) {
        public Variant {
            phases = List.copyOf(phases);
        }
    }

    public static List<Variant> of(SessionDraft draft, SessionContext context, List<Method> methods) {
        var base = compiled(draft);
        var variants = new ArrayList<>(base.map(b ->
                        easier(b, compiled(changed(draft, Variants::easier)).orElse(b)))
                .orElse(List.of()));
        for (var line : draft.lines()) {
            for (var side : line.done()) {
                var more = oneSetMore(draft, line, side);
                if (!more.equals(draft)
                        && SessionCheck.check(more, context, methods).findings().stream()
                                .noneMatch(Finding::blocks)) {
                    base.flatMap(b -> compiled(more).flatMap(m -> extra(b, m))).ifPresent(variants::add);
                }
            }
        }
        return variants;
    }

    private static Optional<Timeline> compiled(SessionDraft draft) {
        return SessionReader.read(draft).plan().map(Compiler::compile);
    }

    private static double easier(double percent) {
        return Math.max(Math.min(percent, LEAST_PERCENT), percent - EASIER_POINTS);
    }

    private static int half(double seconds) {
        return (int) Math.max(Math.min(seconds, SHORTEST_HOLD_SECONDS), Math.rint(seconds / 2));
    }

    private static BlockDraft easier(BlockDraft block) {
        Map<String, Double> numbers = new LinkedHashMap<>(block.numbers());
        for (var parameter : BlockParameter.of(block.form())) {
            var name = parameter.name();
            if (parameter.unit().equals("%")) {
                numbers.put(name, Math.max(parameter.least(), easier(block.number(name))));
            } else if (isHold(block.form(), name)) {
                numbers.put(name, Math.max(parameter.least(), half(block.number(name))));
            }
        }
        double top = block.steps().stream()
                .mapToDouble(BlockDraft.Tread::effort)
                .max()
                .orElse(0);
        return new BlockDraft(
                block.form(),
                numbers,
                block.words(),
                lower(block.steps(), easier(top)),
                block.blocks().stream().map(Variants::easier).toList());
    }

    private static boolean isHold(BlockForm form, String name) {
        return (form == BlockForm.SUPPORTED_HOLD || form == BlockForm.RELEASE) && name.equals("seconds");
    }

    /** Treads above the new top are dropped and the top is the last one, as for a newcomer. */
    private static List<BlockDraft.Tread> lower(List<BlockDraft.Tread> steps, double top) {
        var kept = new ArrayList<BlockDraft.Tread>();
        for (var step : steps) {
            if (step.effort() < top) {
                kept.add(step);
            } else if (kept.isEmpty() || kept.get(kept.size() - 1).effort() < top) {
                kept.add(new BlockDraft.Tread(top, step.seconds()));
            }
        }
        return kept;
    }

    private static SessionDraft changed(SessionDraft draft, UnaryOperator<BlockDraft> change) {
        return lines(draft, line -> line.withBlocks(all(line.left(), change), all(line.right(), change)));
    }

    private static SessionDraft lines(SessionDraft draft, UnaryOperator<LineDraft> change) {
        return new SessionDraft(
                draft.warmUp(),
                draft.stations().stream()
                        .map(s -> new StationDraft(
                                s.lines().stream().map(change).toList(), s.rounds(), s.restSeconds(), s.oneSetUp()))
                        .toList());
    }

    private static List<BlockDraft> all(List<BlockDraft> blocks, UnaryOperator<BlockDraft> change) {
        return blocks.stream().map(change).toList();
    }

    private static SessionDraft oneSetMore(SessionDraft draft, LineDraft of, Side side) {
        return lines(
                draft,
                line -> !line.id().equals(of.id())
                        ? line
                        : line.withBlocks(
                                side == Side.RIGHT ? line.left() : Sets.more(line.left()),
                                side == Side.RIGHT ? Sets.more(line.right()) : line.right()));
    }

    private static Map<BlockId, List<Phase>> byBlock(Timeline timeline) {
        return timeline.phases().stream()
                .collect(Collectors.groupingBy(Phase::blockId, LinkedHashMap::new, Collectors.toList()));
    }

    private static List<Variant> easier(Timeline base, Timeline easy) {
        var lighter = byBlock(easy);
        var variants = new ArrayList<Variant>();
        byBlock(base).forEach((id, phases) -> {
            var instead = lighter.getOrDefault(id, List.of());
            if (!instead.isEmpty() && isLess(instead, phases)) {
                variants.add(new Variant(Kind.EASIER, id, fromZero(instead, Way.EASIER)));
            }
        });
        return variants;
    }

    private static boolean isLess(List<Phase> instead, List<Phase> phases) {
        return peak(instead) < peak(phases) || (peak(instead) == peak(phases) && seconds(instead) < seconds(phases));
    }

    private static int peak(List<Phase> phases) {
        return phases.stream().mapToInt(p -> p.effortTo().value()).max().orElse(0);
    }

    private static int seconds(List<Phase> phases) {
        return phases.stream().mapToInt(Phase::seconds).sum();
    }

    /** What is in the longer one only, after the block it follows there. */
    private static Optional<Variant> extra(Timeline base, Timeline more) {
        var known = byBlock(base).keySet();
        var added =
                more.phases().stream().filter(p -> !known.contains(p.blockId())).toList();
        if (added.isEmpty()) {
            return Optional.empty();
        }
        int first = more.phases().indexOf(added.get(0));
        return first == 0
                ? Optional.empty()
                : Optional.of(new Variant(
                        Kind.EXTRA_SET, more.phases().get(first - 1).blockId(), fromZero(added, Way.EXTRA)));
    }

    private static List<Phase> fromZero(List<Phase> phases, Way way) {
        var moved = new ArrayList<Phase>();
        int at = 0;
        for (var phase : phases) {
            moved.add(phase.from(at, phase.blockId().as(way)));
            at += phase.seconds();
        }
        return moved;
    }
}
