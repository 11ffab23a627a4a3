package gradino.server.advance;

import gradino.server.advance.DecisionService.Decision;
import gradino.server.advance.DecisionService.Kept;
import gradino.server.advance.DecisionService.Proposals;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class DecisionController {
    private final DecisionService decisions;

    DecisionController(DecisionService decisions) {
        this.decisions = decisions;
    }

    @GetMapping("/api/lines/{lineId}/proposals")
    Proposals proposals(@PathVariable String lineId) {
        return decisions.proposals(lineId);
    }

    @PostMapping("/api/lines/{lineId}/decisions")
    Proposals decide(@PathVariable String lineId, @RequestBody Decision decision) {
        return decisions.decide(lineId, decision);
    }

    @GetMapping("/api/lines/{lineId}/decisions")
    List<Kept> kept(@PathVariable String lineId) {
        return decisions.kept(lineId);
    }
}
