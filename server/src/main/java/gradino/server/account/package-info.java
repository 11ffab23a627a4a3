/**
 * Who may do what, in three rooms: {@code people} (accounts, signing in, whose clients are whose), {@code link} (links for home), {@code door} (what every request passes). A room uses those before it. May use platform.
 */
@NullMarked
package gradino.server.account;

import org.jspecify.annotations.NullMarked;
