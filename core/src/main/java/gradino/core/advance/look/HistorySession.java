package gradino.core.advance.look;

import gradino.core.advance.state.Event;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** A session of a history file: the whole plan done to a share, with pains where the file says so. */
final class HistorySession {
    private final String id;
    private final Instant started;
    private final Plan plan;
    private final double share;
    private final Observer observer;
    private final List<Hurt> pains = new ArrayList<>();

    private record Hurt(@Nullable Side side, BlockKind in, Pain pain) {}

    private HistorySession(String id, Instant started, Plan plan, double share, Observer observer) {
        this.id = id;
        this.started = started;
        this.plan = plan;
        this.share = share;
        this.observer = observer;
    }

    static HistorySession begun(String id, Instant at, Plan plan, CSVRecord row) {
        double share = row.get("value").isBlank() ? 1 : Double.parseDouble(row.get("value"));
        if (!(share >= 0 && share <= 1)) {
            throw new IllegalArgumentException("the share done lies between 0 and 1");
        }
        var observer =
                row.get("detail").isBlank() ? Observer.COACH : Observer.valueOf(HistoryFile.upper(row.get("detail")));
        return new HistorySession(id, at, plan, share, observer);
    }

    void pain(CSVRecord row) {
        var words = row.get("detail").strip().split(" +");
        if (words.length != 2) {
            throw new IllegalArgumentException(
                    "pain says in which block and of which kind, as: press while_contracting");
        }
        var side = row.get("side").isBlank() ? null : Side.valueOf(HistoryFile.upper(row.get("side")));
        var score = PainScore.of(Integer.parseInt(row.get("value")));
        var kind = PainKind.valueOf(HistoryFile.upper(words[1]));
        pains.add(new Hurt(side, BlockKind.valueOf(HistoryFile.upper(words[0])), new Pain(score, kind, "")));
    }

    Event held() {
        var blocks = plan.timeline().phases().stream()
                .filter(p -> p.block() != BlockKind.SET_UP && p.block() != BlockKind.SIDE_CHANGE)
                .collect(Collectors.groupingBy(Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(this::done)
                .toList();
        var ended = started.plusSeconds(plan.seconds());
        var session = new SessionRecord(
                id, started, ended, observer, Sided.of(plan::dose), blocks, Tenths.of(5), null, null, "", List.of());
        return new Event.SessionHeld(session, ended);
    }

    private BlockRecord done(List<Timeline.Phase> phases) {
        var first = phases.get(0);
        int asked = phases.stream().mapToInt(p -> p.effortTo().value()).max().orElse(0);
        return new BlockRecord(
                first.blockId(),
                first.side(),
                first.block(),
                phases.stream()
                        .map(p -> new PhaseDone(p.kind(), p.seconds(), p.seconds() * share))
                        .toList(),
                first.block() == BlockKind.PRESS ? Tenths.of(Math.round(asked / 10f)) : null,
                List.of(),
                pains.stream()
                        .filter(h -> h.in() == first.block() && (h.side() == null || h.side() == first.side()))
                        .map(Hurt::pain)
                        .toList(),
                0,
                false,
                null,
                "",
                null);
    }
}
