package gradino.server.device;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.account.people.SignedIn;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.Test;

/** One clock measures the devices of all pages. */
public class DevicesTickTest {
    private static final int TICKS = 3;

    /** Fails each time it measures, or counts. */
    private record Counting(String id, CountDownLatch measured, boolean fails) implements Device {
        @Override
        public boolean plugged() {
            return true;
        }

        @Override
        public Device plug(boolean in) {
            return this;
        }

        @Override
        public void measure(long millis) {
            measured.countDown();
            if (fails) {
                throw new IllegalStateException("no reading");
            }
        }

        @Override
        public @Nullable Told news() {
            return null;
        }
    }

    @Test
    public void aDeviceThatCannotBeReadStopsNoOther() throws InterruptedException {
        var devices = new Devices(new SignedIn() {
            @Override
            public String who() {
                return "coach";
            }
        });
        try {
            var broken = new Counting("broken", new CountDownLatch(TICKS), true);
            devices.connect("one", broken);
            // Is asked again and again all the same: it may be read the next time.
            assertThat(broken.measured().await(1, TimeUnit.MINUTES)).isTrue();
            var good = new Counting("good", new CountDownLatch(TICKS), false);
            devices.connect("two", good);
            assertThat(good.measured().await(1, TimeUnit.MINUTES)).isTrue();
        } finally {
            devices.stop();
        }
    }
}
