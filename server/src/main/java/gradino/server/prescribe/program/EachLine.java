package gradino.server.prescribe.program;

import gradino.core.because.Finding;
import gradino.server.platform.InMemory;
import gradino.server.platform.Problem;
import gradino.server.platform.StorageException;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Works each line out apart from the others: what goes wrong with one is a finding of that one and stands in the log. */
@Component
public class EachLine implements InMemory {
    private static final Logger LOG = LoggerFactory.getLogger(EachLine.class);
    private static final String CODE = "not-judged";
    private static final String WHAT_TO_DO =
            "This line cannot be judged: something in its record does not fit together. Nothing is lost. Prescribe the motion"
                    + " again; the cause is in the log, under line %s.";

    /** What was said of a line already: pages ask again and again. */
    private final Map<String, String> said = new ConcurrentHashMap<>();

    /** What came of a line, or why nothing did: one of the two. */
    public record Tried<T>(@Nullable T value, @Nullable Finding trouble) {
        public Optional<T> found() {
            return Optional.ofNullable(value);
        }
    }

    public <T> Tried<T> tried(Line line, Supplier<T> work) {
        try {
            return new Tried<>(work.get(), null);
        } catch (StorageException theDatabaseItself) {
            throw theDatabaseItself;
        } catch (RuntimeException e) {
            if (!e.toString().equals(said.put(line.id(), e.toString()))) {
                LOG.error("line {} of client {} cannot be judged", line.id(), line.clientId(), e);
            }
            return new Tried<>(null, Finding.blocking("line", CODE, null, "", WHAT_TO_DO.formatted(line.id())));
        }
    }

    /** For what that one line alone was asked for. */
    public <T> T required(Line line, Supplier<T> work) {
        var tried = tried(line, work);
        return tried.found().orElseThrow(() -> Problem.conflict(CODE, WHAT_TO_DO.formatted(line.id())));
    }

    @Override
    public void forget() {
        said.clear();
    }
}
