/**
 * Sessions as they are run and logged. Read {@link gradino.server.perform.RunService} first. May use every step up to prescribe.
 */
@NullMarked
package gradino.server.perform;

import org.jspecify.annotations.NullMarked;
