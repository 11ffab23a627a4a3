package gradino.server.device;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something that measures. So far each is a simulated one; a real one implements this and nothing else changes. Called under
 * {@link Devices}'s lock of its page only.
 */
interface Device {
    String id();

    boolean plugged();

    /** Pulls the cable, or puts it back; either is news. */
    Device plug(boolean in);

    /** Measures up to a moment of the device's own clock, which rises. */
    void measure(long millis);

    /** What came in since the last asking; null while there is nothing new to say. */
    @Nullable
    Told news();

    /** What a device has to say: its own record. */
    sealed interface Told permits Inclinometer.Reading, ForceGauge.Force {}

    /** One message of a page's stream. */
    record News(List<Inclinometer.Reading> angles, List<ForceGauge.Force> forces) {
        static News of(List<Told> told) {
            return new News(only(told, Inclinometer.Reading.class), only(told, ForceGauge.Force.class));
        }

        private static <T> List<T> only(List<Told> told, Class<T> kind) {
            return told.stream().filter(kind::isInstance).map(kind::cast).toList();
        }
    }
}
