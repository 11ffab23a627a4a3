package gradino.server.advance;

import gradino.server.advance.line.PolicyService;
import gradino.server.advance.line.PolicyService.PolicyDraft;
import gradino.server.advance.line.PolicyService.PolicyView;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PolicyController {
    private final PolicyService policies;

    PolicyController(PolicyService policies) {
        this.policies = policies;
    }

    @GetMapping("/api/policies")
    List<PolicyView> all() {
        return policies.all();
    }

    @PutMapping("/api/policies/{policyId}")
    List<PolicyView> keep(@PathVariable String policyId, @RequestBody PolicyDraft draft) {
        return policies.keep(policyId, draft);
    }

    @PostMapping("/api/policies/{policyId}/use")
    List<PolicyView> use(@PathVariable String policyId) {
        return policies.use(policyId);
    }
}
