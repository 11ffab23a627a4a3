package gradino.server.advance;

import gradino.core.advance.look.HistoryFile;
import gradino.core.advance.look.Why;
import gradino.server.advance.line.LineDoor;
import gradino.server.advance.line.PolicyService;
import gradino.server.platform.Problem;
import gradino.server.platform.Reads;
import gradino.server.prescribe.program.EachLine;
import gradino.server.prescribe.program.LineService;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The fold of a line, fact by fact: of a client's, or of a small history that is brought along and not kept. */
@RestController
class WhyController {
    private final LineDoor door;
    private final LineService lines;
    private final EachLine each;
    private final PolicyService policies;

    WhyController(LineDoor door, LineService lines, EachLine each, PolicyService policies) {
        this.door = door;
        this.lines = lines;
        this.each = each;
        this.policies = policies;
    }

    record SmallHistory(@Size(max = 200_000) String csv) {}

    @GetMapping("/api/lines/{lineId}/why")
    @Transactional(readOnly = true)
    public List<Why.Fact> ofLine(@PathVariable String lineId) {
        var line = lines.get(lineId);
        return each.required(line, () -> {
            var inputs = door.inputs(line);
            return Why.of(inputs.start(), inputs.events(), policies.current(), inputs.moment(), inputs::inTurn);
        });
    }

    /** Works it out by the policy in use and keeps nothing. */
    @Reads
    @PostMapping("/api/why")
    List<Why.Fact> ofFile(@Valid @RequestBody SmallHistory history) {
        try {
            return HistoryFile.read(history.csv()).explained(policies.current());
        } catch (IllegalArgumentException e) {
            throw Problem.invalid("csv", "unreadable", String.valueOf(e.getMessage()));
        }
    }
}
