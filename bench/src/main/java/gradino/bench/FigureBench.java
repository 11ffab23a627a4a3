package gradino.bench;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.figure.Drag;
import gradino.core.figure.FigureMaker;
import gradino.core.figure.FigureMaker.Asked;
import gradino.core.figure.Moving;
import gradino.core.figure.Moving.Way;
import gradino.core.figure.OwnPosition;
import java.util.ArrayList;
import java.util.List;

/** Bodies drawn, moved and pulled, none of them twice. */
final class FigureBench {
    private static final int POSITIONS = 110;
    private static final int WARM_UPS = 3;
    private static final int ROUNDS = 7;

    private FigureBench() {}

    static List<Measured> figures() {
        var times = new ArrayList<Double>();
        var libraries = new ArrayList<Double>();
        for (int round = 0; round < WARM_UPS + ROUNDS; round++) {
            var drawn = library(round);
            if (round >= WARM_UPS) {
                times.addAll(drawn);
                libraries.add(drawn.stream().mapToDouble(Double::doubleValue).sum());
            }
        }
        return List.of(
                new Measured("figure", Bench.median(times), "ms", 3),
                new Measured("library-drawn", Bench.median(libraries), "ms", 300),
                new Measured("figure-moving", Bench.median(moving()), "ms", 60),
                new Measured("drag-frame", Bench.median(pulls()), "ms", 33));
    }

    private static double ms(Runnable work) {
        long begun = System.nanoTime();
        work.run();
        return (System.nanoTime() - begun) / 1e6;
    }

    /** At another angle each round, so that none is known yet. */
    private static List<Double> library(int round) {
        var positions = Catalogue.positions();
        var times = new ArrayList<Double>();
        for (int i = 0; i < POSITIONS; i++) {
            var asked = asked(positions.get(i % positions.size()));
            double angle = 10 + round + i / 1000.0;
            times.add(ms(() -> FigureMaker.draw(asked.at(angle))));
        }
        return times;
    }

    private static Asked asked(Position position) {
        return Asked.of(position, position.motions().get(0)).orElseThrow();
    }

    private static List<Double> moving() {
        return Catalogue.positions().stream()
                .filter(Position::trains)
                .map(p -> ms(() -> Moving.of(asked(p), Way.BETWEEN)))
                .toList();
    }

    /** A wrist pulled round in small steps: the pose, the figure and where its points are then. */
    private static List<Double> pulls() {
        var own = OwnPosition.of(Catalogue.position("seated-90-90-front").orElseThrow())
                .orElseThrow();
        var pose = own.pose();
        var times = new ArrayList<Double>();
        for (int i = 0; i < 120; i++) {
            var from = pose;
            double x = 10 + 0.2 * (i % 40);
            var done = new ArrayList<OwnPosition>();
            times.add(ms(() -> {
                var pulled = new OwnPosition(own.position(), Drag.to(from, "wristW", x, 30));
                pulled.drawn();
                Drag.handles(pulled.pose());
                done.add(pulled);
            }));
            pose = done.get(0).pose();
        }
        return times;
    }
}
