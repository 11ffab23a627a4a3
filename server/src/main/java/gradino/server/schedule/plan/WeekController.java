package gradino.server.schedule.plan;

import gradino.core.prescribe.program.SessionDraft;
import gradino.core.schedule.WayOut;
import gradino.core.schedule.calendar.StudioHours;
import gradino.server.account.people.SignedIn;
import gradino.server.perform.floor.Floor;
import gradino.server.schedule.plan.WeekMoves.Move;
import gradino.server.schedule.plan.WeekMoves.Target;
import gradino.server.schedule.plan.WeekWaysOut.WeekSketch;
import gradino.server.schedule.plan.WeekWaysOut.WeekWays;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class WeekController {
    private final WeekKeeper weeks;
    private final WeekMoves moves;
    private final WeekWaysOut ways;
    private final PlannedDays days;
    private final MonthService months;
    private final SignedIn signedIn;

    WeekController(
            WeekKeeper weeks,
            WeekMoves moves,
            WeekWaysOut ways,
            PlannedDays days,
            MonthService months,
            SignedIn signedIn) {
        this.weeks = weeks;
        this.moves = moves;
        this.ways = ways;
        this.days = days;
        this.months = months;
        this.signedIn = signedIn;
    }

    @GetMapping("/api/clients/{clientId}/weeks/{monday}")
    WeekView week(@PathVariable String clientId, @PathVariable LocalDate monday) {
        return weeks.week(clientId, monday);
    }

    @PostMapping("/api/clients/{clientId}/weeks/sketch")
    WeekSketch sketch(@PathVariable String clientId, @RequestBody SessionDraft session) {
        return ways.sketch(clientId, session);
    }

    @GetMapping("/api/clients/{clientId}/weeks/{monday}/ways")
    WeekWays ways(@PathVariable String clientId, @PathVariable LocalDate monday) {
        return ways.waysOut(clientId, monday);
    }

    @PostMapping("/api/clients/{clientId}/weeks/{monday}/ways")
    WeekView take(@PathVariable String clientId, @PathVariable LocalDate monday, @RequestBody WayOut way) {
        return ways.take(clientId, monday, way);
    }

    @GetMapping("/api/clients/{clientId}/weeks/{monday}/targets")
    List<Target> targets(
            @PathVariable String clientId,
            @PathVariable LocalDate monday,
            @RequestParam String unit,
            @RequestParam int from) {
        return moves.targets(clientId, monday, unit, from);
    }

    @PostMapping("/api/clients/{clientId}/weeks/{monday}/moves")
    WeekView move(@PathVariable String clientId, @PathVariable LocalDate monday, @RequestBody Move move) {
        return moves.move(clientId, monday, move);
    }

    @PostMapping("/api/clients/{clientId}/weeks/{monday}/undo")
    WeekView undo(@PathVariable String clientId, @PathVariable LocalDate monday) {
        return weeks.undo(clientId, monday);
    }

    @GetMapping("/api/months/{month}")
    MonthService.Month month(@PathVariable YearMonth month) {
        return months.month(month);
    }

    /** When the coach who asks is at the studio. */
    @PutMapping("/api/hours")
    StudioHours hours(@RequestBody StudioHours hours) {
        return months.keepHours(signedIn.required().id(), hours);
    }

    record NewPlannedRun(@NotBlank @Size(max = 64) String id) {}

    @PostMapping("/api/clients/{clientId}/days/{date}/runs")
    Floor start(@PathVariable String clientId, @PathVariable LocalDate date, @Valid @RequestBody NewPlannedRun run) {
        return days.start(clientId, date, run.id());
    }
}
