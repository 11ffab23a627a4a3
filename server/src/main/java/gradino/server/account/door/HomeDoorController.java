package gradino.server.account.door;

import gradino.server.account.link.HomeLinkService;
import gradino.server.account.link.HomeLinkService.HomeLink;
import gradino.server.account.link.HomeLinkService.MadeLink;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class HomeDoorController {
    private final HomeLinkService links;

    HomeDoorController(HomeLinkService links) {
        this.links = links;
    }

    /** @param days until it ends */
    record NewHomeLink(
            @NotBlank @Size(max = 64) String id,
            int days,
            @Nullable String pin) {}

    record HomeKey(
            @NotBlank @Size(max = 128) String token,
            @Nullable String pin) {}

    @GetMapping("/api/clients/{clientId}/home-links")
    List<HomeLink> links(@PathVariable String clientId) {
        return links.of(clientId);
    }

    @PostMapping("/api/clients/{clientId}/home-links")
    MadeLink make(@PathVariable String clientId, @Valid @RequestBody NewHomeLink link) {
        return links.make(clientId, link.id(), link.days(), link.pin());
    }

    @DeleteMapping("/api/clients/{clientId}/home-links/{linkId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@PathVariable String clientId, @PathVariable String linkId) {
        links.revoke(clientId, linkId);
    }

    @PostMapping("/api/home/enter")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void enter(@Valid @RequestBody HomeKey key, HttpServletRequest request, HttpServletResponse response) {
        var entered = links.enter(key.token(), key.pin());
        TokenFilter.seatAtHome(request, response, entered.token(), entered.valid());
    }

    @PostMapping("/api/home/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(HttpServletRequest request, HttpServletResponse response) {
        TokenFilter.homeToken(request).ifPresent(links::leave);
        TokenFilter.seatAtHome(request, response, "", Duration.ZERO);
    }
}
