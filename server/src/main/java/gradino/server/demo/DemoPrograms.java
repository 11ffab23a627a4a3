package gradino.server.demo;

import gradino.core.advance.SessionStart;
import gradino.core.advance.state.Policy;
import gradino.core.body.Catalogue;
import gradino.core.body.Sided;
import gradino.core.measure.limit.GapLimit;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.quantity.UncertainAngle;
import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.measure.ColdSeries;
import gradino.server.measure.MeasurementRepository;
import gradino.server.measure.Ranges;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.Program;
import gradino.server.prescribe.program.Props;
import gradino.server.prescribe.program.SessionRepository.Saving;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** First programs of the invented clients, as the product suggests a first dose. */
@Component
class DemoPrograms {
    private final ClientRepository clients;
    private final MeasurementRepository measurements;
    private final Program program;

    DemoPrograms(ClientRepository clients, MeasurementRepository measurements, Program program) {
        this.clients = clients;
        this.measurements = measurements;
        this.program = program;
    }

    List<Line> open(DemoLife life, Instant at, ZoneId zone) {
        var client = clients.find(life.id()).orElseThrow();
        var row = new Ranges(client, NoiseBook.house(), GapLimit.HOUSE, at, zone)
                .of(ColdSeries.of(measurements.of(life.id())), life.motion(), life.position(), life.instrument())
                .orElseThrow();
        var course = life.course();
        var drafts = new ArrayList<LineDraft>();
        var wish = wish(client, life.motion(), life.position(), at, zone, Sided.of(row::passive));
        drafts.add(first(client, wish, course.method(), life.id() + "-line"));
        if (course.also() != null) {
            var also = course.also();
            var other = wish(client, also.motion(), also.position(), at, zone, Sided.both(Optional.empty()));
            drafts.add(first(client, other, also.method(), life.id() + "-line-2"));
        }
        var lines = drafts.stream()
                .map(d -> program.open(life.id(), d.id(), Plan.of(d), null, at))
                .toList();
        var stations = drafts.stream().map(StationDraft::of).toList();
        var arranged = Arrangement.of(new SessionDraft(List.of(), stations));
        program.keep(new Saving(life.id() + "-daily", life.id(), null, course.session(), arranged, at));
        return lines;
    }

    private static SessionStart.Wish wish(
            Client client,
            String motion,
            String position,
            Instant at,
            ZoneId zone,
            Sided<Optional<UncertainAngle>> passive) {
        return new SessionStart.Wish(
                Catalogue.motion(motion).orElseThrow(),
                Catalogue.position(position).orElseThrow(),
                Sided.both(Limiter.RANGE),
                passive,
                client.limits(motion, at, zone),
                false,
                Experience.NEWCOMER);
    }

    private static LineDraft first(Client client, SessionStart.Wish wish, String method, String id) {
        var grid = Props.grid(client, wish.position().id());
        var asked = new SessionStart.Asked(
                List.of(), List.of(), null, (position, angle) -> grid.roundDown(angle), Policy.house());
        return SessionStart.line(wish, asked, Method.byId(method), id);
    }
}
