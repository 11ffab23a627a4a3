package gradino.server.today;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class TodayController {
    private final TodayService today;

    TodayController(TodayService today) {
        this.today = today;
    }

    @GetMapping("/api/today")
    TodayService.Today today() {
        return today.today();
    }

    @GetMapping("/api/clients/{clientId}/day")
    TodayService.ClientDay day(@PathVariable String clientId) {
        return today.day(clientId);
    }
}
