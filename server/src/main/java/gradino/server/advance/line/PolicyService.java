package gradino.server.advance.line;

import gradino.core.advance.state.Policy;
import gradino.core.advance.state.PolicyCheck;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Source;
import gradino.core.because.Unit;
import gradino.server.advance.line.PolicyRepository.PolicyUse;
import gradino.server.advance.line.PolicyRepository.StoredPolicy;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.platform.Writes;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rules that steps are judged by: the house policy, and a studio's own copies of it. */
@Service
public class PolicyService {
    /** The id of what ships with Gradino. */
    public static final String HOUSE = "house";

    private static final int LONGEST_NAME = 60;

    private final PolicyRepository policies;
    private final Writes writes;
    private final Clock clock;
    private volatile @Nullable Known known;

    PolicyService(PolicyRepository policies, Writes writes, Clock clock) {
        this.policies = policies;
        this.writes = writes;
        this.clock = clock;
    }

    private record Known(long writes, Policy policy) {}

    /** What is judged by now; asked of the database again only after something was written. */
    public Policy current() {
        var known = this.known;
        long writes = this.writes.soFar();
        if (known == null || known.writes() != writes) {
            known = new Known(
                    writes, policies.inUse().map(PolicyService::policy).orElse(Policy.house()));
            this.known = known;
        }
        return known.policy();
    }

    /** The newest version of a policy. */
    @Transactional(readOnly = true)
    public Policy newest(String id) {
        return id.equals(HOUSE)
                ? Policy.house()
                : policies.newest(id).map(PolicyService::policy).orElseThrow(() -> Problem.notFound("policy"));
    }

    private static Policy policy(StoredPolicy stored) {
        return Policy.house().with(stored.id() + "-" + stored.version(), stored.values());
    }

    /** One threshold as it is shown. */
    public record Shown(
            Threshold threshold,
            String gate,
            String words,
            double value,
            double house,
            Unit unit,
            double min,
            double max,
            Source source) {}

    /**
     * A policy with all its numbers.
     *
     * @param version 0 for the house policy
     * @param label as stored decisions name it
     */
    public record PolicyView(
            String id,
            int version,
            String label,
            String name,
            String note,
            boolean inUse,
            @Nullable Instant recordedAt,
            List<Shown> thresholds) {}

    /** The newest version of every policy, the house policy first. */
    @Transactional(readOnly = true)
    public List<PolicyView> all() {
        var used = policies.inUse();
        var views = new ArrayList<PolicyView>();
        views.add(new PolicyView(
                HOUSE,
                0,
                Policy.house().version(),
                "House policy",
                "Ships with Gradino. Copy it to change a number.",
                used.isEmpty(),
                null,
                shown(Policy.house())));
        var newest = new LinkedHashMap<String, StoredPolicy>();
        policies.all().forEach(p -> newest.put(p.id(), p));
        for (var stored : newest.values()) {
            boolean inUse = used.filter(u -> u.id().equals(stored.id()) && u.version() == stored.version())
                    .isPresent();
            views.add(new PolicyView(
                    stored.id(),
                    stored.version(),
                    policy(stored).version(),
                    stored.name(),
                    stored.note(),
                    inUse,
                    stored.recordedAt(),
                    shown(policy(stored))));
        }
        return views;
    }

    private static List<Shown> shown(Policy policy) {
        return Arrays.stream(Threshold.values())
                .map(t -> {
                    var entry = policy.entry(t);
                    return new Shown(
                            t,
                            entry.gate(),
                            entry.words(),
                            entry.value(),
                            Policy.house().value(t),
                            entry.unit(),
                            entry.min(),
                            entry.max(),
                            entry.source());
                })
                .toList();
    }

    /** A policy as it is kept. */
    public record PolicyDraft(String name, String note, Map<Threshold, Double> values) {}

    /** Keeps a new version; the same numbers again are no new version. */
    @Transactional
    public List<PolicyView> keep(String id, PolicyDraft draft) {
        if (id.equals(HOUSE)) {
            throw Problem.conflict("house", "The house policy stays as it is: copy it under a name of your own.");
        }
        if (draft.name().isBlank() || draft.name().length() > LONGEST_NAME) {
            throw Problem.invalid("name", "required", "A name, up to %d letters.".formatted(LONGEST_NAME));
        }
        Problem.throwIfBlocking(PolicyCheck.check(Policy.house(), draft.values()));
        var values = new EnumMap<Threshold, Double>(Threshold.class);
        draft.values().forEach((t, v) -> {
            if (v != Policy.house().value(t)) {
                values.put(t, v);
            }
        });
        var before = policies.newest(id);
        var next = new StoredPolicy(
                id,
                before.map(b -> b.version() + 1).orElse(1),
                draft.name().strip(),
                draft.note().strip(),
                values,
                StudioClock.now(clock));
        if (before.filter(b -> same(b, next)).isEmpty()) {
            policies.add(next);
        }
        return all();
    }

    private static boolean same(StoredPolicy a, StoredPolicy b) {
        return a.name().equals(b.name())
                && a.note().equals(b.note())
                && a.values().equals(b.values());
    }

    /** From now on every proposal is judged by it. */
    @Transactional
    public List<PolicyView> use(String id) {
        var now = StudioClock.now(clock);
        if (id.equals(HOUSE)) {
            policies.use(new PolicyUse(null, null, now));
        } else {
            var chosen = policies.newest(id).orElseThrow(() -> Problem.notFound("policy"));
            policies.use(new PolicyUse(chosen.id(), chosen.version(), now));
        }
        return all();
    }
}
