package gradino.server.intake;

import gradino.server.intake.Client.Details;
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

    record Archived(boolean archived) {}

    @GetMapping
    List<ClientEntry> all() {
        return clients.entries();
    }

    @PostMapping
    ClientFile create(@Valid @RequestBody NewClient client) {
        return clients.create(client.id(), client.details());
    }

    @GetMapping("/{clientId}")
    ClientFile get(@PathVariable String clientId) {
        return clients.file(clientId);
    }

    @PutMapping("/{clientId}/archived")
    ClientFile archive(@PathVariable String clientId, @RequestBody Archived archived) {
        return clients.archive(clientId, archived.archived());
    }

    @PutMapping("/{clientId}/details")
    ClientFile change(@PathVariable String clientId, @RequestBody Details details) {
        return clients.change(clientId, details);
    }
}
