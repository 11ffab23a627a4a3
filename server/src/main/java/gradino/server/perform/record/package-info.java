/**
 * Runs and what was logged in them. Read {@link gradino.server.perform.record.RecordRepository} first. Uses no other room of performing.
 */
@NullMarked
package gradino.server.perform.record;

import org.jspecify.annotations.NullMarked;
