package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.reading.Tape;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import gradino.server.measure.MeasurementDraft.TapeDraft;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads one typed measurement: degrees and ± for each trial, and every finding beside its field. */
final class Bench {
    private final MeasurementDraft draft;
    private final Map<Segment, BodyLength> file;
    private final List<Finding> findings = new ArrayList<>();
    private final List<UncertainAngle> angles = new ArrayList<>();
    private final Map<Segment, BodyLength> used = new EnumMap<>(Segment.class);

    private Bench(MeasurementDraft draft, Map<Segment, BodyLength> file) {
        this.draft = draft;
        this.file = file;
    }

    /** What came out: one angle for each readable trial. */
    record Reading(List<UncertainAngle> angles, Map<Segment, BodyLength> body, List<Finding> findings) {
        Optional<Trials> trials() {
            return angles.isEmpty() || angles.size() > Trials.MOST
                    ? Optional.empty()
                    : Optional.of(new Trials(
                            angles.stream().map(UncertainAngle::value).toList()));
        }
    }

    /** @param file the client's body lengths, used where the tape form leaves them out; their uncertainty comes with them */
    static Reading read(MeasurementDraft draft, Map<Segment, BodyLength> file) {
        var bench = new Bench(draft, file);
        bench.place();
        if (draft.instrument() == Instrument.TAPE) {
            bench.tape();
        } else {
            bench.typed();
        }
        bench.count();
        return new Reading(List.copyOf(bench.angles), Map.copyOf(bench.used), List.copyOf(bench.findings));
    }

    private void place() {
        var motion = Catalogue.motion(draft.motion());
        if (motion.isEmpty()) {
            block("motion", "unknown-motion", "Pick a motion of the list.");
        } else if (!Side.of(motion.get()).contains(draft.side())) {
            block(
                    "side",
                    "side-for-motion",
                    "This motion has %s.".formatted(motion.get().midline() ? "no sides" : "a left and a right"));
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
        var incline = draft.incline();
        if (incline != null && !(incline.degrees() >= 0 && incline.degrees() <= 90)) {
            findings.add(Finding.blocking("incline.degrees", "out-of-bounds", 90.0, "°", "Between 0 and 90°."));
        }
        if (incline != null && incline.bench().isBlank()) {
            block("incline.bench", "required", "Which bench? Each has its own line.");
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
        var formula = Catalogue.position(draft.position()).map(Position::tape).orElse(null);
        if (formula == null) {
            block("instrument", "no-tape-here", "A tape gives no angle in this position: use a goniometer.");
        } else if (input == null || input.lengthsCm().isEmpty()) {
            block("tape.lengthsCm[0]", "required", "Type the length that the tape shows.");
        } else if (body(formula, input)) {
            for (int i = 0; i < input.lengthsCm().size(); i++) {
                length(formula, input, i);
            }
        }
    }

    private void length(TapeFormulaId formula, TapeDraft input, int i) {
        var path = "tape.lengthsCm[" + i + "]";
        try {
            Centimetres.of(input.lengthsCm().get(i));
            var tape = new Tape(formula, input.lengthsCm().get(i), input.startCm(), used);
            angles.add(tape.angle());
            if (tape.nearLimit()) {
                findings.add(Finding.advice(
                        path,
                        "near-limit",
                        null,
                        "",
                        "So near the tape's limit a small error is a large one: use a goniometer."));
            }
        } catch (OutOfBoundsException e) {
            boolean start = e.quantity().equals("reading at zero");
            outOfBounds(start ? "tape.startCm" : path, e);
        } catch (Tape.DoesNotFitException e) {
            block(path, "does-not-fit", String.valueOf(e.getMessage()));
        }
    }

    /** Each length as typed, else the one of the client's file with its own uncertainty. */
    private boolean body(TapeFormulaId formula, TapeDraft input) {
        boolean whole = true;
        for (var segment : Tape.needs(formula)) {
            var path = "tape.body." + segment;
            var typed = input.body().get(segment);
            var known = file.get(segment);
            if (typed == null && known == null) {
                block(path, "required", "Measure it: " + segment.words() + "; or put it in the file.");
                whole = false;
            } else if (typed == null || (known != null && known.length().value() == typed)) {
                used.put(segment, known);
            } else if (!(typed >= 2 && typed <= 150)) {
                findings.add(Finding.blocking(path, "out-of-bounds", 150.0, "cm", "Between 2 and 150 cm."));
                whole = false;
            } else {
                used.put(segment, BodyLength.measured(Centimetres.of(typed)));
            }
        }
        return whole;
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
