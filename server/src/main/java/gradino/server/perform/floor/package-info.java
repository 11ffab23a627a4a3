/**
 * Sessions while they run, and how they close. Read {@link gradino.server.perform.floor.RunService} first. Uses record and force.
 */
@NullMarked
package gradino.server.perform.floor;

import org.jspecify.annotations.NullMarked;
