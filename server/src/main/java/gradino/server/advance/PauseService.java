package gradino.server.advance;

import gradino.core.advance.state.Event.PauseKind;
import gradino.server.advance.line.PauseRepository;
import gradino.server.advance.line.PauseRepository.StoredPause;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Illness and time away: nothing is decided meanwhile, and what follows knows of it. */
@Service
class PauseService {
    private static final int LONGEST_ID = 64;
    private static final int LONGEST_DAYS = 730;

    private final PauseRepository pauses;
    private final ClientService clients;
    private final Clock clock;

    PauseService(PauseRepository pauses, ClientService clients, Clock clock) {
        this.pauses = pauses;
        this.clients = clients;
        this.clock = clock;
    }

    /** @param until the first day of training again; null while it lasts */
    record Pause(PauseKind kind, LocalDate from, @Nullable LocalDate until, String note) {}

    @Transactional(readOnly = true)
    List<StoredPause> of(String clientId) {
        clients.get(clientId);
        return pauses.of(List.of(clientId));
    }

    /** A later one of the same id corrects an earlier one. */
    @Transactional
    List<StoredPause> keep(String clientId, String pauseId, Pause pause) {
        clients.get(clientId);
        boolean another =
                pauses.clientOf(pauseId).filter(c -> !c.equals(clientId)).isPresent();
        if (another || pauseId.length() > LONGEST_ID) {
            throw Problem.nothingHere();
        }
        check(pause, LocalDate.now(clock));
        pauses.add(new StoredPause(
                pauseId,
                clientId,
                pause.kind(),
                pause.from(),
                pause.until(),
                pause.note().strip(),
                StudioClock.now(clock)));
        return pauses.of(List.of(clientId));
    }

    private static void check(Pause pause, LocalDate today) {
        if (pause.from().isBefore(today.minusDays(LONGEST_DAYS))
                || pause.from().isAfter(today.plusDays(LONGEST_DAYS))) {
            throw Problem.invalid("from", "out-of-bounds", "Within two years of today.");
        }
        if (pause.until() != null && pause.until().isBefore(pause.from())) {
            throw Problem.invalid("until", "before-start", "A pause cannot end before it begins.");
        }
    }
}
