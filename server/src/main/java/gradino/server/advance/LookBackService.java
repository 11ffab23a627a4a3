package gradino.server.advance;

import gradino.core.advance.Change;
import gradino.core.advance.look.Backtest;
import gradino.core.advance.look.Backtest.Parting;
import gradino.core.advance.look.Flight;
import gradino.core.advance.look.Rehearsal;
import gradino.core.because.Verdict;
import gradino.core.body.Sided;
import gradino.server.account.people.SignedIn;
import gradino.server.advance.line.DecisionRepository;
import gradino.server.advance.line.DecisionRepository.StoredDecision;
import gradino.server.advance.line.LineDoor;
import gradino.server.advance.line.PolicyService;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.platform.Heavy;
import gradino.server.platform.Json;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.program.EachLine;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.LineService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The flight of a line, another policy over what was recorded, and invented clients through a plan. */
@Service
public class LookBackService {
    /** More would be no list that anybody reads; the file holds all. */
    private static final int MOST_SHOWN = 500;

    private static final int MOST_CASTS = 8;

    private final ClientService clients;
    private final LineService lines;
    private final LineRepository lineRows;
    private final LineDoor door;
    private final EachLine each;
    private final DecisionRepository decisions;
    private final PolicyService policies;
    private final Json json;
    private final Heavy heavy;
    private final SignedIn signedIn;
    private final TransactionTemplate reading;
    private final Clock clock;

    LookBackService(
            ClientService clients,
            LineService lines,
            LineRepository lineRows,
            LineDoor door,
            EachLine each,
            DecisionRepository decisions,
            PolicyService policies,
            Json json,
            Heavy heavy,
            SignedIn signedIn,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.clients = clients;
        this.lines = lines;
        this.lineRows = lineRows;
        this.door = door;
        this.each = each;
        this.decisions = decisions;
        this.policies = policies;
        this.json = json;
        this.heavy = heavy;
        this.signedIn = signedIn;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
        this.clock = clock;
    }

    /**
     * A rung with its words.
     *
     * @param changes of the dose; empty for the first one
     * @param why what the proposal said; empty for the first dose and where nothing was proposed
     * @param reason what the coach said
     */
    public record RungView(Flight.Rung rung, List<Change> changes, String why, String reason) {}

    /** Both sides of a line. */
    public record FlightView(Sided<List<RungView>> sides) {}

    @Transactional(readOnly = true)
    public FlightView flight(String lineId) {
        var line = lines.get(lineId);
        var policy = policies.current();
        var state = each.required(line, () -> door.of(line).state(line));
        var kept = decisions.of(lineId).stream()
                .collect(Collectors.toMap(d -> d.decided().id(), Function.identity()));
        return new FlightView(Sided.of(side -> Flight.of(state, side, policy).stream()
                .map(rung -> view(rung, rung.decisionId() == null ? null : kept.get(rung.decisionId())))
                .toList()));
    }

    private RungView view(Flight.Rung rung, @Nullable StoredDecision decision) {
        var changes = Change.between(rung.before(), rung.after());
        if (decision == null) {
            return new RungView(rung, changes, "", "");
        }
        var proposal = decision.proposal();
        return new RungView(rung, changes, proposal == null ? "" : json.text(proposal, "/why/text"), decision.reason());
    }

    /** A state in which two policies part. */
    public record ClientParting(String clientId, String clientName, String lineId, String motion, Parting parting) {}

    /** How often one verdict became another. */
    public record TurnCount(Verdict one, Verdict other, int count) {}

    /**
     * Another policy over what was recorded.
     *
     * @param states looked at
     * @param unjudged lines that could not be
     * @param differences of all lines; {@code shown} holds the newest of them
     */
    public record BacktestView(
            String one,
            String other,
            int lines,
            int states,
            int unjudged,
            int differences,
            List<TurnCount> turns,
            List<ClientParting> shown) {}

    /**
     * @param policyId the other policy; the one in use is the one it is held against
     * @param wanted ids of clients; empty for all
     */
    public BacktestView backtest(String policyId, List<String> wanted) {
        var run = run(policyId, wanted);
        var turns = new TreeMap<String, TurnCount>();
        for (var parting : run.partings()) {
            var one = parting.parting().one().verdict();
            var other = parting.parting().other().verdict();
            turns.merge(
                    one + " " + other,
                    new TurnCount(one, other, 1),
                    (a, b) -> new TurnCount(one, other, a.count() + b.count()));
        }
        var newest = run.partings().stream()
                .sorted(Comparator.comparing((ClientParting p) -> p.parting().at())
                        .reversed())
                .limit(MOST_SHOWN)
                .toList();
        return new BacktestView(
                policies.current().version(),
                policies.newest(policyId).version(),
                run.lines(),
                run.states(),
                run.unjudged(),
                run.partings().size(),
                List.copyOf(turns.values()),
                newest);
    }

    record Run(int lines, int states, int unjudged, List<ClientParting> partings) {}

    /** Every difference, client by client in the order of time. What is read is read line by line; nothing is held meanwhile. */
    Run run(String policyId, List<String> wanted) {
        return heavy.runAnew(signedIn.who(), "backtest", work -> run(policyId, wanted, work));
    }

    private Run run(String policyId, List<String> wanted, Heavy.Work work) {
        var one = policies.current();
        var other = policies.newest(policyId);
        var now = StudioClock.moment(clock);
        var found = new ArrayList<ClientParting>();
        int states = 0;
        int unjudged = 0;
        var asked = read(() -> asked(wanted));
        for (int n = 0; n < asked.size(); n++) {
            work.step(n, asked.size());
            var line = asked.get(n).line();
            var tried = each.tried(line, () -> {
                var inputs = read(() -> door.inputs(line, now));
                return Backtest.of(inputs.start(), inputs.events(), now, one, other);
            });
            var result = tried.value();
            if (result == null) {
                unjudged++;
                continue;
            }
            states += result.states();
            var client = asked.get(n).client();
            result.differences()
                    .forEach(d -> found.add(
                            new ClientParting(client.id(), client.details().name(), line.id(), line.motion(), d)));
        }
        return new Run(asked.size() - unjudged, states, unjudged, found);
    }

    private record Asked(Client client, Line line) {}

    private List<Asked> asked(List<String> wanted) {
        return clients.mine().stream()
                .filter(c -> wanted.isEmpty() || wanted.contains(c.id()))
                .flatMap(c -> lineRows.of(c.id()).stream().map(line -> new Asked(c, line)))
                .toList();
    }

    private <T> T read(Supplier<T> reading) {
        return this.reading.execute(status -> reading.get());
    }

    /** Who lives through which policy. */
    public record RehearsalDraft(String policyId, List<Rehearsal.Cast> casts) {}

    /** One invented life. */
    public record Life(Rehearsal.Cast cast, List<Rehearsal.Week> weeks) {}

    /** An invented model, for understanding rules: not a forecast of a person. */
    public List<Life> rehearse(RehearsalDraft draft) {
        if (draft.casts().isEmpty() || draft.casts().size() > MOST_CASTS) {
            throw Problem.invalid("casts", "out-of-bounds", "One to " + MOST_CASTS + " clients at once.");
        }
        var policy = policies.newest(draft.policyId());
        return heavy.runAnew(signedIn.who(), "rehearsal", work -> {
            var lives = new ArrayList<Life>();
            for (var cast : draft.casts()) {
                work.step(lives.size(), draft.casts().size());
                lives.add(new Life(cast, Rehearsal.of(cast, policy)));
            }
            return lives;
        });
    }
}
