/**
 * What every request passes, and signing in by it. Read {@link gradino.server.account.door.SecuritySetup} first. Uses people and link.
 */
@NullMarked
package gradino.server.account.door;

import org.jspecify.annotations.NullMarked;
