package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.look.Flight;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.because.Words;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.reading.PropGrid;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.Tenths;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every method in every position that names it, whatever its sides, however long nobody came: there is a judgement, never a failure. */
public class EveryLineIsJudgedTest {
    private static final int[] DAYS_AWAY = {0, 15, 30, 60, 400};
    private static final Moment NOW = new Moment(Story.NOW, ZoneOffset.UTC);
    private static final ClientFacts CLIENT = new ClientFacts(Limits.NONE, false, null, 45.0, null, null, null);
    private static final ClientFacts HYPERMOBILE = new ClientFacts(Limits.NONE, true, null, 45.0, null, null, null);

    /** On which sides, and which of them has blocks. */
    private enum Shape {
        LEFT(SideOrder.LEFT, true, false),
        RIGHT(SideOrder.RIGHT, false, true),
        MIDLINE(SideOrder.MIDLINE, true, false),
        BOTH(SideOrder.ONE_AFTER_OTHER, true, true),
        TWICE(SideOrder.FIRST_TWICE, true, true),
        TURNS(SideOrder.ALTERNATING, true, true),
        TOGETHER(SideOrder.TOGETHER, true, false),
        EMPTY_RIGHT(SideOrder.ONE_AFTER_OTHER, true, false),
        EMPTY_LEFT(SideOrder.ALTERNATING, false, true);

        private final SideOrder sides;
        private final boolean left;
        private final boolean right;

        Shape(SideOrder sides, boolean left, boolean right) {
            this.sides = sides;
            this.left = left;
            this.right = right;
        }

        boolean has(Side side) {
            return side == Side.LEFT ? left : right;
        }
    }

    @DataProvider
    public Object[][] places() {
        var places = new ArrayList<Object[]>();
        for (var position : Catalogue.positions()) {
            for (var method : Method.shipped()) {
                var training = position.training();
                if (training != null && training.methods().contains(method.id())) {
                    places.add(new Object[] {method, position});
                }
            }
        }
        assertThat(places).hasSizeGreaterThan(200);
        return places.toArray(Object[][]::new);
    }

    @Test(dataProvider = "places")
    public void hasAProposalOnEachSideThatItTrains(Method method, Position position) {
        for (var shape : Shape.values()) {
            var plan = plan(method, position, shape);
            var done = Story.done(plan);
            assertThat(plan.trained()).allMatch(shape::has).isNotEmpty();
            for (int away : DAYS_AWAY) {
                judged(lived(plan, done, CLIENT, away), shape, away);
            }
            if (shape == Shape.BOTH) {
                judged(lived(plan, done, HYPERMOBILE, 0), shape, 0);
            }
        }
    }

    /** The side that has nothing is asked as well: pages and records do. */
    private static void judged(LineState state, Shape shape, int away) {
        for (var side : Side.PAIR) {
            var proposal = Advance.propose(state, side, Policy.house(), NOW);
            assertThat(proposal.to().hasBlocks()).isEqualTo(shape.has(side));
            proposal.reasons().forEach(Words::requireComplete);
            assertThat(Flight.of(state, side, Policy.house())).isNotEmpty();
            if (!shape.has(side)) {
                assertThat(proposal.verdict()).isEqualTo(Verdict.STAY);
            } else if (away >= 60) {
                // Where it is done as it begun there is nothing to lower.
                assertThat(proposal.verdict()).isEqualTo(proposal.changesDose() ? Verdict.STEP_DOWN : Verdict.STAY);
                assertThat(proposal.requests()).contains(Because.of(Reason.ASK_REMEASURE));
                assertThat(proposal.to().ceiling())
                        .isLessThanOrEqualTo(proposal.from().ceiling());
            }
        }
    }

    private static Plan plan(Method method, Position position, Shape shape) {
        var blocks = method.firstBlocks(false);
        List<BlockDraft> none = List.of();
        return Plan.of(new LineDraft(
                "l",
                position.motions().get(0),
                position.id(),
                method.id(),
                shape.sides,
                Side.LEFT,
                Sided.both(30.0),
                shape.left ? blocks : none,
                shape.right ? blocks : none,
                20,
                10,
                3,
                "one side only",
                null));
    }

    /** Five clean sessions, the last one so many days ago. */
    private static LineState lived(Plan plan, List<BlockRecord> done, ClientFacts client, int away) {
        var events = new ArrayList<Event>();
        for (int i = 0; i < 5; i++) {
            double daysAgo = away + 12.5 - 3 * i;
            var started = Story.daysAgo(daysAgo);
            var session = Story.held("s" + i, started, Observer.COACH, plan.doses(), done);
            events.add(new Event.SessionHeld(session, session.endedAt()));
            var morning = Story.daysAgo(daysAgo - 0.4);
            events.add(Event.MorningAnswered.first(session.id(), true, Tenths.of(1), morning, morning));
        }
        return LineState.fold(LineState.open(plan, new PropGrid.AngleStep(0.5), client), events, NoiseRules.HOUSE);
    }
}
