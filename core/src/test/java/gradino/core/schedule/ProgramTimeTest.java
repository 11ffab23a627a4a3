package gradino.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.prescribe.SessionTest;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.schedule.week.Shared;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A day's plan and its session are the same seconds. */
public class ProgramTimeTest {
    /** Every method in every position that names it. */
    private static final List<LineDraft> ALL = all();

    private static List<LineDraft> all() {
        var lines = new ArrayList<LineDraft>();
        for (var position :
                Catalogue.positions().stream().filter(Position::trains).toList()) {
            for (var id : Optional.ofNullable(position.training()).orElseThrow().methods()) {
                var method = Method.byId(id).orElseThrow();
                lines.add(SessionTest.line("l" + lines.size(), position, method, method.firstBlocks(false)));
            }
        }
        return lines;
    }

    @DataProvider
    public Object[][] days() {
        var rows = new Object[200][];
        for (int seed = 0; seed < rows.length; seed++) {
            var random = new Random(seed);
            var program = new ArrayList<>(ALL);
            Collections.shuffle(program, random);
            rows[seed] = new Object[] {program.subList(0, 12), 1 + random.nextInt(6)};
        }
        return rows;
    }

    private static int compiled(SessionDraft session) {
        return Compiler.compile(SessionReader.read(session).plan().orElseThrow())
                .seconds();
    }

    private static int planned(ProgramTime time, List<LineDraft> day) {
        var shares =
                day.stream().flatMap(l -> time.shares(l).stream()).distinct().toList();
        return day.stream().mapToInt(time::seconds).sum()
                + time.shared().stream()
                        .filter(s -> shares.contains(s.key()))
                        .mapToInt(Shared::seconds)
                        .sum();
    }

    @Test(dataProvider = "days")
    public void thePlanAndTheCompiledSessionAgreeToTheSecond(List<LineDraft> program, int lines) {
        var time = new ProgramTime(program);
        var day = program.subList(0, lines);
        var session = time.session(day);
        assertThat(planned(time, day)).isEqualTo(compiled(session));
        assertThat(session.lines())
                .extracting(LineDraft::id)
                .containsExactlyInAnyOrderElementsOf(
                        day.stream().map(LineDraft::id).toList());
        // Each position is taken once.
        var positions = session.lines().stream().map(LineDraft::position).toList();
        for (int i = 1; i < positions.size(); i++) {
            if (!positions.get(i).equals(positions.get(i - 1))) {
                assertThat(positions.subList(0, i)).doesNotContain(positions.get(i));
            }
        }
    }

    /** What a session does in rounds stays together on its day. */
    @Test(dataProvider = "days")
    public void whatIsDoneInRoundsStaysTogetherToTheSecond(List<LineDraft> program, int rounds) {
        var ids = List.of(program.get(0).id(), program.get(1).id());
        var place = new Arrangement.Place(ids, rounds, 30, rounds % 2 == 0);
        var time = new ProgramTime(program, List.of(new Arrangement(List.of(), List.of(place))));
        var day = program.subList(0, 4);
        var session = time.session(day);
        assertThat(session.stations()).anyMatch(s -> s.lines().size() == 2 && s.rounds() == rounds);
        assertThat(planned(time, day)).isEqualTo(compiled(session));
    }
}
