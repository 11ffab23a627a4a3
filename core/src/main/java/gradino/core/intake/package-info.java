/**
 * What must not be done with a client. Read {@link gradino.core.intake.Restriction} first. May use quantity, because and body.
 */
@NullMarked
package gradino.core.intake;

import org.jspecify.annotations.NullMarked;
