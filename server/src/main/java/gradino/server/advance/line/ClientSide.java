package gradino.server.advance.line;

import gradino.core.advance.state.Beside;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Threshold;
import gradino.core.body.Catalogue;
import gradino.core.effort.Gravity;
import gradino.core.effort.Limb;
import gradino.core.measure.limit.GapLimit;
import gradino.core.measure.limit.LimiterReason.Wanted;
import gradino.server.intake.Client;
import gradino.server.measure.NoiseService;
import gradino.server.measure.Ranges;
import gradino.server.platform.Problem;
import gradino.server.prescribe.compose.LineSets;
import gradino.server.prescribe.program.Line;
import java.time.Duration;
import java.util.Collection;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What of a client bears on their lines; never kept as a whole, because it changes with the day. */
@Component
class ClientSide {
    private static final int LONGEST_INTERVAL_DAYS = 7;

    private final NoiseService noise;
    private final Besides besides;
    private final PolicyService policies;
    private final PlannedDays planned;

    ClientSide(NoiseService noise, Besides besides, PolicyService policies, PlannedDays planned) {
        this.planned = planned;
        this.noise = noise;
        this.besides = besides;
        this.policies = policies;
    }

    /** @param stamps of the clients, read before anything else of them */
    Facts of(Collection<Client> clients, Collection<Line> lines, Map<String, Long> stamps, Moment moment) {
        int days = policies.current().whole(Threshold.GAP_NEWCOMER_DAYS) + LONGEST_INTERVAL_DAYS;
        var beside = besides.of(lines, stamps, moment.instant().minus(Duration.ofDays(days)));
        return new Facts(
                clients.stream().collect(Collectors.toMap(Client::id, Function.identity())),
                noise.gapLimit(),
                beside,
                planned.ofWeek(clients.stream().map(Client::id).toList(), moment.day(moment.instant())),
                moment);
    }

    /** As read at a moment. */
    record Facts(
            Map<String, Client> clients,
            GapLimit gap,
            Map<String, Beside> beside,
            Map<String, Integer> plannedDays,
            Moment moment) {
        Client client(Line line) {
            var client = clients.get(line.clientId());
            if (client == null) {
                throw Problem.notFound("client");
            }
            return client;
        }

        /** @param minutes that the line has; null when not said */
        ClientFacts of(Line line, @Nullable Integer minutes) {
            var client = client(line);
            var day = moment.day(moment.instant());
            var wanted = Ranges.wanted(client, line.motion(), line.position(), day);
            return new ClientFacts(
                    client.limits(line.motion(), moment.instant(), moment.zone()),
                    client.intake().hypermobile(day),
                    minutes,
                    wanted.map(Wanted::degrees).orElse(null),
                    client.goalFor(line.motion()).orElse(null),
                    wanted.map(Wanted::flagAboveDegrees).orElse(null),
                    gap,
                    limb(client, line),
                    beside.getOrDefault(line.id(), Beside.NONE),
                    plannedDays.get(line.id()));
        }

        /** What a load hangs on. */
        private static @Nullable Gravity limb(Client client, Line line) {
            return Catalogue.position(line.position()).stream()
                    .flatMap(p -> LineSets.heldUp(client, p, line.motion()).stream())
                    .map(Limb::gravity)
                    .findFirst()
                    .orElse(null);
        }
    }
}
