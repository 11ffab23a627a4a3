/**
 * Copies of the database that are proved. Read {@link gradino.server.backup.BackupService} first. Uses the platform.
 */
@NullMarked
package gradino.server.backup;

import org.jspecify.annotations.NullMarked;
