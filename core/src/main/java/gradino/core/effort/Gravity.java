package gradino.core.effort;

import gradino.core.body.Anthropometry;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Torque of a limb and what it carries about its joint: (m·g·d + load·g·L)·cos(angle to the horizontal).
 *
 * <p>Source: segment masses and centres of mass, Winter, table 4.1 (values from memory); static, without the other limbs.
 *
 * @param limb id of {@code segments.csv}: leg, foot-and-shank, foot, arm, forearm-and-hand, head-arms-trunk; or bent-leg
 * @param massKg of the body, 20 to 250
 * @param lengthCm from the joint to where a load hangs, 5 to 150
 * @param ownMoment torque of the limb alone when it is level, N·m
 */
public record Gravity(String limb, double massKg, double lengthCm, double ownMoment) {
    /** Standard gravity, m/s² (ISO 80000-3). */
    public static final double G = 9.80665;

    private static final double MOST_KG = 300;

    /** Plates and ankle weights a coach usually has, kg (common practice, no source). */
    private static final List<Double> PLATES = List.of(0.5, 1.0, 1.25, 2.0, 2.5, 5.0, 10.0, 15.0, 20.0, 25.0);

    public Gravity {
        OutOfBoundsException.require("massKg", massKg, 20, 250, "kg");
        OutOfBoundsException.require("lengthCm", lengthCm, 5, 150, "cm");
        OutOfBoundsException.require("ownMoment", ownMoment, 0, 5000, "N·m");
    }

    /** A limb in one piece. */
    public static Gravity of(String limb, double massKg, double lengthCm) {
        var segment = segment(limb);
        double metres = lengthCm / 100;
        return new Gravity(
                limb, massKg, lengthCm, segment.massShare() * massKg * G * segment.centreFromProximal() * metres);
    }

    /** A leg with the knee bent to a right angle: shank and foot hang below the knee, a load too. */
    public static Gravity bentLeg(double massKg, double thighCm) {
        var thigh = segment("thigh");
        double metres = thighCm / 100;
        double thighs = thigh.massShare() * thigh.centreFromProximal();
        double below = segment("foot-and-shank").massShare();
        return new Gravity("bent-leg", massKg, thighCm, (thighs + below) * massKg * G * metres);
    }

    /**
     * A torque with its parts, N·m.
     *
     * @param loadShare of the load in the whole, 0 to 1
     */
    public record Torque(double newtonMetres, double loadShare) {}

    private static void requireDirection(double degreesToHorizontal) {
        OutOfBoundsException.require("angle to the horizontal", degreesToHorizontal, -360, 360, "°");
    }

    private static Anthropometry.Mass segment(String id) {
        return Anthropometry.masses().stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no limb called " + id));
    }

    /**
     * @param loadKg at the limb's far end, 0 to 300
     * @param degreesToHorizontal 0 is level, where it is heaviest
     */
    public Torque torque(double loadKg, double degreesToHorizontal) {
        OutOfBoundsException.require("loadKg", loadKg, 0, MOST_KG, "kg");
        requireDirection(degreesToHorizontal);
        double lever = Math.abs(Math.cos(Math.toRadians(degreesToHorizontal)));
        double own = ownMoment * lever;
        double load = loadKg * G * metres() * lever;
        double whole = own + load;
        return new Torque(whole, whole == 0 ? 0 : load / whole);
    }

    /**
     * The load that changes a torque by a share: +0.05 is 5 % more. Never under 0.
     *
     * @throws OutOfBoundsException for a share beyond −1 to 3
     */
    public double loadFor(double loadKg, double share) {
        OutOfBoundsException.require("share", share, -1, 3, "");
        OutOfBoundsException.require("loadKg", loadKg, 0, MOST_KG, "kg");
        double now = ownMoment + loadKg * G * metres();
        return Math.max(0, (now * (1 + share) - ownMoment) / (G * metres()));
    }

    /**
     * The load that makes a torque, kg; empty where the limb alone weighs more than that or hangs plumb.
     *
     * @param newtonMetres 0 to 1000
     * @param degreesToHorizontal 0 is level
     */
    public OptionalDouble loadForTorque(double newtonMetres, double degreesToHorizontal) {
        OutOfBoundsException.require("newtonMetres", newtonMetres, 0, 1000, "N·m");
        requireDirection(degreesToHorizontal);
        double lever = Math.abs(Math.cos(Math.toRadians(degreesToHorizontal)));
        double load = (newtonMetres / lever - ownMoment) / (G * metres());
        return lever < 1e-6 || load < 0 ? OptionalDouble.empty() : OptionalDouble.of(load);
    }

    /** The smallest weight that one or two plates give at or above a load, kg; empty when they cannot. */
    public static OptionalDouble nearestPlate(double loadKg) {
        OutOfBoundsException.require("loadKg", loadKg, 0, MOST_KG, "kg");
        double best = loadKg == 0 ? 0 : Double.MAX_VALUE;
        for (double one : PLATES) {
            for (double other : PLATES) {
                best = closer(best, one, loadKg);
                best = closer(best, one + other, loadKg);
            }
        }
        return best == Double.MAX_VALUE ? OptionalDouble.empty() : OptionalDouble.of(best);
    }

    /** The heaviest weight that one or two plates give below a load, kg; 0 when the lightest is taken away. */
    public static double lighterPlate(double loadKg) {
        OutOfBoundsException.require("loadKg", loadKg, 0, MOST_KG, "kg");
        double best = 0;
        for (double one : PLATES) {
            for (double other : PLATES) {
                best = heavier(heavier(best, one, loadKg), one + other, loadKg);
            }
        }
        return best;
    }

    private static double heavier(double best, double plate, double below) {
        return plate < below - 1e-9 && plate > best ? plate : best;
    }

    private static double closer(double best, double plate, double wanted) {
        return plate >= wanted - 1e-9 && plate < best ? plate : best;
    }

    private double metres() {
        return lengthCm / 100;
    }
}
