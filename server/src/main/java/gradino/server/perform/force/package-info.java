/**
 * What a gauge gave: what 100 % is, and traces. Read {@link gradino.server.perform.force.ForceService} first. Uses record.
 */
@NullMarked
package gradino.server.perform.force;

import org.jspecify.annotations.NullMarked;
