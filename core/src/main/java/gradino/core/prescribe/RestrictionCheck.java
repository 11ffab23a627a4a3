package gradino.core.prescribe;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.intake.Limits;
import gradino.core.intake.Restriction;
import java.util.ArrayList;
import java.util.List;

/** What a client's restrictions say of a dose, wherever it comes from: a protocol, a proposal, an override, an import. */
public final class RestrictionCheck {
    private RestrictionCheck() {}

    /** @param at put before each finding's path */
    public static List<Finding> check(Limits limits, DoseChange change, String at) {
        var findings = new ArrayList<Finding>();
        var dose = change.wanted();
        limits.stopped()
                .ifPresent(r -> findings.add(block(at + "sets", "stopped", r, "Not until cleared in writing: ")));
        limits.effortCap()
                .filter(r -> dose.ceiling().value() > r.bound())
                .ifPresent(r -> findings.add(
                        block(at + "ceiling", "effort-cap", r, "Effort is capped at %.0f %%: ".formatted(r.bound()))));
        limits.noDeepening().filter(r -> change.goesDeeper()).ifPresent(r -> findings.add(deeper(at, change, r)));
        limits.angleCap(change.side())
                .filter(r -> dose.angle().value() > r.bound())
                .ifPresent(r -> findings.add(
                        block(at + "angle", "angle-cap", r, "No further than %.1f°: ".formatted(r.bound()))));
        limits.contractionCap()
                .filter(r -> change.longestContractionSeconds() > r.bound())
                .ifPresent(r -> findings.add(block(
                        at + "topHoldSeconds",
                        "contraction-cap",
                        r,
                        "A contraction of %d s is too long, shorten the steps or the hold: "
                                .formatted(change.longestContractionSeconds()))));
        limits.notLying()
                .filter(r -> isLying(change.plan()))
                .ifPresent(r -> findings.add(block(at + "angle", "not-lying", r, "Another position, not lying: ")));
        return findings;
    }

    private static boolean isLying(Plan plan) {
        return Catalogue.position(plan.position()).filter(Position::lying).isPresent();
    }

    private static Finding deeper(String at, DoseChange change, Restriction r) {
        double bound = change.held().orElseThrow().angle().value();
        return Finding.blocking(
                at + "angle", "no-deepening", bound, "°", "No deepening for this client: " + r.reason());
    }

    private static Finding block(String path, String code, Restriction r, String message) {
        return Finding.blocking(path, code, r.limit(), r.kind().unitText(), message + r.reason());
    }
}
