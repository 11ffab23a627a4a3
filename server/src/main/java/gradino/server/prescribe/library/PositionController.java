package gradino.server.prescribe.library;

import gradino.core.figure.OwnPosition;
import gradino.server.platform.Reads;
import gradino.server.prescribe.library.PositionService.PositionFile;
import gradino.server.prescribe.library.PositionService.Pulled;
import gradino.server.prescribe.library.PositionService.Tried;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A studio's own positions. */
@RestController
class PositionController {
    private final PositionService positions;

    PositionController(PositionService positions) {
        this.positions = positions;
    }

    /**
     * A point of the body pulled to a place of the drawing.
     *
     * @param x to the right, in the drawing's own units
     */
    record Pull(OwnPosition own, @Size(max = 40) String spot, double x, double y) {}

    @GetMapping("/api/own-positions")
    List<OwnPosition> own() {
        return positions.own();
    }

    /** One's own, or one that ships, to be copied. */
    @GetMapping("/api/own-positions/{positionId}")
    OwnPosition one(@PathVariable String positionId) {
        return positions.one(positionId);
    }

    @PutMapping("/api/own-positions/{positionId}")
    OwnPosition save(@PathVariable String positionId, @RequestBody OwnPosition own) {
        return positions.save(positionId, own);
    }

    @DeleteMapping("/api/own-positions/{positionId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String positionId) {
        positions.remove(positionId);
    }

    @Reads
    @PostMapping("/api/own-positions/try")
    Tried tried(@RequestBody OwnPosition own) {
        return positions.tried(own);
    }

    @Reads
    @PostMapping("/api/own-positions/pull")
    Pulled pulled(@Valid @RequestBody Pull pull) {
        return positions.pulled(pull.own(), pull.spot(), pull.x(), pull.y());
    }

    @GetMapping("/api/own-positions/file")
    PositionFile file(@RequestParam List<String> id) {
        return positions.file(id);
    }

    /** Written by {@code docs/schema/positions-1.json}. */
    @PostMapping("/api/own-positions/file")
    List<OwnPosition> take(@RequestBody PositionFile file) {
        return positions.take(file);
    }
}
