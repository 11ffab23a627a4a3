/**
 * Clients, their restrictions and clearances. Read {@link gradino.server.intake.ClientService} first. May use platform and account.
 */
@NullMarked
package gradino.server.intake;

import org.jspecify.annotations.NullMarked;
