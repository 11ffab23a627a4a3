package gradino.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.testng.annotations.Test;

/** By a time of its own: when a reading may be held does not depend on how fast the machine is. */
public class InclinometerTest {
    private final Inclinometer device = new Inclinometer("d", 50, 3);

    @Test
    public void isNotHeldWhileTheLimbMovesNorWithoutItsCable() {
        assertThatThrownBy(device::hold).hasMessageContaining("cannot be right");
        device.measure(500);
        assertThat(device.reading().degrees()).isNotNull();
        assertThat(device.reading().held()).isNull();
        assertThatThrownBy(device::hold).hasMessageContaining("cannot be right");
        long millis = 500;
        while (device.reading().held() == null && millis < 60_000) {
            device.measure(millis += 50);
        }
        assertThat(device.hold().held()).isNotNull();
        device.plug(false);
        assertThat(device.reading().held()).isNull();
        assertThatThrownBy(device::hold).hasMessageContaining("cannot be right");
    }
}
