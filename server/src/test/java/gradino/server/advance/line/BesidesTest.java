package gradino.server.advance.line;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.Beside;
import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.server.Scene;
import gradino.server.TestServer;
import gradino.server.intake.ClientRepository;
import gradino.server.prescribe.program.LineRepository;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Sessions of other lines are remembered for as long as they lie in the time that is looked at. */
public class BesidesTest {
    private TestServer server;
    private Instant first;
    private Instant second;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        var scene = new Scene(server).client().measured(36, 30).prescribed();
        scene.eveningOf(scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "contract-relax-linger"));
        // Nothing moves the clock within a session: it ends as it begins.
        first = server.clock.instant();
        scene.cleanRun("first");
        second = server.clock.instant();
        scene.cleanRun("second");
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private int since(Instant since) {
        var line = server.bean(LineRepository.class).of(Scene.CLIENT).stream()
                .filter(l -> l.id().equals(Scene.LINE))
                .findFirst()
                .orElseThrow();
        var stamps = server.bean(ClientRepository.class).stamps(List.of(Scene.CLIENT));
        Beside beside = Objects.requireNonNull(
                server.bean(Besides.class).of(List.of(line), stamps, since).get(Scene.LINE));
        return beside.count(Side.LEFT, EffortClass.values()[0]);
    }

    @Test
    public void aSessionThatGrewTooOldIsForgottenAndOneLookedBackAtIsThereAgain() {
        assertThat(since(first.minusSeconds(2))).isEqualTo(2);
        assertThat(since(first.minusSeconds(1))).isEqualTo(2);
        assertThat(since(first)).isEqualTo(1);
        assertThat(since(second)).isZero();
        assertThat(since(first.minusSeconds(1))).isEqualTo(2);
    }
}
