package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.because.Unit;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.prescribe.method.Apparatuses;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.RoleNumber;
import gradino.core.prescribe.method.Roles;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** Doses with less in them: nothing here ever raises a number. */
public final class Lower {
    static final Predicate<BlockForm> EVERYWHERE = form -> true;

    private static final String HANDS_OFF = "hold";

    private final Situation s;

    Lower(Situation s) {
        this.s = s;
    }

    /** Every number of seconds that the ladder moves, in blocks of some kinds, back to what the line began with. */
    Dose holds(Dose dose, Predicate<BlockForm> in) {
        var lower = back(dose, in, number -> isSeconds(in, number));
        return in.test(BlockForm.HANDS_OFF_HOLD) && lower.hasHandsOff() ? handsOff(lower) : lower;
    }

    private static boolean isSeconds(Predicate<BlockForm> in, String number) {
        return BlockParameter.all().stream()
                        .filter(p -> p.name().equals(number) && in.test(p.form()))
                        .anyMatch(p -> p.spoken() == Unit.SECOND)
                || number.equals(RoleNumber.TREAD);
    }

    private Dose handsOff(Dose dose) {
        var base = s.me().base();
        int first = base.hasHandsOff()
                ? base.handsOffSeconds()
                : BlockNumbers.range(s.method(), BlockForm.HANDS_OFF_HOLD, HANDS_OFF)
                        .map(r -> (int) r.least())
                        .orElse(dose.handsOffSeconds());
        return dose.withHandsOffSeconds(Math.min(first, dose.handsOffSeconds()));
    }

    /** Only what is held on top of a ramp. */
    Dose topHolds(Dose dose) {
        return back(dose, BlockForm::isRamp, List.of("top-hold", "pull", RoleNumber.TREAD)::contains);
    }

    /** Movements through the middle of the range alone, where the ladder will give the rest back. */
    Dose zones(Dose dose) {
        var nearer = dose;
        for (var rung : s.method().ladder()) {
            for (var found : rung.movesZone() ? s.places(rung) : List.<Roles.Found>of()) {
                nearer = nearer.withNumber(found.place(), RoleNumber.ZONE, RoleNumber.MIDDLE);
            }
        }
        return nearer;
    }

    /** Every number that the ladder moves back to what the line began with. */
    Dose everything(Dose dose) {
        return back(dose, EVERYWHERE, number -> !number.equals(RoleNumber.ZONE));
    }

    Dose repetitions(Dose dose, Predicate<BlockForm> in) {
        return back(dose, in, "repetitions"::equals);
    }

    private Dose back(Dose dose, Predicate<BlockForm> in, Predicate<String> number) {
        var lower = dose;
        for (var rung : s.method().ladder()) {
            for (var name : rung.numbers()) {
                if (number.test(name)) {
                    lower = back(lower, rung, name, in);
                }
            }
        }
        return lower;
    }

    private Dose back(Dose dose, LadderRung rung, String number, Predicate<BlockForm> in) {
        var blocks = dose.blocks();
        for (var role : rung.roles()) {
            var bases = Roles.of(s.method(), s.me().base().blocks(), role);
            int nth = 0;
            for (var found : Roles.of(s.method(), blocks, role)) {
                var form = found.place().block().form();
                if (nth < bases.size() && in.test(form) && RoleNumber.has(form, number)) {
                    double base = RoleNumber.value(bases.get(nth).place().block(), number);
                    double now = RoleNumber.value(found.place().block(), number);
                    if (base < now) {
                        blocks = BlockNumbers.with(
                                blocks, found.place().path(), b -> RoleNumber.with(b, number, base, found.own()));
                    }
                }
                nth++;
            }
        }
        return dose.withBlocks(blocks);
    }

    /** Whatever is done harder than the hardest of some kinds less so many points, in those kinds alone. */
    Dose softer(Dose dose, Predicate<BlockForm> in, int points, int least) {
        int hardest = hardest(dose, in);
        int to = Math.min(hardest, Math.max(least, hardest - points));
        return dose.withBlocks(softened(dose.blocks(), in, to));
    }

    static int hardest(Dose dose, Predicate<BlockForm> in) {
        int hardest = 0;
        for (var form : BlockForm.values()) {
            if (in.test(form)) {
                for (var place : BlockNumbers.of(dose.blocks(), form)) {
                    hardest = Math.max(hardest, BlockNumbers.effort(place.block()));
                }
            }
        }
        return hardest;
    }

