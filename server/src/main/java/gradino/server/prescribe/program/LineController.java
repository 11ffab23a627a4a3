package gradino.server.prescribe.program;

import gradino.server.prescribe.program.LineService.CurrentLine;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class LineController {
    private final LineService lines;

    LineController(LineService lines) {
        this.lines = lines;
    }

    @GetMapping("/api/clients/{clientId}/lines")
    List<CurrentLine> of(@PathVariable String clientId) {
        return lines.of(clientId);
    }

    @GetMapping("/api/lines/{lineId}")
    CurrentLine get(@PathVariable String lineId) {
        return lines.current(lineId);
    }
}
