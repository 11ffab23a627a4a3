package gradino.core.intake;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What cannot be right in a screening or a clearance, with its place. */
public final class IntakeCheck {
    private static final int TEXT_MOST = 2000;

    private IntakeCheck() {}

    public static Set<String> joints() {
        return Catalogue.motions().stream().map(Motion::joint).collect(Collectors.toUnmodifiableSet());
    }

    /** @param birthDate null when not said */
    public static List<Finding> check(Screening s, @Nullable LocalDate birthDate, LocalDate today) {
        var findings = new ArrayList<Finding>();
        for (var question : Question.all()) {
            if (!s.answers().containsKey(question.id())) {
                block(findings, "answers." + question.id(), "not-asked", "Ask this one too: yes or no.");
            }
        }
        var known = Question.all().stream().map(Question::id).collect(Collectors.toSet());
        s.answers().keySet().stream()
                .filter(id -> !known.contains(id))
                .forEach(id -> block(findings, "answers." + id, "unknown-question", "There is no such question."));
        pressure(s, birthDate, today, findings);
        for (int i = 0; i < s.events().size(); i++) {
            var event = s.events().get(i);
            joint(findings, "events[" + i + "].joint", event.joint());
            past(findings, "events[" + i + "].on", event.on(), birthDate, today);
        }
        for (int i = 0; i < s.flareJoints().size(); i++) {
            joint(findings, "flareJoints[" + i + "]", s.flareJoints().get(i));
        }
        if (s.yes("birth") && s.birthOn() == null) {
            block(findings, "birthOn", "required", "When? It counts for twelve months.");
        }
        past(findings, "birthOn", s.birthOn(), birthDate, today);
        if (s.guardian() != null) {
            if (s.guardian().name().isBlank()) {
                block(findings, "guardian.name", "required", "Who agreed?");
            }
            past(findings, "guardian.on", s.guardian().on(), birthDate, today);
        }
        return findings;
    }

    private static void pressure(Screening s, @Nullable LocalDate birthDate, LocalDate today, List<Finding> findings) {
        var bp = s.bloodPressure();
        if (bp == null) {
            return;
        }
        if (bp.diastolic() >= bp.systolic()) {
            findings.add(Finding.blocking(
                    "bloodPressure.diastolic",
                    "diastolic-above-systolic",
                    (double) bp.systolic(),
                    "mmHg",
                    "The lower value lies below the upper one."));
        }
        past(findings, "bloodPressure.measuredOn", bp.measuredOn(), birthDate, today);
    }

    /** @param standing the restrictions that a clearance may name */
    public static List<Finding> check(Clearance c, List<Restriction> standing, LocalDate today) {
        var findings = new ArrayList<Finding>();
        if (c.clearedBy().isBlank() || c.clearedBy().length() > 200) {
            block(findings, "clearedBy", "required", "Who cleared it? A name.");
        }
        if (c.note().isBlank() || c.note().length() > TEXT_MOST) {
            block(findings, "note", "required", "What was written?");
        }
        past(findings, "writtenOn", c.writtenOn(), null, today);
        if (c.until() != null && c.until().isBefore(c.writtenOn())) {
            block(findings, "until", "before-writing", "It cannot end before it was written.");
        }
        if (!c.clearsSigns() && c.loosens().isEmpty()) {
            block(findings, "loosens", "required", "Say what it loosens: nothing else changes.");
        }
        for (int i = 0; i < c.loosens().size(); i++) {
            loosening("loosens[" + i + "]", c.loosens().get(i), standing, findings);
        }
        return findings;
    }

    private static void loosening(
            String at, Clearance.Loosening loosening, List<Restriction> standing, List<Finding> findings) {
        var named = standing.stream()
                .filter(r -> r.id().equals(loosening.restriction()))
                .findFirst();
        if (named.isEmpty()) {
            block(findings, at + ".restriction", "unknown-restriction", "There is no such restriction.");
            return;
        }
        var kind = named.get().kind();
        Double limit = loosening.limit();
        if (limit != null && !kind.hasLimit()) {
            block(findings, at + ".limit", "no-limit", "This one is lifted or stays; it has no number.");
        } else if (limit != null && !(limit >= kind.lowestLimit() && limit <= kind.highestLimit())) {
            findings.add(Finding.blocking(
                    at + ".limit", "out-of-bounds", kind.highestLimit(), kind.unitText(), "A limit within reason."));
        }
        for (int j = 0; j < loosening.motionLimits().size(); j++) {
            motionLimit(
                    at + ".motionLimits[" + j + "]", loosening.motionLimits().get(j), named.get(), findings);
        }
    }

    private static void motionLimit(
            String at, Clearance.MotionLimit limit, Restriction restriction, List<Finding> findings) {
        if (!restriction.scope().covers(limit.motion())
                || Catalogue.motion(limit.motion()).isEmpty()) {
            block(findings, at + ".motion", "motion-of-another-joint", "A motion of the joint that is cleared.");
        }
        if (!(limit.degrees() >= -30 && limit.degrees() <= 200)) {
            findings.add(Finding.blocking(at + ".degrees", "out-of-bounds", 200.0, "°", "Between −30 and 200°."));
        }
    }

    private static void joint(List<Finding> findings, String path, String joint) {
        if (!joints().contains(joint)) {
            block(findings, path, "unknown-joint", "Pick a joint of the list.");
        }
    }

    private static void past(
            List<Finding> findings,
            String path,
            @Nullable LocalDate day,
            @Nullable LocalDate birthDate,
            LocalDate today) {
        if (day != null && day.isAfter(today)) {
            block(findings, path, "in-the-future", "This lies in the future.");
        } else if (day != null && birthDate != null && day.isBefore(birthDate)) {
            block(findings, path, "before-birth", "This lies before the birth date.");
        }
    }

    private static void block(List<Finding> findings, String path, String code, String message) {
        findings.add(Finding.blocking(path, code, null, "", message));
    }
}
