package gradino.server.prescribe.compose;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.effort.Band;
import gradino.core.effort.Gravity;
import gradino.core.effort.Limb;
import gradino.core.measure.reading.Tape;
import gradino.core.quantity.OutOfBoundsException;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.platform.Reads;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The load for a wanted torque, a band in place of a load, and the angle that a prop gives. */
@RestController
class WeightController {
    private static final int POINTS = 9;

    private final ClientService clients;

    WeightController(ClientService clients) {
        this.clients = clients;
    }

    /** @param degrees working angle in the position */
    record TorqueWanted(String motion, String position, double degrees, double newtonMetres) {}

    /**
     * The load for it.
     *
     * @param loadKg null where the limb alone is heavier, or hangs plumb
     * @param plate one or two plates at or above it, kg
     */
    record LoadForTorque(
            String limb,
            double bareNewtonMetres,
            @Nullable Double loadKg,
            @Nullable Double plate) {}

    /**
     * A band read with a scale at two lengths.
     *
     * @param wantedKg force wanted of it, as the load it stands for; null when only the line is wanted
     */
    record BandReadings(
            double cm1,
            double newtons1,
            double cm2,
            double newtons2,
            @Nullable Double wantedKg) {}

    record BandPoint(double cm, double newtons) {}

    /**
     * Its force over its length.
     *
     * @param wanted where the wanted force is
     */
    record BandLine(
            double slackCm,
            double newtonsPerCm,
            List<BandPoint> points,
            @Nullable BandPoint wanted) {}

    @Reads
    @PostMapping("/api/clients/{clientId}/score/load")
    List<LoadForTorque> load(@PathVariable String clientId, @RequestBody TorqueWanted wanted) {
        var client = clients.get(clientId);
        var position = Catalogue.position(wanted.position())
                .orElseThrow(() -> Problem.invalid("position", "unknown-position", "Pick a position of the list."));
        if (client.details().massKg() == null) {
            throw Problem.invalid("massKg", "required", "The client's file has no body mass yet.");
        }
        double direction = LineSets.direction(position, wanted.motion(), wanted.degrees());
        return checked(
                "newtonMetres",
                () -> LineSets.heldUp(client, position, wanted.motion()).stream()
                        .map(limb -> load(limb, wanted.newtonMetres(), direction))
                        .toList());
    }

    /** The prop solver backwards: the angle of a stack's height or of a tape's reading, with the client's own lengths. */
    @GetMapping("/api/clients/{clientId}/score/angle")
    double angle(@PathVariable String clientId, @RequestParam String position, @RequestParam double readingCm) {
        var body = clients.get(clientId).body();
        var formula = Catalogue.position(position).map(Position::tape).orElse(null);
        if (formula == null || !body.keySet().containsAll(Tape.needs(formula))) {
            throw Problem.invalid(
                    "readingCm", "no-tape-here", "No prop gives an angle here, or a body length is missing.");
        }
        try {
            return new Tape(formula, readingCm, 0, body).angle().value().value();
        } catch (IllegalArgumentException e) {
            throw Problem.invalid("readingCm", "does-not-fit", e.getMessage() + ".");
        }
    }

    private static LoadForTorque load(Limb limb, double newtonMetres, double direction) {
        var load = limb.gravity().loadForTorque(newtonMetres, direction);
        double bare = limb.gravity().torque(0, direction).newtonMetres();
        return load.isEmpty()
                ? new LoadForTorque(limb.words(), bare, null, null)
                : new LoadForTorque(
                        limb.words(),
                        bare,
                        load.getAsDouble(),
                        LineSets.plate(Gravity.nearestPlate(load.getAsDouble())));
    }

    @PostMapping("/api/bands/line")
    BandLine band(@RequestBody BandReadings r) {
        var band = checked("newtons2", () -> Band.through(r.cm1(), r.newtons1(), r.cm2(), r.newtons2()));
        double last = band.slackCm() + (r.cm2() - band.slackCm()) * 1.5;
        var points = IntStream.range(0, POINTS)
                .mapToObj(i -> band.slackCm() + i * (last - band.slackCm()) / (POINTS - 1))
                .map(cm -> new BandPoint(cm, band.newtons(cm)))
                .toList();
        var kg = r.wantedKg();
        var wanted = kg == null || kg <= 0 ? null : new BandPoint(band.lengthFor(kg * Gravity.G), kg * Gravity.G);
        return new BandLine(band.slackCm(), band.newtonsPerCm(), points, wanted);
    }

    private static <T> T checked(String field, Supplier<T> work) {
        try {
            return work.get();
        } catch (OutOfBoundsException e) {
            throw Problem.invalid(field, "out-of-bounds", String.valueOf(e.getMessage()));
        }
    }
}
