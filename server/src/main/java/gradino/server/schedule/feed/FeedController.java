package gradino.server.schedule.feed;

import gradino.server.schedule.feed.FeedService.FeedLink;
import gradino.server.schedule.feed.FeedService.MadeFeed;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FeedController {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final FeedService feeds;

    FeedController(FeedService feeds) {
        this.feeds = feeds;
    }

    record NewFeed(@NotBlank @Size(max = 64) String id) {}

    @GetMapping(path = "/api/clients/{clientId}/calendar.ics", produces = "text/calendar")
    ResponseEntity<String> file(@PathVariable String clientId) {
        return calendar(feeds.file(clientId));
    }

    @GetMapping(path = "/api/feeds/{token}.ics", produces = "text/calendar")
    ResponseEntity<String> fetched(@PathVariable String token) {
        return calendar(feeds.fetched(token));
    }

    private static ResponseEntity<String> calendar(String text) {
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=training.ics")
                .body(text);
    }

    @GetMapping("/api/clients/{clientId}/feeds")
    List<FeedLink> ofClient(@PathVariable String clientId) {
        return feeds.of(clientId);
    }

    @PostMapping("/api/clients/{clientId}/feeds")
    MadeFeed make(@PathVariable String clientId, @Valid @RequestBody NewFeed feed) {
        return feeds.make(clientId, feed.id());
    }

    @DeleteMapping("/api/clients/{clientId}/feeds/{feedId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable String clientId, @PathVariable String feedId) {
        feeds.end(clientId, feedId);
    }

    @GetMapping("/api/me/feeds")
    List<FeedLink> mine() {
        return feeds.of(null);
    }

    @PostMapping("/api/me/feeds")
    MadeFeed makeMine(@Valid @RequestBody NewFeed feed) {
        return feeds.make(null, feed.id());
    }

    @DeleteMapping("/api/me/feeds/{feedId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endMine(@PathVariable String feedId) {
        feeds.end(null, feedId);
    }
}
