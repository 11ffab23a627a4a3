package gradino.server.advance;

import gradino.server.advance.DecisionService.Decision;
import gradino.server.advance.DecisionService.PastDecision;
import gradino.server.advance.DecisionService.Proposals;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class DecisionController {
    private final DecisionService decisions;
    private final QueueService queue;

    DecisionController(DecisionService decisions, QueueService queue) {
        this.queue = queue;
        this.decisions = decisions;
    }

    @GetMapping("/api/lines/{lineId}/proposals")
    Proposals proposals(@PathVariable String lineId) {
        return decisions.proposals(lineId);
    }

    /** All that nobody has looked at yet. */
    @GetMapping("/api/decisions")
    QueueService.Queue waiting() {
        return queue.waiting();
    }

    /** Takes a decision back. */
    @DeleteMapping("/api/lines/{lineId}/decisions/{decisionId}")
    Proposals undo(@PathVariable String lineId, @PathVariable String decisionId) {
        return decisions.undo(lineId, decisionId);
    }

    @PostMapping("/api/lines/{lineId}/decisions")
    Proposals decide(@PathVariable String lineId, @RequestBody Decision decision) {
        return decisions.decide(lineId, decision);
    }

    record OtherMethod(String method) {}

    @PostMapping("/api/lines/{lineId}/method")
    Proposals changeMethod(@PathVariable String lineId, @RequestBody OtherMethod other) {
        return decisions.changeMethod(lineId, other.method());
    }

    @GetMapping("/api/lines/{lineId}/decisions")
    List<PastDecision> past(@PathVariable String lineId) {
        return decisions.past(lineId);
    }
}
