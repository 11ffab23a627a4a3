package gradino.server.platform;

import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;

/**
 * How often this process, the only one on the file, has written. Whoever remembers what was read remembers this number with it;
 * asked for before reading, so that at worst something newer is remembered under an older number.
 */
@Component
public class Writes implements TransactionExecutionListener, InMemory {
    private final AtomicLong committed = new AtomicLong();

    public long soFar() {
        return committed.get();
    }

    void one() {
        committed.incrementAndGet();
    }

    @Override
    public void forget() {
        one();
    }

    @Override
    public void afterCommit(TransactionExecution transaction, @Nullable Throwable failure) {
        if (!transaction.isReadOnly()) {
            one();
        }
    }
}
