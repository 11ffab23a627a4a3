package gradino.server.platform;

import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * For an owner who cannot sign in any more: {@code gradino owner reset}, on the machine itself. The new password is made here and
 * said once; every device is signed out.
 */
public final class OwnerCommand {
    private static final int STRENGTH = 12;
    private static final int GROUP = 4;
    private static final int LETTERS = 20;

    private OwnerCommand() {}

    /** @param args the data directory, and the name to sign in with where there are several owners */
    public static void main(String[] args) {
        System.exit(run(args, System.out, System.err));
    }

    static int run(String[] args, PrintStream out, PrintStream err) {
        var file = Path.of(args[0]).resolve(Database.FILE);
        if (!Files.exists(file)) {
            err.println("gradino: there is no database in " + args[0]);
            return 1;
        }
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + file)) {
            var owners = owners(connection);
            var wanted = args.length > 1
                    ? args[1].strip().toLowerCase(Locale.ROOT)
                    : owners.size() == 1 ? owners.get(0) : "";
            if (!owners.contains(wanted)) {
                err.println("gradino: name the owner: " + String.join(", ", owners));
                return 1;
            }
            out.println("New password for %s: %s%nSign in with it and change it."
                    .formatted(wanted, reset(connection, wanted)));
            return 0;
        } catch (SQLException e) {
            err.println("gradino: the database " + file + " cannot be changed: " + e.getMessage());
            return 1;
        }
    }

    private static List<String> owners(Connection connection) throws SQLException {
        try (var statement = connection.createStatement();
                var row = statement.executeQuery(
                        "SELECT group_concat(sign_in) FROM account WHERE role = 'OWNER' AND disabled_at IS NULL")) {
            var all = row.getString(1);
            return all == null ? List.of() : List.of(all.split(","));
        }
    }

    private static String reset(Connection connection, String signIn) throws SQLException {
        var random = new byte[LETTERS / 2];
        new SecureRandom().nextBytes(random);
        var password = HexFormat.of().formatHex(random).replaceAll("(.{" + GROUP + "})(?=.)", "$1-");
        var hash = String.valueOf(new BCryptPasswordEncoder(STRENGTH).encode(password));
        connection.setAutoCommit(false);
        update(connection, "UPDATE account SET password_hash = ? WHERE sign_in = ?", hash, signIn);
        update(
                connection,
                "DELETE FROM sign_in_token WHERE account_id = (SELECT id FROM account WHERE sign_in = ?)",
                signIn);
        update(
                connection,
                "DELETE FROM known_device WHERE account_id = (SELECT id FROM account WHERE sign_in = ?)",
                signIn);
        update(connection, "DELETE FROM sign_in_try WHERE key = ?", "name/" + signIn);
        connection.commit();
        return password;
    }

    private static void update(Connection connection, String sql, String... values) throws SQLException {
        try (var statement = connection.prepareStatement(sql)) {
            for (int i = 0; i < values.length; i++) {
                statement.setString(i + 1, values[i]);
            }
            statement.executeUpdate();
        }
    }
}
