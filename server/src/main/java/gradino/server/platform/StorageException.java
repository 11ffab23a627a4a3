package gradino.server.platform;

import java.sql.SQLException;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** The database said no. SQLite gives no SQLState for what matters, so its result codes are told apart here. */
public final class StorageException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** What the code that called can do about it. */
    public enum Kind {
        /** The row is there already. */
        DUPLICATE,
        /** The disk is full, or refuses what is written. */
        FULL,
        /** Somebody else is writing for too long. */
        BUSY,
        OTHER
    }

    private final Kind kind;

    private StorageException(Kind kind, SQLException cause) {
        super(cause.getMessage(), cause);
        this.kind = kind;
    }

    static StorageException of(SQLException e) {
        return new StorageException(kindOf(e), e);
    }

    public Kind kind() {
        return kind;
    }

    private static Kind kindOf(SQLException e) {
        if (!(e instanceof SQLiteException sqlite)) {
            return Kind.OTHER;
        }
        var code = sqlite.getResultCode();
        if (code == SQLiteErrorCode.SQLITE_CONSTRAINT_UNIQUE || code == SQLiteErrorCode.SQLITE_CONSTRAINT_PRIMARYKEY) {
            return Kind.DUPLICATE;
        } else if (code == SQLiteErrorCode.SQLITE_FULL || code == SQLiteErrorCode.SQLITE_IOERR_WRITE) {
            return Kind.FULL;
        }
        return code == SQLiteErrorCode.SQLITE_BUSY ? Kind.BUSY : Kind.OTHER;
    }
}
