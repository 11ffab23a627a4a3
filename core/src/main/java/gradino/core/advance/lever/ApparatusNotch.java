package gradino.core.advance.lever;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.prescribe.method.Apparatuses;
import gradino.core.prescribe.method.Dose;
import java.util.List;
import java.util.Optional;

/**
 * One notch of what a side lies on: the bench lower, its incline less, the strap a mark shorter go deeper; the other way is easier
 * (common practice, no source; the size of a notch is a house rule). Where a foot stands on the bench, a higher one goes deeper: the
 * position says so.
 *
 * @param deeper by how much the number changes for a deeper notch
 */
record ApparatusNotch(String number, String words, Unit unit, double deeper, double least, double most) {
    private static final List<ApparatusNotch> ALL = List.of(
            new ApparatusNotch(Apparatuses.BENCH, "Bench", Unit.CENTIMETRE, -2, 0, 150),
            new ApparatusNotch(Apparatuses.INCLINE, "Incline of the bench", Unit.DEGREE, -5, 0, 90),
            new ApparatusNotch(Apparatuses.STRAP, "Strap mark", Unit.COUNT, 1, 1, 60));

    /** The first thing that a dose is set up with; empty where it is set up by its angle alone. */
    static Optional<ApparatusNotch> of(Dose dose, String position) {
        return first(dose).map(n -> n.turned(position));
    }

    private static Optional<ApparatusNotch> first(Dose dose) {
        return Apparatuses.place(dose.blocks())
                .flatMap(place -> ALL.stream()
                        .filter(n -> place.block().number(n.number()) > 0)
                        .findFirst());
    }

    private ApparatusNotch turned(String position) {
        boolean turn = number.equals(Apparatuses.BENCH)
                && Catalogue.position(position)
                        .filter(Position::higherBenchDeeper)
                        .isPresent();
        return turn ? new ApparatusNotch(number, words, unit, -deeper, least, most) : this;
    }

    private double now(Dose dose) {
        return Apparatuses.place(dose.blocks()).orElseThrow().block().number(number);
    }

    private double moved(Dose dose, double by) {
        return Math.max(least, Math.min(most, now(dose) + by));
    }

    /** Whether there is a deeper notch: a bench that has gone down to the floor has none. */
    boolean hasDeeper(Dose dose) {
        return moved(dose, deeper) != now(dose);
    }

    Dose deeper(Dose dose) {
        return dose.withNumber(Apparatuses.place(dose.blocks()).orElseThrow(), number, moved(dose, deeper));
    }

    Dose easier(Dose dose) {
        return dose.withNumber(Apparatuses.place(dose.blocks()).orElseThrow(), number, moved(dose, -deeper));
    }

    /** Whether one dose lies deeper than another by this. */
    boolean isDeeper(Dose one, Dose other) {
        return isOf(one) && isOf(other) && (now(one) - now(other)) * deeper > 0;
    }

    private boolean isOf(Dose dose) {
        return first(dose).filter(n -> n.number().equals(number)).isPresent();
    }

    Because atTop(Dose dose) {
        return Because.of(Reason.AT_TOP, Term.of(words), Term.of(now(dose), unit));
    }

    Because said(Reason reason, Dose from, Dose to) {
        return Because.of(reason, Term.of(words), Term.of(now(from), unit), Term.of(now(to), unit));
    }
}
