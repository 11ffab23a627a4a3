package gradino.server.advance.line;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gradino.core.advance.Advance;
import gradino.core.advance.state.Event.Answer;
import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import gradino.server.advance.line.DecisionRepository.StoredDecision;
import gradino.server.advance.line.Known.Folded;
import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.platform.InMemory;
import gradino.server.platform.Problem;
import gradino.server.platform.StorageException;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineHistory;
import gradino.server.prescribe.program.LineRepository;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The one door to what is known of a line: gathered, folded, and kept until its client's stamp changes. Pages look at all of
 * them again and again.
 */
@Component
public class LineDoor implements LineHistory, InMemory {
    /** Lines that are gathered together: more would not fit into a small memory with all that was logged of them. */
    private static final int AT_ONCE = 40;

    private static final int MOST_SESSIONS = 80_000;

    private final ClientRepository clients;
    private final LineRepository lines;
    private final Gathering gathering;
    private final ClientSide clientSide;
    private final DecisionRepository decisions;
    private final PolicyService policies;
    private final Clock clock;
    private final Cache<String, Folded> kept = Caffeine.newBuilder()
            .maximumWeight(MOST_SESSIONS)
            .weigher((String line, Folded folded) -> 1 + folded.sessions())
            .build();

    LineDoor(
            ClientRepository clients,
            LineRepository lines,
            Gathering gathering,
            ClientSide clientSide,
            DecisionRepository decisions,
            PolicyService policies,
            Clock clock) {
        this.clients = clients;
        this.lines = lines;
        this.gathering = gathering;
        this.clientSide = clientSide;
        this.decisions = decisions;
        this.policies = policies;
        this.clock = clock;
    }

    @Override
    public Policy policy() {
        return policies.current();
    }

    @Override
    public Known of(Collection<Client> clients, Collection<Line> lines) {
        return at(StudioClock.moment(clock), clients, lines);
    }

    /** One line, which may have ended, beside the others of its client. */
    public Known of(Line line) {
        return at(StudioClock.moment(clock), line);
    }

    /** All lines of a client, as they were known at another moment. */
    public Known at(Moment moment, String clientId) {
        return at(moment, List.of(client(clientId)), lines.of(clientId));
    }

    private Known at(Moment moment, Line line) {
        var all = new LinkedHashMap<String, Line>();
        lines.of(line.clientId()).stream()
                .filter(other -> Known.isBeside(line, other))
                .forEach(other -> all.put(other.id(), other));
        all.putIfAbsent(line.id(), line);
        return at(moment, List.of(client(line.clientId())), List.copyOf(all.values()));
    }

    private Client client(String id) {
        return clients.find(id).orElseThrow(() -> Problem.notFound("client"));
    }

    private Known at(Moment moment, Collection<Client> clients, Collection<Line> lines) {
        var policy = policies.current();
        var stamps = this.clients.stamps(clients.stream().map(Client::id).toList());
        var facts = clientSide.of(clients, lines, stamps, moment);
        var found = new HashMap<String, Supplier<Folded>>();
        Function<Line, Optional<Folded>> known = line -> Optional.ofNullable(kept.getIfPresent(line.id()))
                .filter(f -> f.holds(stamp(stamps, line), policy.noise(), moment));
        var changed = unknown(lines, known, found);
        for (int from = 0; from < changed.size(); from += AT_ONCE) {
            // Somebody else may have looked at them meanwhile.
            var some = unknown(changed.subList(from, Math.min(changed.size(), from + AT_ONCE)), known, found);
            if (!some.isEmpty()) {
                var gathered = gathering.of(some, facts, moment);
                found.putAll(some.parallelStream()
                        .collect(Collectors.toConcurrentMap(
                                Line::id, line -> folded(line, gathered, stamp(stamps, line), policy))));
            }
        }
        return new Known(lines, found, facts, policy, moment, true);
    }

    /** Those that are not known; the others are put to what is found. */
    private static List<Line> unknown(
            Collection<Line> lines, Function<Line, Optional<Folded>> known, Map<String, Supplier<Folded>> found) {
        var unknown = new ArrayList<Line>();
        for (var line : lines) {
            known.apply(line).ifPresentOrElse(f -> found.put(line.id(), () -> f), () -> unknown.add(line));
        }
        return unknown;
    }

    private static long stamp(Map<String, Long> stamps, Line line) {
        return stamps.getOrDefault(line.clientId(), 0L);
    }

    /** Folded at once, so that what was read may be forgotten; what goes wrong is told to whoever asks for that line. */
    private Supplier<Folded> folded(Line line, Map<String, Supplier<Inputs>> gathered, long stamp, Policy policy) {
        try {
            var inputs = Objects.requireNonNull(gathered.get(line.id())).get();
            var folded = Folded.of(inputs, stamp, policy);
            kept.put(line.id(), folded);
            return () -> folded;
        } catch (StorageException theDatabaseItself) {
            throw theDatabaseItself;
        } catch (RuntimeException e) {
            return () -> {
                throw e;
            };
        }
    }

    /** All that a line is judged by now, to be stored with what comes of it. */
    public Inputs inputs(Line line) {
        return inputs(line, StudioClock.moment(clock));
    }

    /** The same, as it would be judged at another moment. */
    public Inputs inputs(Line line, Moment moment) {
        var facts = clientSide.of(
                List.of(client(line.clientId())), List.of(line), clients.stamps(List.of(line.clientId())), moment);
        return Objects.requireNonNull(gathering.of(List.of(line), facts, moment).get(line.id()))
                .get()
                .beside(at(moment, line).rivals(line));
    }

    @Override
    public void edited(Line line, Side side, Dose before, Dose after, Instant at) {
        var decided = new DoseDecided(
                UUID.randomUUID().toString(), side, Answer.EDITED, Verdict.STAY, null, before, after, at, at);
        decisions.insert(new StoredDecision(
                line.id(), decided, "", null, null, policies.current().version(), Advance.ENGINE_VERSION, null));
    }

    @Override
    public void forget() {
        kept.invalidateAll();
    }
}
