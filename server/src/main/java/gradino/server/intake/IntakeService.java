package gradino.server.intake;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.intake.Clearance;
import gradino.core.intake.Intake;
import gradino.core.intake.IntakeCheck;
import gradino.core.intake.Restriction;
import gradino.core.intake.RestrictionKind;
import gradino.core.intake.Scope;
import gradino.core.intake.Screening;
import gradino.core.quantity.OutOfBoundsException;
import gradino.server.intake.IntakeRepository.AddedRestriction;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.intake.IntakeRepository.StoredScreening;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Screens clients, adds restrictions and takes clearances. What follows from them is core's {@link Intake}. */
@Service
public class IntakeService {
    private final IntakeRepository intakes;
    private final ClientService clients;
    private final Clock clock;

    IntakeService(IntakeRepository intakes, ClientService clients, Clock clock) {
        this.intakes = intakes;
        this.clients = clients;
        this.clock = clock;
    }

    /** What a screening would lead to, while it is answered. */
    record ScreeningPreview(List<Restriction> restrictions, List<Finding> findings) {}

    @Transactional(readOnly = true)
    ScreeningPreview preview(String clientId, Answers answers) {
        var client = clients.get(clientId);
        var screening = answers.at(StudioClock.now(clock));
        var findings = IntakeCheck.check(screening, client.details().birthDate(), LocalDate.now(clock));
        var intake = client.intake();
        var then = new Intake(screening, intake.birthDate(), intake.noted(), intake.added(), intake.clearances());
        return new ScreeningPreview(then.restrictions(StudioClock.now(clock), clock.getZone()), findings);
    }

    @Transactional
    ClientFile screen(String clientId, String id, Answers answers) {
        var client = clients.get(clientId);
        var now = StudioClock.now(clock);
        var screening = answers.at(now);
        Problem.throwIfBlocking(IntakeCheck.check(screening, client.details().birthDate(), LocalDate.now(clock)));
        intakes.add(new StoredScreening(id, clientId, screening, now));
        return clients.file(clientId);
    }

    @Transactional(readOnly = true)
    @Nullable
    Screening newest(String clientId) {
        return clients.get(clientId).intake().screening();
    }

    /**
     * A restriction a coach adds: tightening is free.
     *
     * @param id made by the device
     */
    record Added(
            String id,
            RestrictionKind kind,
            Scope scope,
            @Nullable Double limit,
            String reason) {}

    @Transactional
    ClientFile add(String clientId, Added added) {
        clients.get(clientId);
        Problem.throwIfBlocking(check(added));
        var now = StudioClock.now(clock);
        var restriction =
                IntakeRepository.ofCoach(added.id(), added.kind(), added.scope(), added.limit(), added.reason(), now);
        intakes.add(new AddedRestriction(clientId, restriction, now));
        return clients.file(clientId);
    }

    private static List<Finding> check(Added added) {
        var findings = new ArrayList<Finding>();
        if (added.reason().isBlank() || added.reason().length() > 500) {
            block(findings, "reason", "required", "Say why: the reason is shown wherever this applies.");
        }
        if (added.kind().hasLimit() && added.limit() == null) {
            block(findings, "limit", "required", "Up to where? A number is needed.");
        } else if (!added.kind().hasLimit() && added.limit() != null) {
            block(findings, "limit", "no-limit", "This kind has no number.");
        } else if (added.limit() != null) {
            try {
                OutOfBoundsException.require(
                        "limit",
                        added.limit(),
                        added.kind().lowestLimit(),
                        added.kind().highestLimit(),
                        added.kind().unitText());
            } catch (OutOfBoundsException e) {
                findings.add(Finding.outOfBounds("limit", e));
            }
        }
        scope(added.scope(), findings);
        return findings;
    }

    private static void scope(Scope scope, List<Finding> findings) {
        if (scope.motion() != null && Catalogue.motion(scope.motion()).isEmpty()) {
            block(findings, "scope.motion", "unknown-motion", "Pick a motion of the list.");
        }
        for (int i = 0; i < scope.joints().size(); i++) {
            if (!IntakeCheck.joints().contains(scope.joints().get(i))) {
                block(findings, "scope.joints[" + i + "]", "unknown-joint", "Pick a joint of the list.");
            }
        }
    }

    private static void block(List<Finding> findings, String path, String code, String message) {
        findings.add(Finding.blocking(path, code, null, "", message));
    }

    @Transactional
    ClientFile clear(String clientId, String id, Clearance clearance) {
        var client = clients.get(clientId);
        var now = StudioClock.now(clock);
        var standing = client.restrictions(now, clock.getZone());
        var known = intakes.clearances(List.of(clientId)).stream().anyMatch(c -> c.id().equals(id));
        if (!known) {
            Problem.throwIfBlocking(IntakeCheck.check(clearance, standing, LocalDate.now(clock)));
            intakes.add(new StoredClearance(id, clientId, clearance, now, now));
        }
        return clients.file(clientId);
    }

    @Transactional(readOnly = true)
    List<StoredClearance> clearances(String clientId) {
        clients.get(clientId);
        return intakes.clearances(List.of(clientId));
    }
}
