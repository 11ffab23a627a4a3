/**
 * Who may sign in and who may see which client. Read {@link gradino.server.account.ClientDoor} first: every request for a
 * client's data passes it. May use platform.
 */
@NullMarked
package gradino.server.account;

import org.jspecify.annotations.NullMarked;
