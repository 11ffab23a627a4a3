package gradino.core.prescribe;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What to shorten first when a session is longer than the minutes there are: rests and settles, then supported holds, then
 * sets and rounds; the work itself last (house rule). Each side the same, so that sides stay equal.
 */
public final class Shorten {
    private static final int MOST_STEPS = 40;

    private record Knob(BlockForm form, String name, double step, double least, int order) {}

    private static final List<Knob> KNOBS = List.of(
            new Knob(BlockForm.GROUP, "rest", 10, 0, 1),
            new Knob(BlockForm.GRADED_SET, "settle", 12, 12, 2),
            new Knob(BlockForm.SETTLE, "seconds", 12, 12, 2),
            new Knob(BlockForm.SUPPORTED_HOLD, "seconds", 15, 30, 3),
            new Knob(BlockForm.RELEASE, "seconds", 15, 45, 3),
            new Knob(BlockForm.CONTROLLED_ROTATION, "repetitions", 1, 2, 4),
            new Knob(BlockForm.HANDS_OFF_HOLD, "sets", 1, 1, 5),
            new Knob(BlockForm.GRADED_SET, "sets", 1, 1, 6),
            new Knob(BlockForm.GROUP, "rounds", 1, 1, 6),
            new Knob(BlockForm.CONTRACT_RELAX, "cycles", 1, 2, 6));

    private Shorten() {}

    /**
     * One thing to shorten.
     *
     * @param place of the block on its first side, as findings name it
     * @param saves seconds, on both sides
     */
    public record Cut(String place, BlockForm form, String name, String label, double from, double to, int saves) {}

    /** The cuts in their order, and the session after them. */
    public record Shorter(List<Cut> cuts, SessionDraft draft, int seconds, boolean fits) {}

    /** @param limitSeconds what there is, 60 and more */
    public static Shorter toFit(SessionDraft draft, int limitSeconds) {
        var cuts = new ArrayList<Cut>();
        var now = draft;
        int seconds = seconds(now);
        for (int n = 0; n < MOST_STEPS && seconds > limitSeconds; n++) {
            var next = cheapest(now, seconds);
            if (next.isEmpty()) {
                break;
            }
            now = next.get().draft();
            seconds -= next.get().cut().saves();
            merge(cuts, next.get().cut());
        }
        return new Shorter(List.copyOf(cuts), now, seconds, seconds <= limitSeconds);
    }

    private record Step(Cut cut, SessionDraft draft, int order) {}

    /** Steps on the same number are told as one. */
    private static void merge(List<Cut> cuts, Cut cut) {
        for (int i = 0; i < cuts.size(); i++) {
            var old = cuts.get(i);
            if (old.place().equals(cut.place()) && old.name().equals(cut.name())) {
                cuts.set(
                        i,
                        new Cut(
                                old.place(),
                                old.form(),
                                old.name(),
                                old.label(),
                                old.from(),
                                cut.to(),
                                old.saves() + cut.saves()));
                return;
            }
        }
        cuts.add(cut);
    }

    private static Optional<Step> cheapest(SessionDraft draft, int seconds) {
        var steps = new ArrayList<Step>();
        for (int s = 0; s < draft.stations().size(); s++) {
            var lines = draft.stations().get(s).lines();
            for (int l = 0; l < lines.size(); l++) {
                for (int b = 0;
                        b < lines.get(l).left().size()
                                || b < lines.get(l).right().size();
                        b++) {
                    block(draft, s, l, b, seconds, steps);
                }
            }
        }
        return steps.stream()
                .min(Comparator.comparingInt(Step::order)
                        .thenComparing(st -> -st.cut().saves()));
    }

    private static void block(SessionDraft draft, int s, int l, int b, int seconds, List<Step> into) {
        var line = draft.stations().get(s).lines().get(l);
        var list = b < line.left().size() ? line.left() : line.right();
        var block = list.get(b);
        for (var knob : KNOBS) {
            boolean has = knob.form() == block.form();
            double from = has ? block.number(knob.name()) : 0;
            double to = Math.max(knob.least(), from - knob.step());
            if (has && to < from) {
                var shorter = with(draft, s, l, b, knob, to);
                int saves = seconds - seconds(shorter);
                var side = b < line.left().size() ? "left" : "right";
                if (saves > 0) {
                    var place = "stations[%d].lines[%d].%s[%d]".formatted(s, l, side, b);
                    var label = BlockParameter.find(knob.form(), knob.name())
                            .map(BlockParameter::label)
                            .orElse(knob.name());
                    into.add(new Step(
                            new Cut(place, knob.form(), knob.name(), label, from, to, saves), shorter, knob.order()));
                }
            }
        }
    }

    private static SessionDraft with(SessionDraft draft, int s, int l, int b, Knob knob, double to) {
        return draft.withBlocks(
                s,
                l,
                b,
                block -> block.form() == knob.form() && block.number(knob.name()) > to
                        ? block.with(knob.name(), to)
                        : block);
    }

    private static int seconds(SessionDraft draft) {
        return SessionReader.read(draft)
                .plan()
                .map(p -> Compiler.compile(p).seconds())
                .orElse(0);
    }
}
