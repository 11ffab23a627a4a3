package gradino.server.home;

import gradino.server.home.HomeService.FromHome;
import gradino.server.home.HomeService.HomePlan;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class HomeController {
    private final HomeService home;

    HomeController(HomeService home) {
        this.home = home;
    }

    record NewNote(@NotBlank @Size(max = 64) String id, String text) {}

    @GetMapping("/api/home/plan")
    HomePlan plan() {
        return home.plan();
    }

    @PostMapping("/api/home/notes")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void note(@Valid @RequestBody NewNote note) {
        home.note(note.id(), note.text());
    }

    /** Notes from home that no coach has read yet. */
    @GetMapping("/api/notes")
    List<FromHome> unread() {
        return home.unread();
    }

    @PostMapping("/api/clients/{clientId}/notes/read")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void read(@PathVariable String clientId) {
        home.read(clientId);
    }
}
