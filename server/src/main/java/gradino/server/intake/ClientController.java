package gradino.server.intake;

import gradino.core.intake.Restriction;
import gradino.server.intake.Client.Details;
import gradino.server.intake.ClientRepository.Clearance;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/clients")
class ClientController {
    private final ClientService clients;

    ClientController(ClientService clients) {
        this.clients = clients;
    }

    /** Ids are made by the device, so that sending twice stores once. */
    record NewClient(@NotBlank @Size(max = 64) String id, Details details) {}

    record NewClearance(
            @NotBlank @Size(max = 64) String id,

            @NotBlank(message = "Who cleared it?") @Size(max = 200)
            String clearedBy,

            @NotBlank(message = "What was written?") @Size(max = 2000)
            String note) {}

    @GetMapping
    List<Client> all() {
        return clients.mine();
    }

    @PostMapping
    Client create(@Valid @RequestBody NewClient client) {
        return clients.create(client.id(), client.details());
    }

    @GetMapping("/{clientId}")
    Client get(@PathVariable String clientId) {
        return clients.get(clientId);
    }

    @PutMapping("/{clientId}/details")
    Client change(@PathVariable String clientId, @RequestBody Details details) {
        return clients.change(clientId, details);
    }

    @PutMapping("/{clientId}/restriction")
    Client restrict(@PathVariable String clientId, @RequestBody Restriction restriction) {
        return clients.restrict(clientId, restriction);
    }

    @PostMapping("/{clientId}/clearances")
    Client clear(@PathVariable String clientId, @Valid @RequestBody NewClearance clearance) {
        return clients.clear(clientId, clearance.id(), new Clearance(clearance.clearedBy(), clearance.note()));
    }
}
