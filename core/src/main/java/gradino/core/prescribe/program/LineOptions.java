package gradino.core.prescribe.program;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.body.Catalogue;
import gradino.core.body.Hint;
import gradino.core.body.Hint.Take;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.body.Training;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The easier and harder options of a line's position: what each does to its angle or dose, and the line once it was taken. */
public final class LineOptions {
    /** A bench or a strap a notch further (house rule). */
    private static final double DEGREES = 5;

    private final LineDraft line;
    private final Training training;

    private LineOptions(LineDraft line, Training training) {
        this.line = line;
        this.training = training;
    }

    /**
     * @param position id of the other position that the line begins anew in; empty where it stays
     * @param line with the option taken; null for another position, and where a number is at its end
     */
    public record LineOption(
            boolean easier,
            String words,
            List<Because> does,
            String position,
            @Nullable LineDraft line) {
        public LineOption {
            does = List.copyOf(does);
        }
    }

    /** Easier ones first; none for a position that only measures. */
    public static List<LineOption> of(LineDraft line) {
        return Catalogue.position(line.position())
                .flatMap(p -> Optional.ofNullable(p.training()))
                .map(t -> new LineOptions(line, t).all())
                .orElse(List.of());
    }

    /** A harder option, and the dose with it in its set-up. */
    public record Harder(String words, boolean deeper, Dose dose) {}

    /** Those of the same position that the set-up does not say yet. */
    public static List<Harder> harder(String position, Dose dose) {
        return Catalogue.position(position)
                .flatMap(p -> Optional.ofNullable(p.training()))
                .map(t -> t.harder().stream()
                        .filter(h -> h.take().isSetUp() && !OptionTakes.says(dose, h.setUp()))
                        .map(h -> new Harder(
                                h.setUp(),
                                h.take() == Take.DEEPER,
                                OptionTakes.setUp(dose, h.setUp(), setUps(t.easier()))))
                        .toList())
                .orElse(List.of());
    }

    private static List<String> setUps(List<Hint> hints) {
        return hints.stream().map(Hint::setUp).toList();
    }

    private List<LineOption> all() {
        return Stream.concat(
                        training.easier().stream().flatMap(h -> option(h, true).stream()),
                        training.harder().stream().flatMap(h -> option(h, false).stream()))
                .toList();
    }

    private Optional<LineOption> option(Hint hint, boolean easier) {
        return switch (hint.take()) {
            case POSITION ->
                Catalogue.position(hint.position())
                        .filter(p -> p.allows(line.motion()))
                        .map(p -> elsewhere(hint, easier, p));
            case SET_UP, DEEPER -> Optional.of(setUp(hint, easier));
            default -> Optional.of(number(hint, easier));
        };
    }

    private static LineOption elsewhere(Hint hint, boolean easier, Position position) {
        var does = Because.of(Reason.OPTION_POSITION, Term.of(position.name()));
        return new LineOption(easier, hint.words(), List.of(does), position.id(), null);
    }

    /** What is set up for the other way goes with it. */
    private LineOption setUp(Hint hint, boolean easier) {
        var against = setUps(easier ? training.harder() : training.easier());
        var taken = taken(dose -> OptionTakes.setUp(dose, hint.setUp(), against));
        var reason = easier ? Reason.OPTION_SET_UP_EASIER : Reason.OPTION_SET_UP_HARDER;
        return new LineOption(easier, hint.words(), List.of(Because.of(reason, Term.of(hint.setUp()))), "", taken);
    }

    /**
     * Where nothing of the line has the number, its words are said in the set-up; a bench or a strap without a number is known by
     * the angle.
     */
    private LineOption number(Hint hint, boolean easier) {
        var sides = sides();
        if (sides.stream().noneMatch(s -> OptionTakes.has(line.dose(s), hint.take()))) {
            boolean byAngle = hint.take() == Take.BENCH || hint.take() == Take.STRAP;
            return byAngle && sides.stream().anyMatch(s -> OptionTakes.has(line.dose(s), Take.ANGLE))
                    ? number(new Hint(hint.words(), Take.ANGLE, "", easier ? -DEGREES : DEGREES), easier)
                    : setUp(new Hint(hint.words(), Take.SET_UP, "", 0), easier);
        }
        var taken = taken(dose -> OptionTakes.number(dose, hint.take(), hint.by()));
        if (taken.equals(line)) {
            var end = OptionTakes.value(line.dose(sides.get(0)), hint.take());
            var at = Term.of(end, OptionTakes.unit(hint.take()));
            var does = Because.of(Reason.OPTION_AT_END, Term.of(OptionTakes.label(hint.take())), at);
            return new LineOption(easier, hint.words(), List.of(does), "", null);
        }
        return new LineOption(easier, hint.words(), does(hint.take(), taken), "", taken);
    }

    /** Said once where both sides do the same. */
    private List<Because> does(Take take, LineDraft taken) {
        var unit = OptionTakes.unit(take);
        var all = new ArrayList<Because>();
        for (var side : sides()) {
            double from = OptionTakes.value(line.dose(side), take);
            double to = OptionTakes.value(taken.dose(side), take);
            all.add(Because.of(
                    Reason.OPTION_NUMBER, Term.of(OptionTakes.label(take)), Term.of(from, unit), Term.of(to, unit)));
        }
        if (all.size() < 2 || all.get(0).equals(all.get(1))) {
            return all.subList(0, 1);
        }
        return sides().stream()
                .map(s -> Because.of(
                        Reason.OPTION_SIDE,
                        Term.of(s == Side.LEFT ? "left" : "right"),
                        Term.of(OptionTakes.value(line.dose(s), take), unit),
                        Term.of(OptionTakes.value(taken.dose(s), take), unit)))
                .toList();
    }

    private List<Side> sides() {
        return line.sides().one() || line.right().isEmpty() ? List.of(Side.LEFT) : Side.PAIR;
    }

    private LineDraft taken(UnaryOperator<Dose> change) {
        var doses = Sided.of(s -> line.dose(s).hasBlocks() ? change.apply(line.dose(s)) : line.dose(s));
        return line.with(doses, line.sessionsPerWeek());
    }
}
