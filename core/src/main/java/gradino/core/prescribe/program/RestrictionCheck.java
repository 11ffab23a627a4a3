package gradino.core.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.intake.Limits;
import gradino.core.intake.Restriction;
import java.util.ArrayList;
import java.util.List;

/** What a client's restrictions say of a dose, wherever it comes from: a protocol, a proposal, an override, an import. */
final class RestrictionCheck {
    private RestrictionCheck() {}

    static List<Finding> check(Limits limits, Demand demand) {
        var findings = new ArrayList<Finding>();
        var at = demand.at();
        limits.stopped()
                .ifPresent(r -> findings.add(block(at.whole(), "stopped", r, "Not until cleared in writing: ")));
        limits.effortCap()
                .filter(r -> demand.peakEffort() > r.bound())
                .ifPresent(r -> findings.add(
                        block(at.effort(), "effort-cap", r, "Effort is capped at %.0f %%: ".formatted(r.bound()))));
        limits.noDeepening().filter(r -> demand.goesDeeper()).ifPresent(r -> findings.add(deeper(demand, r)));
        limits.angleCap(demand.side())
                .filter(r -> demand.angle().filter(a -> a.value() > r.bound()).isPresent())
                .ifPresent(r -> findings.add(
                        block(at.angle(), "angle-cap", r, "No further than %.1f°: ".formatted(r.bound()))));
        limits.contractionCap()
                .filter(r -> demand.longestContraction() > r.bound())
                .ifPresent(r -> findings.add(block(
                        at.contraction(),
                        "contraction-cap",
                        r,
                        "A contraction of %d s is too long, shorten the steps or the hold: "
                                .formatted(demand.longestContraction()))));
        limits.notLying()
                .filter(r -> demand.lying())
                .ifPresent(r -> findings.add(block(at.angle(), "not-lying", r, "Another position, not lying: ")));
        limits.noReleasePressure()
                .filter(r -> demand.release())
                .ifPresent(
                        r -> findings.add(block(at.release(), "no-release-pressure", r, "No pressing with a tool: ")));
        return findings;
    }

    private static Finding deeper(Demand demand, Restriction r) {
        double bound = demand.held().orElseThrow().value();
        return Finding.blocking(
                demand.at().angle(), "no-deepening", bound, "°", "No deepening for this client: " + r.reason());
    }

    private static Finding block(String path, String code, Restriction r, String message) {
        return Finding.blocking(path, code, r.limit(), r.kind().unitText(), message + r.reason());
    }
}
