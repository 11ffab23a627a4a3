package gradino.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Anthropometry;
import java.util.Random;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class EffortTest {
    private static Fatigue set(String id) {
        return Fatigue.byId(id).orElseThrow();
    }

    /** In the limit of quick tracking: when the model can no longer hold a target, s; infinity where it always can. */
    private static double secondsInTheLimit(Fatigue set, double targetPercent) {
        double plateau = 100 * set.recovery() / (set.fatigue() + set.recovery());
        double left = 1 - set.recovery() * (100 - targetPercent) / (set.fatigue() * targetPercent);
        return targetPercent <= plateau ? Double.POSITIVE_INFINITY : -Math.log(left) / set.recovery();
    }

    /** Computed from the published parameters, not published themselves: plateau %, endurance at 20, 50 and 80 %. */
    @DataProvider
    public Object[][] closedForms() {
        return new Object[][] {
            {"ankle", 8.964, 863.26, 178.73, 42.98, 79.67},
            {"knee", 9.036, 339.86, 70.21, 16.88, 31.01},
            {"shoulder", 8.451, 274.29, 57.65, 13.90, 27.51},
            {"elbow", 9.344, 565.43, 115.72, 27.77, 49.16},
        };
    }

    @Test(dataProvider = "closedForms")
    public void theModelKeepsItsClosedForms(
            String joint, double plateau, double at20, double at50, double at80, double half) {
        var set = set(joint);
        assertThat(secondsInTheLimit(set, 20)).isCloseTo(at20, within(0.01));
        assertThat(secondsInTheLimit(set, 50)).isCloseTo(at50, within(0.01));
        assertThat(secondsInTheLimit(set, 80)).isCloseTo(at80, within(0.01));
        assertThat(secondsInTheLimit(set, plateau - 0.01)).isInfinite();
        var spent = Compartments.FRESH.after(20_000, 100, set);
        assertThat(spent.active()).isCloseTo(plateau, within(0.01));
        // At rest the fatigued units decay by e^(−rRt).
        var rested = new Compartments(0, 60).after(half, 0, set);
        assertThat(rested.fatigued()).isCloseTo(30, within(0.01));
    }

    @Test(dataProvider = "closedForms")
    public void aHoldEndsALittleLaterThanInTheLimitOfQuickTracking(
            String joint, double plateau, double at20, double at50, double at80, double half) {
        var state = Compartments.FRESH;
        double seconds = 0;
        while (state.capacity() > 50) {
            state = state.after(0.01, 50, set(joint));
            seconds += 0.01;
        }
        assertThat(seconds).isBetween(at50, at50 + 0.4);
    }

    /** dMA, dMF as published, for a target that the integrator is told. */
    private record Model(Fatigue set, double target) implements OrdinaryDifferentialEquation {
        @Override
        public int getDimension() {
            return 2;
        }

        @Override
        public double[] computeDerivatives(double t, double[] y) {
            double resting = 100 - y[0] - y[1];
            double wanted = target - y[0];
            double controller = wanted <= 0 || resting > wanted ? 10 * wanted : 10 * resting;
            double recovery = target == 0 ? set.recovery() * set.rest() : set.recovery();
            return new double[] {controller - set.fatigue() * y[0], set.fatigue() * y[0] - recovery * y[1]};
        }
    }

    @DataProvider
    public Object[][] seeds() {
        return new Object[][] {{1}, {2}, {3}, {4}, {5}, {6}};
    }

    @Test(dataProvider = "seeds")
    public void residualCapacityAgreesWithAReferenceIntegratorAtEverySecond(int seed) {
        var random = new Random(seed);
        var set = set(new String[] {"ankle", "knee", "trunk", "shoulder", "elbow", "hand"}[seed - 1]);
        var state = Compartments.FRESH;
        double[] y = {0, 0};
        for (int second = 0, left = 0, target = 0; second < 900; second++) {
            if (left-- == 0) {
                target = random.nextInt(3) == 0 ? 0 : 10 * (1 + random.nextInt(10));
                left = 2 + random.nextInt(25);
            }
            var reference = new DormandPrince853Integrator(1e-9, 0.05, 1e-9, 1e-9);
            y = reference
                    .integrate(new Model(set, target), new ODEState(second, y), second + 1.0)
                    .getPrimaryState();
            var stepped = new SecondStep(set).next(state, target);
            state = state.after(1, target, set);
            assertThat(stepped.fatigued()).isCloseTo(state.fatigued(), within(1e-9));
            assertThat(state.capacity()).isCloseTo(100 - y[1], within(0.2));
            assertThat(state.active()).isCloseTo(y[0], within(0.2));
        }
    }

    /** 75 kg, 1.75 m, limb level: own computation from Winter's table and Drillis & Contini. */
    @Test
    public void aLevelLimbHasItsWorkedTorque() {
        double shank = Anthropometry.share("shank") * 175;
        double leg = (Anthropometry.share("trochanter-height") - Anthropometry.share("ankle-height")) * 175;
        double arm = (Anthropometry.share("upper-arm") + Anthropometry.share("forearm")) * 175;
        assertThat(torque("foot-and-shank", shank)).isCloseTo(11.7046, within(5e-4));
        assertThat(torque("leg", leg)).isCloseTo(45.4815, within(5e-4));
        assertThat(torque("arm", arm)).isCloseTo(11.3241, within(5e-4));
        var gravity = Gravity.of("foot-and-shank", 75, shank);
        assertThat(gravity.torque(0, 90).newtonMetres()).isCloseTo(0, within(1e-9));
        var loaded = gravity.torque(2, 60);
        assertThat(loaded.newtonMetres()).isCloseTo((11.7046 + 2 * 9.80665 * 0.4305) / 2, within(5e-4));
        double more = gravity.loadFor(2, 0.05);
        assertThat(gravity.torque(more, 0).newtonMetres())
                .isCloseTo(1.05 * gravity.torque(2, 0).newtonMetres(), within(1e-9));
        assertThat(Gravity.nearestPlate(2.3)).hasValue(2.5);
        assertThat(Gravity.nearestPlate(0)).hasValue(0);
        assertThat(Gravity.nearestPlate(50)).hasValue(50);
        assertThat(Gravity.nearestPlate(50.1)).isEmpty();
        assertThatThrownBy(() -> Gravity.of("tail", 75, 40)).hasMessageContaining("tail");
    }

    private static double torque(String limb, double lengthCm) {
        return Gravity.of(limb, 75, lengthCm).torque(0, 0).newtonMetres();
    }

    @Test
    public void aBandIsALineThroughTwoReadings() {
        var band = Band.through(50, 20, 90, 60);
        assertThat(band.slackCm()).isCloseTo(30, within(1e-9));
        assertThat(band.newtons(70)).isCloseTo(40, within(1e-9));
        assertThat(band.newtons(20)).isZero();
        assertThat(band.lengthFor(40)).isCloseTo(70, within(1e-9));
        assertThatThrownBy(() -> Band.through(50, 60, 90, 20)).isInstanceOf(IllegalArgumentException.class);
    }
}
