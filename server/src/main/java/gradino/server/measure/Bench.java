package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Position.TapeFormulaId;
import gradino.core.measure.Instrument;
import gradino.core.measure.Tape;
import gradino.core.measure.Tape.BodyLength;
import gradino.core.measure.Trials;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import gradino.server.measure.MeasurementDraft.TapeDraft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads one typed measurement: degrees and ± for each trial, and every finding beside its field. */
final class Bench {
    private final MeasurementDraft draft;
    private final Optional<BodyLength> shank;
    private final List<Finding> findings = new ArrayList<>();
    private final List<UncertainAngle> angles = new ArrayList<>();
    private Optional<BodyLength> used = Optional.empty();

    private Bench(MeasurementDraft draft, Optional<BodyLength> shank) {
        this.draft = draft;
        this.shank = shank;
    }

    /** What came out: one angle for each readable trial. */
    record Reading(List<UncertainAngle> angles, Optional<BodyLength> shank, List<Finding> findings) {
        Optional<Trials> trials() {
            return angles.isEmpty() || angles.size() > Trials.MOST
                    ? Optional.empty()
                    : Optional.of(new Trials(
                            angles.stream().map(UncertainAngle::value).toList()));
        }
    }

    /** @param fileShank the client's shank, used when the tape form leaves it out; its uncertainty comes with it */
    static Reading read(MeasurementDraft draft, Optional<BodyLength> fileShank) {
        var bench = new Bench(draft, fileShank);
        bench.place();
        if (draft.instrument() == Instrument.TAPE) {
            bench.tape();
        } else {
            bench.typed();
        }
        bench.count();
        return new Reading(List.copyOf(bench.angles), bench.used, List.copyOf(bench.findings));
    }

    private void place() {
        if (Catalogue.motion(draft.motion()).isEmpty()) {
            block("motion", "unknown-motion", "Pick a motion of the list.");
        }
        var position = Catalogue.position(draft.position());
        if (position.isEmpty()) {
            block("position", "unknown-position", "Pick a position of the list.");
        } else if (!position.get().allows(draft.motion())) {
            block("position", "position-for-motion", "This motion is not measured in this position.");
        }
        var grade = draft.controlGrade();
        if (grade != null && (grade < 0 || grade > 3)) {
            findings.add(Finding.blocking("controlGrade", "out-of-bounds", 3.0, "", "A control grade is 0 to 3."));
        }
    }

    private void typed() {
        for (int i = 0; i < draft.trials().size(); i++) {
            try {
                angles.add(new UncertainAngle(Degrees.of(draft.trials().get(i)), 0));
            } catch (OutOfBoundsException e) {
                outOfBounds("trials[" + i + "]", e);
            }
        }
    }

    private void tape() {
        var input = draft.tape();
        if (input == null || input.lengthsCm().isEmpty()) {
            block("tape.lengthsCm[0]", "required", "Type the length that the tape shows.");
            return;
        }
        try {
            used = body(input);
            var start = Centimetres.of(input.startCm());
            used.ifPresentOrElse(
                    body -> lengths(input, start, body),
                    () -> block(
                            "tape.shankCm",
                            "required",
                            "Measure the shank, knee to ankle, or put the stature in the file."));
        } catch (OutOfBoundsException e) {
            outOfBounds(input.startCm() >= 0 && input.startCm() <= e.upper() ? "tape.shankCm" : "tape.startCm", e);
        }
    }

    private void lengths(TapeDraft input, Centimetres start, BodyLength body) {
        var formula = Catalogue.position(draft.position()).map(Position::tape).orElse(TapeFormulaId.FOOT_SIDEWAYS);
        for (int i = 0; i < input.lengthsCm().size(); i++) {
            var path = "tape.lengthsCm[" + i + "]";
            try {
                var length = Centimetres.of(input.lengthsCm().get(i));
                var tape = formula == TapeFormulaId.FOOT_RISE
                        ? Tape.footRise(length, start, body)
                        : Tape.footSideways(length, body);
                angles.add(tape.angle());
                if (tape.nearLimit()) {
                    findings.add(Finding.advice(
                            path,
                            "near-limit",
                            null,
                            "",
                            "So near the shank's whole length a tape says little: use a goniometer."));
                }
            } catch (OutOfBoundsException e) {
                outOfBounds(path, e);
            } catch (Tape.DoesNotFitException e) {
                block(path, "does-not-fit", String.valueOf(e.getMessage()));
            }
        }
    }

    /** The shank as typed, else the one of the client's file with its own uncertainty. */
    private Optional<BodyLength> body(TapeDraft input) {
        if (input.shankCm() == null) {
            return shank;
        }
        var typed = Centimetres.of(input.shankCm());
        return Optional.of(shank.filter(s -> s.length().equals(typed)).orElseGet(() -> BodyLength.measured(typed)));
    }

    private void count() {
        int given = draft.instrument() == Instrument.TAPE
                ? angles.size()
                : draft.trials().size();
        if (given > Trials.MOST) {
            findings.add(Finding.blocking("trials", "too-many-trials", 6.0, "", "At most six trials."));
        } else if (angles.isEmpty() && findings.stream().noneMatch(Finding::blocks)) {
            block("trials[0]", "required", "Type at least one trial.");
        }
    }

    private void outOfBounds(String path, OutOfBoundsException e) {
        findings.add(Finding.outOfBounds(path, e));
    }

    private void block(String path, String code, String message) {
        findings.add(Finding.blocking(path, code, null, "", message));
    }
}
