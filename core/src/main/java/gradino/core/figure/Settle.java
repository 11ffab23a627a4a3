package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import gradino.core.figure.Body.Lever;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Puts a pose on the floor: of all changes of its free joint angles the smallest that brings every contact to its height and
 * leaves nothing below the floor. Least-norm Gauss–Newton steps, damped (Nocedal and Wright, Numerical Optimization, chapter 10;
 * from memory).
 */
final class Settle {
    private static final Vec UP = new Vec(0, 0, 1);
    private static final int MOST_STEPS = 40;
    /** Hundredths of stature: 0.02 mm of 170 cm. */
    private static final double NEAR = 0.001;

    private static final double A_LITTLE = 1e-6;
    private static final double DAMPING = 1e-4;
    private static final double LARGEST_TURN = 12;
    private static final double PELVIS_WEIGHT = 0.3;
    /** Where a pose says how the pelvis is, it gives last. */
    private static final double PELVIS_LEAST = 0.06;

    private static final double LIFT_WEIGHT = 0.02;

    private final Build build;
    private final Pose pose;
    private final Angles angles;
    private final List<Freedom> free;
    private double lift;

    private Settle(Build build, Pose pose, Angles angles, Predicate<Freedom> held) {
        this.build = build;
        this.pose = pose;
        this.angles = angles;
        this.free = Arrays.stream(Bone.values())
                .flatMap(b -> Freedom.of(b).stream())
                .filter(f -> !held.test(f))
                .filter(f -> f.bone() != Bone.PELVIS || f.number() < 2)
                .toList();
    }

    /** @param held angles that stay as they are */
    static Body body(Build build, Pose pose, Angles angles, Predicate<Freedom> held) {
        return new Settle(build, pose, angles, held).body();
    }

    /** A height or a distance that is not right yet. */
    private record Wrong(
            double by,
            Vec direction,
            Spot spot,
            Vec at,
            @Nullable Spot other,
            Vec otherAt) {
        double slope(Lever lever) {
            var moves = lever.slope(spot, at);
            return direction.dot(other == null ? moves : moves.minus(lever.slope(other, otherAt)));
        }

        double liftSlope() {
            return other == null ? direction.z() : 0;
        }
    }

    private Body body() {
        var body = new Body(build, angles, 0);
        lift = startingLift(body);
        for (int step = 0; step < MOST_STEPS; step++) {
            body = new Body(build, angles, lift);
            var wrong = wrong(body);
            if (wrong.stream().allMatch(w -> Math.abs(w.by()) < NEAR)) {
                return body;
            }
            correct(body, wrong);
        }
        return body;
    }

    private double startingLift(Body body) {
        var heights = pose.contacts.values().stream()
                .mapToDouble(
                        c -> c.height() + c.spot().radius() - body.at(c.spot()).z());
        return heights.average()
                .orElseGet(() -> Spot.every().stream()
                        .mapToDouble(s -> s.radius() - body.at(s).z())
                        .max()
                        .orElse(0));
    }

    private List<Wrong> wrong(Body body) {
        var wrong = new ArrayList<Wrong>();
        for (var contact : pose.contacts.values()) {
            var at = body.at(contact.spot());
            wrong.add(lifted(contact.height() + contact.spot().radius() - at.z(), contact.spot(), at));
        }
        for (var touch : pose.touches) {
            var at = body.at(touch.spot());
            var otherAt = body.at(touch.other());
            var apart = at.minus(otherAt);
            double want = touch.spot().radius() + touch.other().radius();
            wrong.add(new Wrong(want - apart.length(), apart.unit(), touch.spot(), at, touch.other(), otherAt));
        }
        for (var spot : Spot.every()) {
            var at = body.at(spot);
            double below = spot.radius() - at.z();
            if (below > 0 && !pose.contacts.containsKey(spot.name())) {
                wrong.add(lifted(below, spot, at));
            }
        }
        return wrong;
    }

    private static Wrong lifted(double by, Spot spot, Vec at) {
        return new Wrong(by, UP, spot, at, null, at);
    }

    private void correct(Body body, List<Wrong> wrong) {
        var slopes = slopes(body, wrong);
        double[] turns;
        boolean isStuck;
        do {
            turns = leastChange(slopes, wrong);
            isStuck = false;
            for (int f = 0; f < free.size(); f++) {
                var limit = Limit.of(free.get(f));
                double now = angles.get(free.get(f));
                double next = limit.clamp(now + turns[f], now);
                // A joint at its end has nothing to give: the others share what it would have done.
                if (turns[f] != 0 && Math.abs(next - now) < A_LITTLE && Math.abs(turns[f]) > A_LITTLE) {
                    isStuck = true;
                    for (var row : slopes) {
                        row[f] = 0;
                    }
                }
            }
        } while (isStuck);
        for (int f = 0; f < free.size(); f++) {
            double now = angles.get(free.get(f));
            double by = Math.max(-LARGEST_TURN, Math.min(LARGEST_TURN, turns[f]));
            angles.set(free.get(f), Limit.of(free.get(f)).clamp(now + by, now));
        }
        lift += turns[free.size()];
    }

    /** A row for each thing that is wrong, a column for each free angle and one for the height of the pelvis. */
    private double[][] slopes(Body body, List<Wrong> wrong) {
        int rows = wrong.size();
        var slopes = new double[rows][free.size() + 1];
        for (int f = 0; f < free.size(); f++) {
            var lever = body.lever(free.get(f));
            for (int r = 0; r < rows; r++) {
                slopes[r][f] = wrong.get(r).slope(lever) * weight(free.get(f));
            }
        }
        for (int r = 0; r < rows; r++) {
            slopes[r][free.size()] = wrong.get(r).liftSlope() * LIFT_WEIGHT;
        }
        return slopes;
    }

    private double[] leastChange(double[][] slopes, List<Wrong> wrong) {
        var forces = solve(slopes, wrong.stream().mapToDouble(Wrong::by).toArray());
        var turns = new double[free.size() + 1];
        for (int f = 0; f < turns.length; f++) {
            for (int r = 0; r < forces.length; r++) {
                turns[f] += slopes[r][f] * forces[r];
            }
            turns[f] *= f < free.size() ? weight(free.get(f)) : LIFT_WEIGHT;
        }
        return turns;
    }

    private double weight(Freedom freedom) {
        return freedom.bone() != Bone.PELVIS ? 1 : pose.pelvisGives ? PELVIS_WEIGHT : PELVIS_LEAST;
    }

    /** (S·Sᵀ + damping)·x = b by elimination; few rows, positive definite. */
    private static double[] solve(double[][] slopes, double[] b) {
        int n = b.length;
        var a = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                for (int k = 0; k < slopes[i].length; k++) {
                    a[i][j] += slopes[i][k] * slopes[j][k];
                }
            }
            a[i][i] += DAMPING;
        }
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                double by = a[j][i] / a[i][i];
                for (int k = i; k < n; k++) {
                    a[j][k] -= by * a[i][k];
                }
                b[j] -= by * b[i];
            }
        }
        for (int i = n - 1; i >= 0; i--) {
            for (int k = i + 1; k < n; k++) {
                b[i] -= a[i][k] * b[k];
            }
            b[i] /= a[i][i];
        }
        return b;
    }
}