    private static List<BlockDraft> softened(List<BlockDraft> blocks, Predicate<BlockForm> in, int to) {
        var all = blocks;
        for (var form : BlockForm.values()) {
            if (in.test(form)) {
                for (var place : BlockNumbers.of(all, form)) {
                    all = BlockNumbers.with(all, place.path(), b -> BlockNumbers.capped(b, EffortPercent.of(to)));
                }
            }
        }
        return all;
    }

    /** Every ceiling that the ladder moves less so many points, not below what the line began with. */
    Dose ceilings(Dose dose, int points) {
        var blocks = dose.blocks();
        for (var rung : s.method().ladder()) {
            for (var role : rung.movesEffort() ? rung.roles() : List.<String>of()) {
                blocks = ceilings(blocks, role, rung.numbers().get(0), points);
            }
        }
        return dose.withBlocks(blocks);
    }

    private List<BlockDraft> ceilings(List<BlockDraft> blocks, String role, String number, int points) {
        var all = blocks;
        var bases = Roles.of(s.method(), s.me().base().blocks(), role);
        var now = Roles.of(s.method(), s.dose().blocks(), role);
        for (int i = 0; i < now.size(); i++) {
            double old = RoleNumber.value(now.get(i).place().block(), number);
            double base =
                    i < bases.size() ? RoleNumber.value(bases.get(i).place().block(), number) : old;
            double to = Math.max(Math.min(base, old), old - points);
            var own = now.get(i).own();
            if (to < old) {
                all = BlockNumbers.with(all, now.get(i).place().path(), b -> RoleNumber.with(b, number, to, own));
            }
        }
        return all;
    }

    /**
     * The lower of two doses, number by number; what eases, rests and settles among them, is the first one's. A block that only one
     * of them has is left out; where they have none in common, the second one's stand.
     *
     * @param position in which both are done: it says whether a higher bench is easier
     */
    public static Dose of(Dose one, Dose other, String position) {
        if (one.equals(other)) {
            return other;
        }
        var angle = one.angle().compareTo(other.angle()) <= 0 ? one.angle() : other.angle();
        boolean benchEases =
                Catalogue.position(position).filter(Position::higherBenchDeeper).isEmpty();
        return new Dose(angle, blocks(one.blocks(), other.blocks(), benchEases));
    }

    private static List<BlockDraft> blocks(List<BlockDraft> one, List<BlockDraft> other, boolean benchEases) {
        var lower = new ArrayList<BlockDraft>();
        for (int i = 0; i < other.size(); i++) {
            var block = other.get(i);
            twin(one, block.form(), nth(other, i)).ifPresent(twin -> lower.add(block(twin, block, benchEases)));
        }
        return lower.isEmpty() ? other : lower;
    }

    private static long nth(List<BlockDraft> blocks, int at) {
        var form = blocks.get(at).form();
        return blocks.subList(0, at).stream().filter(b -> b.form() == form).count();
    }

    private static Optional<BlockDraft> twin(List<BlockDraft> blocks, BlockForm form, long nth) {
        return blocks.stream().filter(b -> b.form() == form).skip(nth).findFirst();
    }

    private static BlockDraft block(BlockDraft one, BlockDraft other, boolean benchEases) {
        var numbers = new HashMap<>(one.numbers());
        for (var p : BlockParameter.of(one.form())) {
            double first = one.number(p.name());
            double second = other.number(p.name());
            // What rests and settles stays the first one's.
            boolean more = p.name().equals(Apparatuses.BENCH) ? benchEases : p.eases();
            boolean easier = more ? one.form() == BlockForm.PROP && second > first : second < first;
            if (easier) {
                numbers.put(p.name(), second);
            }
        }
        var steps = one.steps();
        if (steps.size() == other.steps().size()) {
            var treads = new ArrayList<Tread>();
            for (int i = 0; i < steps.size(); i++) {
                treads.add(new Tread(
                        Math.min(steps.get(i).effort(), other.steps().get(i).effort()),
                        Math.min(steps.get(i).seconds(), other.steps().get(i).seconds())));
            }
            steps = treads;
        } else if (other.steps().size() < steps.size()) {
            steps = other.steps();
        }
        return new BlockDraft(
                one.form(), numbers, one.words(), steps, blocks(one.blocks(), other.blocks(), benchEases));
    }
}
