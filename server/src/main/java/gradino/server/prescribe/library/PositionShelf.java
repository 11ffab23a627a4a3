package gradino.server.prescribe.library;

import gradino.core.figure.OwnPosition;
import jakarta.annotation.PostConstruct;
import org.springframework.boot.sql.init.dependency.DependsOnDatabaseInitialization;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Puts the studio's own positions beside those that ship, at the start and whenever they change. */
@Component
@DependsOnDatabaseInitialization
public class PositionShelf {
    private final PositionRepository positions;

    PositionShelf(PositionRepository positions) {
        this.positions = positions;
    }

    @PostConstruct
    public void fill() {
        OwnPosition.shelve(positions.now());
    }

    /** At once, so that what follows in the transaction knows them; and again after it, for what became of it. */
    public void changed() {
        fill();
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                fill();
            }
        });
    }
}
